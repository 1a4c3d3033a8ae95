import { useTranslations } from 'next-intl'

interface SetChoiceProps {
  readonly sets: readonly { readonly id: string; readonly name: string }[]
  /** The set that is on; null: none, or nobody knows. */
  readonly mountedSetId: string | null
  /** The set that goes on; null: none. */
  readonly chosenId: string | null
  readonly choose: (id: string | null) => void
}

/** The sets of a vehicle, of which one goes on. */
export function SetChoice({ sets, mountedSetId, chosenId, choose }: SetChoiceProps) {
  const t = useTranslations()

  const stateOf = (id: string): string => {
    if (id === mountedSetId) return t('protection.change.isOn')
    return chosenId === id ? t('protection.change.goesOn') : t('protection.change.stored')
  }
  return (
    <div className="change-sets" role="group" aria-label={t('protection.change.whichSet')}>
      {sets.map(({ id, name }) => (
        <button
          key={id}
          type="button"
          className="change-set"
          aria-pressed={chosenId === id}
          disabled={id === mountedSetId}
          onClick={() => choose(id)}
        >
          <b>{name}</b>
          <span>{stateOf(id)}</span>
        </button>
      ))}
      {mountedSetId !== null && (
        <button
          type="button"
          className="change-set"
          aria-pressed={chosenId === null}
          onClick={() => choose(null)}
        >
          <b>{t('protection.change.none')}</b>
          <span>{t('protection.change.allStored')}</span>
        </button>
      )}
    </div>
  )
}
