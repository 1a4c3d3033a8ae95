import type { Formats } from '@/i18n/formats'
import { getFormats } from '@/i18n/getFormats'
import type { Translator } from '@/i18n/translator'
import { getTranslations } from 'next-intl/server'
import { titled } from '@/i18n/titled'
import { currentTime } from '@/clock'
import { endOfWeek, isSameMonth } from 'date-fns'
import { Live } from '@/app/_parts/Live'
import { dueKinds, type NamedDue, surenesses } from '@/core/due'
import { database } from '@/services/records'
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
export const generateMetadata = titled('due.title')

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

function groupTitle(item: NamedDue, { by }: DueQuery, now: Date, t: Translator, formats: Formats): string {
  if (by === 'vehicle') return item.setName ? `${item.vehicleName}, ${item.setName}` : item.vehicleName
  const how = pressing(item, now)
  if (how === 'over' || how === 'now' || how === 'missed') return t('due.groups.now')
  if (item.at <= endOfWeek(now, { weekStartsOn: formats.weekStartsOn })) return t('due.groups.thisWeek')
  return isSameMonth(item.at, now) ? t('due.groups.thisMonth') : formats.month(item.at, 'long', true)
}

function grouped<T>(items: readonly T[], keyOf: (item: T) => string): [string, T[]][] {
  const groups = new Map<string, T[]>()
  for (const item of items) groups.set(keyOf(item), [...(groups.get(keyOf(item)) ?? []), item])
  return [...groups]
}

export default async function DuePage({ searchParams }: { searchParams: Promise<SearchParams> }) {
  const formats = await getFormats()
  const t = await getTranslations()

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
          <h1>{t('due.title')}</h1>
          <p className="lead-text">
            {t.rich('due.lead', {
              lasting: (words) => <Link href="/due/lasting">{words}</Link>,
              calendar: (words) => <Link href="/due/calendar">{words}</Link>,
              water: (words) => <Link href="/due/water">{words}</Link>,
            })}
          </p>
        </div>
      </header>
      <DueFilter query={query} />
      {!page.isAnythingDue && (
        <p className="py-3">
          {t.rich('due.nothing', { link: (words) => <Link href="/wheels">{words}</Link> })}
        </p>
      )}
      {page.isAnythingDue && count === 0 && <p className="py-3">{t('due.noMatch')}</p>}
      {from === 0 && <VisitsTogether visits={page.together} count={page.togetherCount} />}
      {grouped(rows, (item) => groupTitle(item, query, now, t, formats)).map(([title, group], at) => (
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
        <nav className="pager" aria-label={t('due.pages.label')}>
          {from > 0 && (
            <Link href={addressOf(query, Math.max(0, from - shown))} className="btn btn-outline-secondary">
              {t('due.pages.earlier')}
            </Link>
          )}
          <span className="number">
            {t('due.pages.range', { from: from + 1, to: from + rows.length, count })}
          </span>
          {from + shown < count && (
            <Link href={addressOf(query, from + shown)} className="btn btn-outline-secondary">
              {t('due.pages.later')}
            </Link>
          )}
        </nav>
      )}
      <PutAway items={page.putAway} count={page.putAwayCount} bringBack={bringBack} />
      <section aria-labelledby="own-reminder" className="month-head">
        <div className="section-head">
          <h2 id="own-reminder">{t('due.reminder.title')}</h2>
        </div>
        <ReminderForm keep={keepReminder} />
      </section>
    </>
  )
}
