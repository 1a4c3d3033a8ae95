import { currentTime } from '@/clock'
import { endOfWeek, format, isSameMonth } from 'date-fns'
import type { Metadata } from 'next'
import { Live } from '@/app/_parts/Live'
import { dueKinds, surenesses } from '@/core/due/dueItem'
import { database } from '@/data/connection'
import type { NamedDue } from '@/forecast/shopDue'
import { duePage } from '@/services/due'
import { DueFilter, type DueQuery } from '@/ui/due/DueFilter'
import { DueAxis, DueRows, pressing } from '@/ui/due/DueRows'
import { PutAway } from '@/ui/due/PutAway'
import { ReminderForm } from '@/ui/due/ReminderForm'
import { VisitsTogether } from '@/ui/due/VisitsTogether'
import { Link } from '@/ui/Link'
import { textOf, type SearchParams } from '../pageAsked'
import { bringBack, keepReminder, putOff, tickOff } from './actions'

export const dynamic = 'force-dynamic'
export const metadata: Metadata = { title: 'Due' }

/** Rows on one page. */
const shown = 40
/** What falls due within so many days goes into one visit. */
const togetherDays = 30

/** The one of a list that a text names. */
const among = <T extends string>(list: readonly T[], text: string): T | '' =>
  list.find((one) => one === text) ?? ''

const queryOf = (params: SearchParams): DueQuery => ({
  q: textOf(params.q),
  kind: among(dueKinds, textOf(params.kind)),
  sure: among(surenesses, textOf(params.sure)),
  by: params.by === 'vehicle' ? 'vehicle' : 'time',
})

/** Rows before those shown; nonsense asks for the beginning. */
function rowsBefore(from: string | string[] | undefined): number {
  const wanted = Number(textOf(from))
  return Number.isInteger(wanted) && wanted > 0 ? wanted : 0
}

const addressOf = (query: DueQuery, from: number): string => {
  const asked = Object.entries({ ...query, from: from > 0 ? String(from) : '' }).filter(
    ([, value]) => value !== '',
  )
  return `/due?${new URLSearchParams(asked).toString()}`
}

function groupTitle(item: NamedDue, { by }: DueQuery, now: Date): string {
  if (by === 'vehicle') return item.setName ? `${item.vehicleName}, ${item.setName}` : item.vehicleName
  const how = pressing(item, now)
  if (how === 'over' || how === 'now') return 'Due now'
  if (item.at <= endOfWeek(now, { weekStartsOn: 1 })) return 'This week'
  return isSameMonth(item.at, now) ? 'Later this month' : format(item.at, 'MMMM yyyy')
}

function grouped<T>(items: readonly T[], keyOf: (item: T) => string): [string, T[]][] {
  const groups = new Map<string, T[]>()
  for (const item of items) groups.set(keyOf(item), [...(groups.get(keyOf(item)) ?? []), item])
  return [...groups]
}

export default async function DuePage({ searchParams }: { searchParams: Promise<SearchParams> }) {
  const now = currentTime()
  const params = await searchParams
  const query = queryOf(params)
  const page = await duePage(await database(), now, {
    text: query.q,
    kind: query.kind || null,
    sureness: query.sure || null,
    by: query.by,
    from: rowsBefore(params.from),
    most: shown,
    togetherDays,
  })
  const { rows, from, count } = page
  return (
    <>
      <Live topics={['due', 'stock', 'sets']} />
      <header className="place-head">
        <div>
          <h1>Due</h1>
          <p className="lead-text">
            Each bar spans what the day lies between in eight of ten cases; the mark is the middle. Looks at
            the wheels narrow it. <Link href="/due/lasting">Which lasts longer, and how often this held</Link>
            . <Link href="/due/calendar">Calendar</Link>. <Link href="/due/water">Water</Link>.
          </p>
        </div>
      </header>
      <DueFilter query={query} />
      {!page.isAnythingDue && (
        <p className="py-3">
          Nothing is protected yet. When a job ends with a protection, or you enter what is on a wheel, its
          date stands here. <Link href="/wheels">Wheel sets</Link>
        </p>
      )}
      {page.isAnythingDue && count === 0 && <p className="py-3">Nothing of that is due.</p>}
      {from === 0 && <VisitsTogether visits={page.together} count={page.togetherCount} />}
      {grouped(rows, (item) => groupTitle(item, query, now)).map(([title, group], at) => (
        <section key={title} className="month-head">
          <div className="section-head">
            <h2>{title}</h2>
            <span className="number">{group.length}</span>
          </div>
          {at === 0 && <DueAxis now={now} />}
          <DueRows items={group} now={now} actions={{ putOff, tickOff }} named={query.by === 'time'} />
        </section>
      ))}
      {count > shown && (
        <nav className="pager" aria-label="Pages of what is due">
          {from > 0 && (
            <Link href={addressOf(query, Math.max(0, from - shown))} className="btn btn-outline-secondary">
              Before these
            </Link>
          )}
          <span className="number">
            {from + 1} to {from + rows.length} of {count}
          </span>
          {from + shown < count && (
            <Link href={addressOf(query, from + shown)} className="btn btn-outline-secondary">
              After these
            </Link>
          )}
        </nav>
      )}
      <PutAway items={page.putAway} count={page.putAwayCount} bringBack={bringBack} />
      <section aria-labelledby="own-reminder" className="month-head">
        <div className="section-head">
          <h2 id="own-reminder">A reminder of your own</h2>
        </div>
        <ReminderForm wheelSetId={null} keep={keepReminder} />
      </section>
    </>
  )
}
