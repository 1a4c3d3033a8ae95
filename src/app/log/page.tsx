import type { Translator } from '@/i18n/translator'
import { getTranslations } from 'next-intl/server'
import { titled } from '@/i18n/titled'
import { isOwner } from '@/app/access'
import { currentTime } from '@/clock'
import { endOfDay, isValid, parseISO } from 'date-fns'
import { isUuid } from '@/contracts/fields'
import { database } from '@/services/records'
import { countVisitsUpTo, listVisits } from '@/services/log'
import { findWheelSet } from '@/services/wheel-sets'
import { LogFilter } from '@/ui/log/LogFilter'
import { VisitRows } from '@/ui/log/VisitRows'
import { Link } from '@/ui/Link'
import { Pager } from '@/ui/Pager'
import { pageAsked, textOf, type SearchParams } from '../pageAsked'

export const dynamic = 'force-dynamic'
export const generateMetadata = titled('log.title')

const rowsShown = 25
/** Counting stops here; nobody needs to know how many more. */
const countedAtMost = 10_000

const dayOf = (text: string): Date | null => {
  const day = /^\d{4}-\d\d-\d\d$/.test(text) ? parseISO(text) : null
  return day && isValid(day) ? endOfDay(day) : null
}

function leadOf(count: number, isAsked: boolean, t: Translator): string {
  if (count === 0) return t(isAsked ? 'log.noMatch' : 'log.empty')
  return count === countedAtMost ? t('log.leadMany', { count: countedAtMost - 1 }) : t('log.lead', { count })
}

export default async function LogPage({ searchParams }: { searchParams: Promise<SearchParams> }) {
  const t = await getTranslations()

  const params = await searchParams
  const [q, until, wanted] = [textOf(params.q), textOf(params.until), textOf(params.set)]
  const set = isUuid(wanted) ? wanted : ''
  const db = await database()
  const which = { wheelSetId: set || null, search: q.trim(), until: dayOf(until) }
  const page = await listVisits(db, { ...which, ...pageAsked(params, rowsShown) })
  const count = await countVisitsUpTo(db, countedAtMost, which)
  const ofSet = set ? await findWheelSet(db, set) : null
  const isAsked = set !== '' || q !== '' || which.until !== null
  return (
    <>
      <header className="place-head">
        <div>
          <h1>
            {ofSet ? t('log.titleOfSet', { vehicle: ofSet.vehicleName, set: ofSet.name }) : t('log.title')}
          </h1>
          <p className="lead-text">{leadOf(count, isAsked, t)}</p>
        </div>
      </header>
      {(count > 0 || isAsked) && <LogFilter search={q} until={which.until ? until : ''} set={set} />}
      {count === 0 && (
        <Link href={isAsked ? '/log' : '/'}>{isAsked ? t('log.showAll') : t('log.toToday')}</Link>
      )}
      <VisitRows visits={page.rows} now={currentTime()} showsCosts={await isOwner()} named={!set} />
      <Pager
        label={t('log.pages.label')}
        path="/log"
        query={{ q, until: which.until ? until : '', set }}
        page={page}
        earlier={t('log.pages.newer')}
        later={t('log.pages.older')}
      />
    </>
  )
}
