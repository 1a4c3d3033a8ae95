import { problemAnswer } from '@/app/problemAnswer'
import { message } from '@/core/message/message'
import { currentTime } from '@/clock'
import { createHash, timingSafeEqual } from 'node:crypto'
import { database } from '@/services/records'
import { calendarSecret, shopCalendar } from '@/services/due'
import { route } from '@/app/access'

export const dynamic = 'force-dynamic'

const digest = (text: string): Buffer => createHash('sha256').update(text).digest()

/** The calendar at its address with a secret, for a calendar that subscribes to it. */
export const GET = route<{ params: Promise<{ secret: string }> }>('anyone', async (_, { params }) => {
  const asked = (await params).secret.replace(/\.ics$/, '')
  const db = await database()
  if (!timingSafeEqual(digest(asked), digest(await calendarSecret(db))))
    return problemAnswer(404, [
      {
        path: 'secret',
        found: message('problems.calendar.otherAddress'),
        fix: message('problems.calendar.expired'),
      },
    ])
  return new Response(await shopCalendar(db, currentTime()), {
    headers: { 'content-type': 'text/calendar; charset=utf-8', 'cache-control': 'no-store' },
  })
})
