import { addDays, endOfWeek, format, isSameMonth } from 'date-fns'
import type { Metadata } from 'next'
import { Link } from '@/ui/Link'
import { dueKinds, surenesses } from '@/core/due/dueItem'
import { oneVisitFor } from '@/core/due/dueList'
import { services } from '@/core/services/service'
import { database } from '@/data/connection'
import { listOpenAndPutAway, type NamedDue } from '@/services/dueList'
import { DueFilter, type DueQuery } from '@/ui/due/DueFilter'
import { DueAxis, DueRows, pressing } from '@/ui/due/DueRows'
import { ActionButton } from '@/ui/form/ActionButton'
import { ReminderForm } from '@/ui/due/ReminderForm'
import { textOf, type SearchParams } from '../pageAsked'
import { bringBack, keepReminder, putOff, tickOff } from './actions'

export const dynamic = 'force-dynamic'
export const metadata: Metadata = { title: 'Due' }

/** Rows on one page. */
const shown = 40
/** What falls due within so many days goes into one visit. */
const togetherDays = 30

interface Props {
  readonly searchParams: Promise<SearchParams>
}

function queryOf(params: SearchParams): DueQuery {
  const [kind, sure] = [textOf(params.kind), textOf(params.sure)]
  return {
    q: textOf(params.q),
    kind: (dueKinds as readonly string[]).includes(kind) ? kind : '',
    sure: (surenesses as readonly string[]).includes(sure) ? sure : '',
    by: params.by === 'vehicle' ? 'vehicle' : 'time',
  }
}

/** Rows that are left out before; nonsense, and what lies beyond the end, asks for the beginning. */
function firstShown(from: string | string[] | undefined, count: number): number {
  const wanted = Number(textOf(from))
  return Number.isInteger(wanted) && wanted > 0 && wanted < count ? wanted : 0
}

const addressOf = (query: DueQuery, from: number): string => {
  const asked = Object.entries({ ...query, from: from > 0 ? String(from) : '' }).filter(
    ([, value]) => value !== '',
  )
  return `/due?${new URLSearchParams(asked).toString()}`
}

const isAsked = ({ q, kind, sure }: DueQuery, item: NamedDue): boolean =>
  (kind === '' || item.kind === kind) &&
  (sure === '' || item.sureness === sure) &&
  `${item.vehicleName} ${item.setName}`.toLowerCase().includes(q.trim().toLowerCase())

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

/** Sets with several things a visit would do, soon. */
function OneVisits({ items, now }: { readonly items: readonly NamedDue[]; readonly now: Date }) {
  const soon = items.filter(
    ({ remedy, at, wheelSetId }) =>
      remedy.kind === 'visit' && wheelSetId !== null && at <= addDays(now, togetherDays),
  )
  const visits = grouped(soon, ({ wheelSetId }) => wheelSetId ?? '').filter(([, own]) => own.length > 1)
  if (visits.length === 0) return null
  return (
    <section aria-labelledby="together" className="month-head">
      <div className="section-head">
        <h2 id="together">Goes into one visit</h2>
        <span className="number">{visits.length}</span>
      </div>
      <ul className="rows">
        {visits.slice(0, 6).map(([id, own]) => {
          const service = oneVisitFor(own)
          return (
            <li key={id} className="row-item visit-row">
              <div>
                <b>
                  {own[0]?.vehicleName}, {own[0]?.setName}
                </b>
                <p className="soft">{own.map(({ what }) => what).join('; ')}.</p>
              </div>
              {service && (
                <Link href={`/wheels/${id}/intake?service=${service}`} className="btn btn-outline-secondary">
                  One visit: {services[service].name.toLowerCase()}
                </Link>
              )}
            </li>
          )
        })}
      </ul>
    </section>
  )
}

export default async function DuePage({ searchParams }: Props) {
  const now = new Date()
  const params = await searchParams
  const query = queryOf(params)
  const { open: all, putAway } = await listOpenAndPutAway(await database(), now)
  const items = all.filter((item) => isAsked(query, item))
  const asked =
    query.by === 'vehicle'
      ? [...items].sort((a, b) =>
          `${a.vehicleName} ${a.setName}`.localeCompare(`${b.vehicleName} ${b.setName}`),
        )
      : items
  const from = firstShown(params.from, asked.length)
  const actions = { putOff, tickOff }
  return (
    <>
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
      {all.length === 0 && (
        <p className="py-3">
          Nothing is protected yet. When a job ends with a protection, or you enter what is on a wheel, its
          date stands here. <Link href="/wheels">Wheel sets</Link>
        </p>
      )}
      {all.length > 0 && items.length === 0 && <p className="py-3">Nothing of that is due.</p>}
      {from === 0 && <OneVisits items={asked} now={now} />}
      {grouped(asked.slice(from, from + shown), (item) => groupTitle(item, query, now)).map(
        ([title, group], at) => (
          <section key={title} className="month-head">
            <div className="section-head">
              <h2>{title}</h2>
              <span className="number">{group.length}</span>
            </div>
            {at === 0 && <DueAxis now={now} />}
            <DueRows items={group} now={now} actions={actions} named={query.by === 'time'} />
          </section>
        ),
      )}
      {items.length > shown && (
        <nav className="pager" aria-label="Pages of what is due">
          {from > 0 && (
            <Link href={addressOf(query, Math.max(0, from - shown))} className="btn btn-outline-secondary">
              Before these
            </Link>
          )}
          <span className="number">
            {from + 1} to {Math.min(items.length, from + shown)} of {items.length}
          </span>
          {from + shown < items.length && (
            <Link href={addressOf(query, from + shown)} className="btn btn-outline-secondary">
              After these
            </Link>
          )}
        </nav>
      )}
      {putAway.length > 0 && (
        <details className="month-head">
          <summary>
            {putAway.length} put off or done already
            {putAway.length > shown && `; the first ${shown}`}
          </summary>
          <ul className="rows">
            {putAway.slice(0, shown).map((item) => (
              <li key={item.key} className="row-item stock-row">
                <span>
                  {item.what}
                  {item.setName && `, ${item.vehicleName}, ${item.setName}`}
                </span>
                <ActionButton
                  action={bringBack.bind(null, item.key)}
                  className="btn btn-quiet"
                  label={`Bring back: ${item.what}`}
                >
                  Bring back
                </ActionButton>
              </li>
            ))}
          </ul>
        </details>
      )}
      <section aria-labelledby="own-reminder" className="month-head">
        <div className="section-head">
          <h2 id="own-reminder">A reminder of your own</h2>
        </div>
        <ReminderForm wheelSetId={null} keep={keepReminder} />
      </section>
    </>
  )
}
