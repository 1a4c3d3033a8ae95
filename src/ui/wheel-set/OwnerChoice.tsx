import { useTranslations } from 'next-intl'
import type { KnownVehicle, NewSetOwner } from '@/contracts/wheelSet'

interface OwnerChoiceProps {
  /** Vehicles of the name that was typed. */
  readonly vehicles: readonly KnownVehicle[]
  readonly owner: NewSetOwner
  readonly problem: string | undefined
  readonly choose: (owner: NewSetOwner, vehicle?: KnownVehicle) => void
}

/** Asks whose a new set is where the name is known: two customers may drive cars of one name. */
export function OwnerChoice({ vehicles, owner, problem, choose }: OwnerChoiceProps) {
  const t = useTranslations()

  if (vehicles.length === 0) return null
  return (
    <div className="owner-choice" role="group" aria-label={t('wheelSet.owner.label')}>
      <p>
        <b>{t('wheelSet.owner.ask')}</b>
      </p>
      <div className="chips mt-2">
        {vehicles.map((known) => (
          <button
            key={known.id}
            type="button"
            className="chip"
            aria-pressed={owner.kind === 'known' && owner.id === known.id}
            onClick={() => choose({ kind: 'known', id: known.id, version: known.version }, known)}
          >
            {t('wheelSet.owner.yes', { sets: known.setNames.join(' and ') || t('wheelSet.owner.noSet') })}
          </button>
        ))}
        <button
          type="button"
          className="chip"
          aria-pressed={owner.kind === 'another'}
          onClick={() => choose({ kind: 'another' })}
        >
          {t('wheelSet.owner.no')}
        </button>
      </div>
      {problem && (
        <p className="text-danger mt-2" role="alert">
          {problem}
        </p>
      )}
    </div>
  )
}
