import { getTranslations } from 'next-intl/server'
import { titled } from '@/i18n/titled'
import { Link } from '@/ui/Link'
import { database } from '@/services/records'
import { calendarSecret } from '@/services/due'
import { CalendarPanel } from '@/ui/due/CalendarPanel'
import { renewCalendar, trySubscription } from '../actions'

export const dynamic = 'force-dynamic'
export const generateMetadata = titled('due.calendar.title')

export default async function CalendarPage() {
  const t = await getTranslations()

  const secret = await calendarSecret(await database())
  return (
    <>
      <header className="place-head">
        <div>
          <h1>{t('due.calendar.title')}</h1>
          <p className="lead-text">
            {t.rich('due.calendar.lead', { link: (words) => <Link href="/due">{words}</Link> })}
          </p>
        </div>
      </header>
      <CalendarPanel path={`/api/calendar/${secret}.ics`} renew={renewCalendar} fetchIt={trySubscription} />
    </>
  )
}
