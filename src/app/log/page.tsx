import { isOwner } from '@/app/access'
import { currentTime } from '@/clock'
import { endOfDay, isValid, parseISO } from 'date-fns'
import type { Metadata } from 'next'
import { isUuid } from '@/contracts/fields'
import { database } from '@/data/connection'
import { countVisitsUpTo, listVisits } from '@/data/queries/visits'
import { findWheelSet } from '@/data/queries/wheelSets'
import { LogFilter } from '@/ui/log/LogFilter'
import { VisitRows } from '@/ui/log/VisitRows'
import { Link } from '@/ui/Link'
import { Pager } from '@/ui/Pager'
import { pageAsked, textOf, type SearchParams } from '../pageAsked'

export const dynamic = 'force-dynamic'
export const metadata: Metadata = { title: 'Log' }

const rowsShown = 25
/** Counting stops here; nobody needs to know how many more. */
const countedAtMost = 10_000

const dayOf = (text: string): Date | null => {
  const day = /^\d{4}-\d\d-\d\d$/.test(text) ? parseISO(text) : null
  return day && isValid(day) ? endOfDay(day) : null
}

function leadOf(count: number, isAsked: boolean): string {
  if (count === 0)
    return isAsked
      ? 'No visit of that.'
      : 'Every finished job is written down here: what was used, how long it took, what it cost, how it went.'
  const many = count === countedAtMost ? `More than ${countedAtMost - 1}` : String(count)
  return `${many} ${count === 1 ? 'visit' : 'visits'}, newest first. Minutes are planned hand time, costs are product only.`
}

export default async function LogPage({ searchParams }: { searchParams: Promise<SearchParams> }) {
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
          <h1>{ofSet ? `Log of ${ofSet.vehicleName}, ${ofSet.name}` : 'Log'}</h1>
          <p className="lead-text">{leadOf(count, isAsked)}</p>
        </div>
      </header>
      {(count > 0 || isAsked) && <LogFilter search={q} until={which.until ? until : ''} set={set} />}
      {count === 0 && <Link href={isAsked ? '/log' : '/'}>{isAsked ? 'Show all' : 'Back to today'}</Link>}
      <VisitRows visits={page.rows} now={currentTime()} showsCosts={await isOwner()} named={!set} />
      <Pager
        label="Pages of the log"
        path="/log"
        query={{ q, until: which.until ? until : '', set }}
        page={page}
        earlier="Newer"
        later="Older"
      />
    </>
  )
}
