import { currentTime } from '@/clock'
import { database } from '@/data/connection'
import { shopCalendar } from '@/services/calendar'

export const dynamic = 'force-dynamic'

/** The calendar as a file. */
export async function GET(): Promise<Response> {
  return new Response(await shopCalendar(await database(), currentTime()), {
    headers: {
      'content-type': 'text/calendar; charset=utf-8',
      'content-disposition': 'attachment; filename="even-spoke-due.ics"',
      'cache-control': 'no-store',
    },
  })
}
