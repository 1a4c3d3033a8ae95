import type { Metadata } from 'next'
import { Link } from '@/ui/Link'
import { familyOf } from '@/core/chemistry/families'
import { protectionFacts } from '@/core/protection/kinds'
import { positionShortNames } from '@/core/wheel/position'
import { database } from '@/data/connection'
import { listProducts } from '@/data/queries/cabinet'
import { listReadings } from '@/data/queries/driving'
import { listLooks } from '@/data/queries/looks'
import { askForecast } from '@/services/askForecast'
import { ActionButton } from '@/ui/form/ActionButton'
import { formatDay } from '@/ui/format/format'
import { beadNames } from '@/ui/look/lookWords'
import { LayerChart } from '@/ui/protection/LayerChart'
import { LayerForm } from '@/ui/protection/LayerForm'
import { OdometerForm } from '@/ui/protection/OdometerForm'
import { RenewalForm } from '@/ui/protection/RenewalForm'
import { WhyDueWords } from '@/ui/protection/WhyDueWords'
import { keepLayer, keepReading, keepRenewal, takeLookBack } from '../../protectionActions'
import { wheelSetOr404 } from '../findOr404'

export const dynamic = 'force-dynamic'
export const metadata: Metadata = { title: 'Protection' }

interface Props {
  readonly params: Promise<{ id: string }>
}

const axleNames = { front: 'fronts', rear: 'rears' }
const looksShown = 8

export default async function ProtectionPage({ params }: Props) {
  const { id } = await params
  const set = await wheelSetOr404(id)
  const db = await database()
  const now = new Date()
  const [layers, looks, products, readings] = await Promise.all([
    askForecast(db, now, 'layersOfSet', { wheelSetId: id, at: now }),
    listLooks(db, id, looksShown),
    listProducts(db),
    listReadings(db, set.vehicleId),
  ])
  const positions = set.wheels.map(({ position }) => position)
  const known = products.flatMap(({ family: familyId, name, archived }) => {
    const family = familyOf(familyId)
    return family.purpose === 'protect' && !archived ? [{ kind: family.protection, name }] : []
  })
  const beading = layers.filter(({ facts }) => protectionFacts[facts.kind].on === 'wheel')
  const others = layers.filter(({ facts }) => protectionFacts[facts.kind].on !== 'wheel')
  const lastReading = readings.at(-1)
  return (
    <>
      <header className="place-head">
        <div>
          <h1>Protection</h1>
          <p className="lead-text">
            <Link href={`/wheels/${id}`}>
              {set.vehicleName}, {set.name}
            </Link>
          </p>
        </div>
        <div className="chips">
          <Link href={`/wheels/${id}/care`} className="btn btn-outline-secondary">
            Care card
          </Link>
          <Link href={`/wheels/${id}/look`} className="btn btn-primary">
            Enter a look
          </Link>
        </div>
      </header>
      <div className="set-place">
        <div>
          {beading.length === 0 && (
            <p className="py-3">Nothing is on record on the wheels. Enter below what was put on, and when.</p>
          )}
          {beading.map(({ facts, forecast, why, course, looks: seen, washes, winters }) => (
            <section
              key={forecast.id}
              className="mb-4"
              aria-label={`${facts.productName}, ${axleNames[facts.axle]}`}
            >
              <div className="section-head">
                <h2>
                  {facts.productName}, {axleNames[facts.axle]}
                </h2>
                <span className="number">{Math.round(Math.max(0, 1 - forecast.usedShare) * 100)} % left</span>
              </div>
              <p className="mt-2 mb-0">
                Top up {formatDay(forecast.topUp.p50, now)} ({formatDay(forecast.topUp.p10, now)} to{' '}
                {formatDay(forecast.topUp.p90, now)}), gone {formatDay(forecast.renew.p50, now)} (
                {formatDay(forecast.renew.p10, now)} to {formatDay(forecast.renew.p90, now)}). Put on{' '}
                {formatDay(facts.appliedAt, now)}
                {facts.coats > 1 && `, ${facts.coats} coats`}.
              </p>
              {forecast.clog.kind === 'clogged' && (
                <p className="clog-note">
                  Clogged, perhaps: it looks worse than it should.{' '}
                  <Link href={`/wheels/${id}/intake?service=coatedMaintenance`}>Plan a reviving wash</Link>,
                  then <Link href={`/wheels/${id}/look?after=reviving`}>look again</Link>.
                </p>
              )}
              {forecast.clog.kind === 'wasClogged' && (
                <p className="clog-note">It was clogged: after a reviving wash it showed what is left.</p>
              )}
              {forecast.clog.kind === 'gone' && (
                <p className="clog-note">No better after a reviving wash: renew it.</p>
              )}
              <LayerChart
                label={`What is left of ${facts.productName} on the ${axleNames[facts.axle]}: ${Math.round(Math.max(0, 1 - forecast.usedShare) * 100)} % now`}
                course={course}
                looks={seen}
                washes={washes}
                winters={winters}
                now={now}
              />
              <WhyDueWords why={why} />
            </section>
          ))}
          <p className="soft">
            Dots: looks; turned squares after a reviving wash. Strokes on the ground: washes. Grey: winters.
            Dashed: where a top-up is due.
          </p>
        </div>
        <div>
          {others.length > 0 && (
            <section aria-labelledby="other-layers">
              <div className="section-head">
                <h2 id="other-layers">Tyres and trim</h2>
              </div>
              <ul className="rows">
                {others.map(({ facts, forecast }) => (
                  <li key={forecast.id} className="row-item stock-row">
                    <span>
                      {facts.productName}, {axleNames[facts.axle]}
                    </span>
                    <span className="number">{formatDay(forecast.renew.p50, now)}</span>
                  </li>
                ))}
              </ul>
            </section>
          )}
          <section aria-labelledby="looks" className="mt-4">
            <div className="section-head">
              <h2 id="looks">Looks</h2>
            </div>
            {looks.length === 0 && (
              <p className="py-2">None yet. Each one moves the dates and makes them surer.</p>
            )}
            <ul className="rows">
              {looks.map((look) => (
                <li key={look.id} className="row-item stock-row">
                  <span>
                    {formatDay(look.at, now)}, {look.positions.map((at) => positionShortNames[at]).join(', ')}
                    : {beadNames[look.beading]}
                    {look.afterReviving && ', after a reviving wash'}
                    {look.glossUnits !== null && `, ${look.glossUnits} gloss units`}
                  </span>
                  <ActionButton
                    action={takeLookBack.bind(null, id, look.id)}
                    className="btn btn-quiet"
                    label={`Take back the look of ${formatDay(look.at, now)}`}
                  >
                    Take back
                  </ActionButton>
                </li>
              ))}
            </ul>
          </section>
          <section aria-labelledby="put-on" className="mt-4">
            <div className="section-head">
              <h2 id="put-on">Put on elsewhere</h2>
            </div>
            <LayerForm positions={positions} known={known} keep={keepLayer.bind(null, id)} />
          </section>
          <section aria-labelledby="driving" className="mt-4">
            <div className="section-head">
              <h2 id="driving">Driving</h2>
            </div>
            <p className="mt-2 mb-0">
              {lastReading
                ? `${Math.round(lastReading.kilometres)} km on ${formatDay(lastReading.at, now)}.`
                : `${set.kilometresPerWeek} km a week, as told; two readings tell it better.`}
            </p>
            <OdometerForm keep={keepReading.bind(null, id)} />
          </section>
          <section aria-labelledby="renewed" className="mt-4">
            <div className="section-head">
              <h2 id="renewed">New or repainted wheels</h2>
            </div>
            <RenewalForm positions={positions} keep={keepRenewal.bind(null, id)} />
          </section>
        </div>
      </div>
    </>
  )
}
