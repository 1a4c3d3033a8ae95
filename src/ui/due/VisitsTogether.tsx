import { services, type ServiceId } from '@/core/visit-kinds/service'
import { Link } from '@/ui/Link'

export interface ShownVisitTogether {
  readonly wheelSetId: string
  readonly vehicleName: string
  readonly setName: string
  readonly whats: readonly string[]
  readonly service: ServiceId | null
}

interface VisitsTogetherProps {
  readonly visits: readonly ShownVisitTogether[]
  /** Those that are not shown counted, too. */
  readonly count: number
}

/** Sets with several things that one visit would do, soon. */
export function VisitsTogether({ visits, count }: VisitsTogetherProps) {
  if (visits.length === 0) return null
  return (
    <section aria-labelledby="together" className="month-head">
      <div className="section-head">
        <h2 id="together">Goes into one visit</h2>
        <span className="number">{count > visits.length ? `${visits.length} of ${count}` : count}</span>
      </div>
      <ul className="rows">
        {visits.map(({ wheelSetId, vehicleName, setName, whats, service }) => (
          <li key={wheelSetId} className="row-item visit-row">
            <div>
              <b>
                {vehicleName}, {setName}
              </b>
              <p className="soft">{whats.join('; ')}.</p>
            </div>
            {service && (
              <Link
                href={`/wheels/${wheelSetId}/intake?service=${service}`}
                className="btn btn-outline-secondary"
              >
                One visit: {services[service].name.toLowerCase()}
              </Link>
            )}
          </li>
        ))}
      </ul>
    </section>
  )
}
