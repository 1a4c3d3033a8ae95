import { currentTime } from '@/clock'
import { database } from '@/services/records'
import { shopCalendar } from '@/services/due'
import { route } from '@/app/access'

export const dynamic = 'force-dynamic'

/** The calendar as a file. */
export const GET = route('owner', async () => {
  return new Response(await shopCalendar(await database(), currentTime()), {
    headers: {
      'content-type': 'text/calendar; charset=utf-8',
      'content-disposition': 'attachment; filename="even-spoke-due.ics"',
      'cache-control': 'no-store',
    },
  })
})
