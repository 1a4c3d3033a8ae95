import { CircleCheck, CircleDashed, CircleX } from 'lucide-react'
import Link from 'next/link'
import { visitResultNames, type VisitResult } from '@/core/run/visitResult'
import { formatDay, formatDuration, formatMillilitres, formatMoney } from '../format/format'

/** A visit as the log shows it. */
export interface ShownVisit {
  readonly id: string
  readonly wheelSetId: string
  readonly jobId: string | null
  readonly finishedAt: Date
  readonly vehicleName: string
  readonly wheelSetName: string
  readonly headline: string
  readonly result: VisitResult
  readonly note: string
  readonly operatorSeconds: number
  readonly costMinor: number
  readonly currency: string
  readonly products: readonly { readonly name: string; readonly concentrateMillilitres: number }[]
}

const icons = { clean: CircleCheck, someLeft: CircleDashed, notClean: CircleX }

function ResultMark({ result }: { readonly result: VisitResult }) {
  const Icon = icons[result]
  return (
    <span className={`result-mark is-${result}`}>
      <Icon aria-hidden size={17} /> {visitResultNames[result]}
    </span>
  )
}

/** Rows of visits, newest first. */
export function VisitRows({
  visits,
  now,
  named = true,
}: {
  readonly visits: readonly ShownVisit[]
  readonly now: Date
  readonly named?: boolean
}) {
  return (
    <ul className="rows">
      {visits.map((visit) => (
        <li key={visit.id} className="row-item log-row">
          <div className="number">{formatDay(visit.finishedAt, now)}</div>
          <div>
            {named && (
              <p>
                <Link href={`/wheels/${visit.wheelSetId}`} prefetch={false}>
                  {visit.vehicleName}
                </Link>
                , {visit.wheelSetName}
              </p>
            )}
            <p>
              {visit.headline} <ResultMark result={visit.result} />
            </p>
            {visit.note && <p>“{visit.note}”</p>}
            <p className="soft">
              {visit.products
                .map(
                  ({ name, concentrateMillilitres }) =>
                    `${name} ${formatMillilitres(concentrateMillilitres)}`,
                )
                .join(' · ')}
            </p>
          </div>
          <div className="log-figures">
            {formatDuration(visit.operatorSeconds)}
            <br />
            {formatMoney(visit.costMinor, visit.currency)}
          </div>
        </li>
      ))}
    </ul>
  )
}
