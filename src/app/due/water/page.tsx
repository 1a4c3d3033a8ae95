import { getFormats } from '@/i18n/getFormats'
import { getTranslations } from 'next-intl/server'
import { titled } from '@/i18n/titled'
import { currentTime } from '@/clock'
import { Link } from '@/ui/Link'
import { database } from '@/services/records'
import { readSettings } from '@/services/settings'
import { findDue, lastWaterReading } from '@/services/due'
import { DueRows } from '@/ui/due/DueRows'
import { WaterForm } from '@/ui/due/WaterForm'
import { askTdsMeter, keepWater, putOff, tickOff } from '../actions'

export const dynamic = 'force-dynamic'
export const generateMetadata = titled('due.water.title')

export default async function WaterPage() {
  const formats = await getFormats()
  const t = await getTranslations()

  const db = await database()
  const now = currentTime()
  const [{ filter }, last, resin] = await Promise.all([
    readSettings(db),
    lastWaterReading(db),
    findDue(db, now, 'resin'),
  ])
  return (
    <>
      <header className="place-head">
        <div>
          <h1>{t('due.water.heading')}</h1>
          <p className="lead-text">
            {filter
              ? t('due.water.filter', {
                  resin: formats.volume(1000 * filter.resinLitres),
                  hardness: formats.quantity(filter.hardnessPpm, 'hardness'),
                  use: formats.volume(1000 * filter.litresPerVisit),
                })
              : t('due.water.noFilter')}{' '}
            <Link href="/due">{t('due.everything')}</Link>
          </p>
        </div>
      </header>
      <DueRows items={resin ? [resin] : []} now={now} actions={{ putOff, tickOff }} />
      <section className="month-head" aria-labelledby="reading">
        <div className="section-head">
          <h2 id="reading">{t('due.water.reading')}</h2>
        </div>
        {last && (
          <p className="mt-2 mb-0">
            {t('due.water.last', {
              day: formats.day(last.at, now),
              before: formats.quantity(last.beforePpm, 'hardness'),
              after: formats.quantity(last.afterPpm, 'hardness'),
            })}
          </p>
        )}
        <WaterForm ask={askTdsMeter} keep={keepWater} />
      </section>
    </>
  )
}
