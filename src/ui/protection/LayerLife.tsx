import type { KnownLayer } from '@/forecast/layersOfSet'
import { Link } from '@/ui/Link'
import { formatDay } from '../format/format'
import { axleNames } from './axleNames'
import { LayerChart } from './LayerChart'
import { WhyDueWords } from './WhyDueWords'

interface LayerLifeProps {
  readonly wheelSetId: string
  readonly layer: KnownLayer
  readonly now: Date
}

/** One layer: what is left of it, when it is due and how sure that is, what it went through, and why. */
export function LayerLife({ wheelSetId, layer, now }: LayerLifeProps) {
  const { facts, forecast, why, course, looks, washes, winters } = layer
  const { topUp, renew } = forecast
  const name = `${facts.productName}, ${axleNames[facts.axle]}`
  const leftPercent = Math.round(Math.max(0, 1 - forecast.usedShare) * 100)
  const day = (at: Date): string => formatDay(at, now)
  return (
    <section className="mb-4" aria-label={name}>
      <div className="section-head">
        <h2>{name}</h2>
        <span className="number">{leftPercent} % left</span>
      </div>
      <p className="mt-2 mb-0">
        Top up {day(topUp.p50)} ({day(topUp.p10)} to {day(topUp.p90)}), gone {day(renew.p50)} (
        {day(renew.p10)} to {day(renew.p90)}). Put on {day(facts.appliedAt)}
        {facts.coats > 1 && `, ${facts.coats} coats`}.
      </p>
      <ClogNote wheelSetId={wheelSetId} kind={forecast.clog.kind} />
      <LayerChart
        label={`What is left of ${facts.productName} on the ${axleNames[facts.axle]}: ${leftPercent} % now`}
        course={course}
        looks={looks}
        washes={washes}
        winters={winters}
        now={now}
      />
      <WhyDueWords why={why} />
    </section>
  )
}

interface ClogNoteProps {
  readonly wheelSetId: string
  readonly kind: KnownLayer['forecast']['clog']['kind']
}

/** Clogged is not gone: what to do before it is renewed, and what was found. */
function ClogNote({ wheelSetId, kind }: ClogNoteProps) {
  if (kind === 'clogged')
    return (
      <p className="clog-note">
        Clogged, perhaps: it looks worse than it should.{' '}
        <Link href={`/wheels/${wheelSetId}/intake?service=coatedMaintenance`}>Plan a reviving wash</Link>,
        then <Link href={`/wheels/${wheelSetId}/look?after=reviving`}>look again</Link>.
      </p>
    )
  if (kind === 'wasClogged')
    return <p className="clog-note">It was clogged: after a reviving wash it showed what is left.</p>
  if (kind === 'gone') return <p className="clog-note">Still bad after a reviving wash: renew it.</p>
  return null
}
