import { message, type Sayable } from '@/core/message/message'
import { term } from '@/core/message/term'
import { strengthOrder } from '@/core/chemistry/families'
import type { Job } from '@/core/job/job'
import { pickTool } from '@/core/reachability/pickTool'
import {
  RubberCandidates,
  rubberToolSite,
  soilsOf,
  type RubberCandidate,
} from '@/core/stages/rubberCandidates'
import { zoneTools } from '@/core/stages/stageDraft'
import { longerSeconds, maxTries, type Escalation, type Spot } from './escalation'

interface RubberSpot extends Spot {
  readonly surface: 'tyre' | 'arch'
}

const strengthOf = (product: RubberCandidate['product'], fraction: number): number =>
  strengthOrder(product.family) + fraction

const nameOf = ({ product, fraction }: RubberCandidate): Sayable =>
  fraction === 1
    ? product.name
    : message('reasons.product.mixed', { name: product.name, dilution: { dilution: fraction } })

/** The next escalation for rubber or liner: stronger, else another cleaner, else the same left longer. */
export function rubberEscalation(job: Job, { corner, surface, soil, tried }: RubberSpot): Escalation | null {
  if (!soilsOf[surface].includes(soil)) return null
  const spot = { ...corner, loads: { [surface]: { [soil]: 2 } } } as const
  const all = new RubberCandidates({ ...job, corners: [spot] }).of(surface, [spot])
  const mine = tried.filter(({ kind }) => kind === surface)
  const wasTried = ({ product, fraction }: RubberCandidate): boolean =>
    mine.some(({ productId, strength }) => productId === product.id && strength.to >= fraction * 0.999)
  const triedOnes = all.filter(wasTried)
  const most = Math.max(0, ...triedOnes.map(({ product, fraction }) => strengthOf(product, fraction)))
  const [stronger] = all
    .filter((one) => !wasTried(one) && strengthOf(one.product, one.fraction) > most)
    .sort((a, b) => strengthOf(a.product, a.fraction) - strengthOf(b.product, b.fraction))
  // Fewer rounds by reckoning is more bite, even of a cleaner that is milder by nature.
  const bites = Math.min(...triedOnes.map(({ rounds }) => rounds))
  const [another] = all
    .filter((one) => !wasTried(one) && one.rounds < bites)
    .sort((a, b) => a.rounds - b.rounds || a.risk - b.risk)
  const timesOf = (id: string): number =>
    mine.filter(({ productId }) => productId === id).reduce((sum, { rounds }) => sum + rounds, 0)
  const longer = triedOnes.find(
    ({ product, labelMaxSeconds, dwellMinSeconds }) =>
      timesOf(product.id) <= maxTries && longerSeconds(labelMaxSeconds, dwellMinSeconds) > dwellMinSeconds,
  )
  const next = stronger ?? another ?? longer
  if (!next) return null
  const isLonger = next === longer && next !== stronger && next !== another
  const min = isLonger ? longerSeconds(next.labelMaxSeconds, next.dwellMinSeconds) : next.dwellMinSeconds
  const tool = pickTool(surface, job.tools, rubberToolSite(job, surface))
  return {
    kind: surface,
    product: next.product,
    fraction: next.fraction,
    dwellSeconds: { min, max: next.labelMaxSeconds },
    zones: [surface],
    tools: zoneTools(new Map([[surface, tool]])),
    judgement: next.judgement,
    why: isLonger
      ? message('observations.look.rubberLonger', {
          soil: { capital: term('soil', soil) },
          product: next.product.name,
          time: { dwellSeconds: min },
        })
      : message(
          mine.some(({ productId }) => productId === next.product.id)
            ? 'observations.look.rubberStronger'
            : 'observations.look.rubberOther',
          { soil: { capital: term('soil', soil) }, product: nameOf(next) },
        ),
    care: [],
    rounds: 1,
  }
}
