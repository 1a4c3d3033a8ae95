import type { Message } from '@/core/message/message'
import { useSay } from '@/i18n/useSay'
import { useTranslations } from 'next-intl'
import type { ServiceId } from '@/core/visit-kinds/service'
import { Link } from '@/ui/Link'

export interface ShownVisitTogether {
  readonly wheelSetId: string
  readonly vehicleName: string
  readonly setName: string
  readonly whats: readonly Message[]
  readonly service: ServiceId | null
}

interface VisitsTogetherProps {
  readonly visits: readonly ShownVisitTogether[]
  /** Those that are not shown counted, too. */
  readonly count: number
}

/** Sets with several things that one visit would do, soon. */
export function VisitsTogether({ visits, count }: VisitsTogetherProps) {
  const t = useTranslations()
  const say = useSay()

  if (visits.length === 0) return null
  return (
    <section aria-labelledby="together" className="month-head">
      <div className="section-head">
        <h2 id="together">{t('due.together.title')}</h2>
        <span className="number">
          {count > visits.length ? t('due.together.count', { shown: visits.length, all: count }) : count}
        </span>
      </div>
      <ul className="rows">
        {visits.map(({ wheelSetId, vehicleName, setName, whats, service }) => (
          <li key={wheelSetId} className="row-item visit-row">
            <div>
              <b>
                {vehicleName}, {setName}
              </b>
              <p className="soft">{whats.map(say).join(' · ')}</p>
            </div>
            {service && (
              <Link
                href={`/wheels/${wheelSetId}/intake?service=${service}`}
                className="btn btn-outline-secondary"
              >
                {t('due.together.plan', { service: t(`terms.visit.${service}`) })}
              </Link>
            )}
          </li>
        ))}
      </ul>
    </section>
  )
}
