import { currentTime } from '@/clock'
import type { Metadata } from 'next'
import { Link } from '@/ui/Link'
import { database } from '@/data/connection'
import { readSettings } from '@/data/queries/settings'
import { lastWaterReading } from '@/data/queries/water'
import { findDue } from '@/services/due'
import { DueRows } from '@/ui/due/DueRows'
import { WaterForm } from '@/ui/due/WaterForm'
import { formatDay } from '@/ui/format/format'
import { askTdsMeter, keepWater, putOff, tickOff } from '../actions'

export const dynamic = 'force-dynamic'
export const metadata: Metadata = { title: 'Water' }

export default async function WaterPage() {
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
          <h1>Water without spots</h1>
          <p className="lead-text">
            {filter
              ? `${filter.resinLitres} l of resin against ${filter.hardnessPpm} ppm; about ${filter.litresPerVisit} l a visit.`
              : 'Say in the settings how much resin the filter holds and how hard the water is.'}{' '}
            <Link href="/due">All that is due</Link>
          </p>
        </div>
      </header>
      <DueRows items={resin ? [resin] : []} now={now} actions={{ putOff, tickOff }} />
      <section className="month-head" aria-labelledby="reading">
        <div className="section-head">
          <h2 id="reading">A reading</h2>
        </div>
        {last && (
          <p className="mt-2 mb-0">
            {formatDay(last.at, now)}: {last.beforePpm} ppm before, {last.afterPpm} ppm behind the filter.
          </p>
        )}
        <WaterForm ask={askTdsMeter} keep={keepWater} />
      </section>
    </>
  )
}
