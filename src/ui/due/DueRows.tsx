import Link from 'next/link'
import { formatAgo, formatDay } from '../format/format'
import type { DueEntry } from '@/core/protection/dueEntry'

const axleNames = { front: 'fronts', rear: 'rears' }

function whenText({ due }: DueEntry, now: Date): string {
  switch (due.state) {
    case 'curing':
      return 'curing'
    case 'renew':
      return `renew, ${formatAgo(due.renewAt, now)}`
    case 'topUp':
      return 'top up now'
    case 'good':
      return formatDay(due.topUpAt, now)
  }
}

/** Rows of what is due: whose, where, how much of its life is used as length, and when. */
export function DueRows({
  entries,
  now,
  named = true,
}: {
  readonly entries: readonly DueEntry[]
  readonly now: Date
  readonly named?: boolean
}) {
  return (
    <ul className="rows">
      {entries.map((entry) => {
        const used = Math.min(1, entry.due.usedShare)
        return (
          <li
            key={`${entry.wheelSetId} ${entry.kindName} ${entry.axle} ${entry.appliedAt.getTime()}`}
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
                {entry.productName} ({entry.kindName}), {axleNames[entry.axle]},{' '}
                {formatDay(entry.appliedAt, now)}
              </span>
            </div>
            <div
              className={`life is-${entry.due.state}`}
              role="img"
              aria-label={`${Math.round(entry.due.usedShare * 100)} % of its estimated life used`}
            >
              <span style={{ width: `${used * 100}%` }} />
            </div>
            <div className={`when is-${entry.due.state}`}>{whenText(entry, now)}</div>
          </li>
        )
      })}
    </ul>
  )
}
