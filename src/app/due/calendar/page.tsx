import type { Metadata } from 'next'
import { Link } from '@/ui/Link'
import { database } from '@/data/connection'
import { calendarSecret } from '@/data/queries/calendarSecret'
import { CalendarPanel } from '@/ui/due/CalendarPanel'
import { renewCalendar, trySubscription } from '../actions'

export const dynamic = 'force-dynamic'
export const metadata: Metadata = { title: 'Calendar' }

export default async function CalendarPage() {
  const secret = await calendarSecret(await database())
  return (
    <>
      <header className="place-head">
        <div>
          <h1>Calendar</h1>
          <p className="lead-text">
            Everything that falls due as whole days, planned jobs with their hour.{' '}
            <Link href="/due">All that is due</Link>
          </p>
        </div>
      </header>
      <CalendarPanel path={`/api/calendar/${secret}.ics`} renew={renewCalendar} fetchIt={trySubscription} />
    </>
  )
}
