import { formatDistanceStrict } from 'date-fns'
import Link from 'next/link'
import { Fragment } from 'react'
import type { LayerDue } from '@/core/protection/due'
import { soonestDue, type DueEntry } from '@/core/protection/dueEntry'
import { formatDay } from '../format/format'

const axleNames = { front: 'front', rear: 'rear' }

function whenText(due: LayerDue, now: Date): string {
  switch (due.state) {
    case 'curing':
      return 'curing'
    case 'renew':
      return `${formatDistanceStrict(due.renewAt, now)} over`
    case 'topUp':
      return 'top up now'
    case 'good':
      return formatDay(due.topUpAt, now)
  }
}

interface DueRowsProps {
  readonly entries: readonly DueEntry[]
  readonly now: Date
  /** Whether to say whose it is; not needed on the page of one set. */
  readonly named?: boolean
}

/** Rows of what is due: whose, what, the share of its life used as length for each axle, and when. */
export function DueRows({ entries, now, named = true }: DueRowsProps) {
  return (
    <ul className="rows">
      {entries.map((entry) => {
        const soonest = soonestDue(entry)
        return (
          <li
            key={`${entry.wheelSetId} ${entry.kindName} ${entry.appliedAt.getTime()}`}
            className="row-item due-row"
          >
            <div>
              {named && (
                <>
                  <Link href={`/wheels/${entry.wheelSetId}`} prefetch={false}>
                    {entry.vehicleName}
                  </Link>
                  , {entry.wheelSetName}
                  <br />
                </>
              )}
              <span className={named ? 'soft' : ''}>
                {entry.productName}, {formatDay(entry.appliedAt, now)}
              </span>
            </div>
            <div className="lives">
              {entry.axles.map(({ axle, due }) => (
                <Fragment key={axle}>
                  <span aria-hidden>{axleNames[axle]}</span>
                  <div
                    className={`life is-${due.state}`}
                    role="img"
                    aria-label={`${entry.kindName} on the ${axleNames[axle]} wheels: ${Math.round(due.usedShare * 100)} % of its estimated life used`}
                  >
                    <span style={{ width: `${Math.min(1, due.usedShare) * 100}%` }} />
                  </div>
                </Fragment>
              ))}
            </div>
            <div className={`when is-${soonest.state}`}>{whenText(soonest, now)}</div>
          </li>
        )
      })}
    </ul>
  )
}
