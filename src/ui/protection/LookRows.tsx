import { useFormats } from '@/i18n/useFormats'
import { useTranslations } from 'next-intl'
import type { LookGrade } from '@/core/protection/record'
import type { Position } from '@/core/wheel/position'
import { Link } from '../Link'
import { ActionButton, type ActionButtonProps } from '../form/ActionButton'

interface Look {
  readonly id: string
  readonly at: Date
  readonly positions: readonly Position[]
  readonly beading: LookGrade
  readonly glossUnits: number | null
  readonly afterReviving: boolean
}

interface LookRowsProps {
  readonly looks: readonly Look[]
  readonly now: Date
  readonly takeBack: (lookId: string) => ReturnType<ActionButtonProps['action']>
  /** Page with all of them; null: these are all. */
  readonly allAt: string | null
}

/** The last looks; each can be taken back. */
export function LookRows({ looks, now, takeBack, allAt }: LookRowsProps) {
  const formats = useFormats()
  const t = useTranslations()

  return (
    <section aria-labelledby="looks" className="mt-4">
      <div className="section-head">
        <h2 id="looks">{t('protection.checks.title')}</h2>
      </div>
      {looks.length === 0 && <p className="py-2">{t('protection.checks.none')}</p>}
      <ul className="rows">
        {looks.map((look) => (
          <li key={look.id} className="row-item stock-row">
            <span>
              {formats.day(look.at, now)},{' '}
              {look.positions.map((at) => t(`terms.positionShort.${at}`)).join(', ')}:{' '}
              {t(`terms.beading.${look.beading}`)}
              {look.afterReviving && t('protection.checks.afterReviving')}
              {look.glossUnits !== null && t('protection.checks.gloss', { units: look.glossUnits })}
            </span>
            <ActionButton
              action={takeBack.bind(null, look.id)}
              className="btn btn-quiet"
              label={t('protection.checks.deleteLabel', { day: formats.day(look.at, now) })}
            >
              {t('protection.checks.delete')}
            </ActionButton>
          </li>
        ))}
      </ul>
      {allAt && (
        <Link href={allAt} scroll={false}>
          {t('protection.checks.showAll')}
        </Link>
      )}
    </section>
  )
}
