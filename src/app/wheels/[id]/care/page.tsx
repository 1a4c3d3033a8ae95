import { currentTime } from '@/clock'
import { format } from 'date-fns'
import type { Metadata } from 'next'
import { careAdvice } from '@/core/due/careCard'
import { protectionFacts } from '@/core/protection/kinds'
import { database } from '@/data/connection'
import { readSettings } from '@/data/queries/settings'
import { askForecast } from '@/services/askForecast'
import { liveProtection } from '@/services/due'
import { PrintButton } from '@/ui/PrintButton'
import { wheelSetOr404 } from '../findOr404'

export const dynamic = 'force-dynamic'
export const metadata: Metadata = { title: 'Care card' }

interface Props {
  readonly params: Promise<{ id: string }>
}

const day = 'd MMMM yyyy'

export default async function CarePage({ params }: Props) {
  const set = await wheelSetOr404((await params).id)
  const db = await database()
  const now = currentTime()
  const layers = await askForecast(db, now, 'layersOfSet', { wheelSetId: set.id, at: now })
  const { shopName } = await readSettings(db)
  const { wash, never } = careAdvice(
    layers.map(({ facts }) => facts.kind),
    set.wheels.flatMap(({ finishes }) => finishes.map(({ finish }) => finish)),
  )
  const named = [...new Map(layers.map((layer) => [layer.facts.productName, layer])).values()]
  const curing = (await liveProtection(db, set.id, now))
    .filter(({ isCuring }) => isCuring)
    .map(({ curesUntil }) => curesUntil)
    .sort((a, b) => b.getTime() - a.getTime())[0]
  const next = layers
    .filter(({ facts }) => protectionFacts[facts.kind].on === 'wheel')
    .map(({ forecast }) => forecast.topUp)
    .sort((a, b) => a.p50.getTime() - b.p50.getTime())[0]
  return (
    <>
      <div className="no-print mb-3">
        <PrintButton />
      </div>
      <article className="care-card">
        <h1>
          {set.vehicleName}, {set.name}
        </h1>
        <p className="soft">
          {shopName}, {format(now, day)}
        </p>
        <h2>What is on the wheels</h2>
        {named.length === 0 ? (
          <p>Nothing that is on record.</p>
        ) : (
          <ul>
            {named.map(({ facts }) => (
              <li key={facts.productName}>
                {facts.productName}, {protectionFacts[facts.kind].name}, since {format(facts.appliedAt, day)}
              </li>
            ))}
          </ul>
        )}
        {curing && (
          <p>
            <b>Keep everything wet away until {format(curing, 'EEEE d MMMM, HH:mm')}.</b>
          </p>
        )}
        <h2>How to wash it</h2>
        <ul>
          {wash.map((line) => (
            <li key={line}>{line}</li>
          ))}
        </ul>
        <h2>Never</h2>
        <ul>
          {never.map((line) => (
            <li key={line}>{line}</li>
          ))}
        </ul>
        {next && (
          <>
            <h2>Due again</h2>
            <p>
              Around {format(next.p50 < now ? now : next.p50, 'MMMM yyyy')}, give or take: by how the car is
              driven and washed. We tell you when a look says otherwise.
            </p>
          </>
        )}
        <p className="soft">Labels of the products and the maker of the wheels go before this card.</p>
      </article>
    </>
  )
}
