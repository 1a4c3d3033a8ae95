import { log } from '@/core/quantity/portableMath'
import type { Followed } from './followed'
import type { WearEstimates } from './record'
import { gradingOf, seenLikelihood } from './seenGrades'
import { productSights, type Sight } from './sights'
import type { LayerValues } from './unknowns'
import { usedBy, wearingOf } from './used'

/** Looked for so far up and down, natural logarithm, and so finely. */
const farthest = 1.2
const [coarse, fine] = [0.2, 0.025]

function fitAt(
  shift: number,
  sights: readonly Sight[],
  values: LayerValues,
  { lookSpread, axleSpread }: WearEstimates,
): number {
  const wearing = wearingOf({ ...values, sooner: values.sooner + shift })
  const grading = gradingOf(values)
  return sights.reduce(
    (sum, { wear, clog, grade, wider, news }) =>
      sum + news * log(seenLikelihood(grade, clog, usedBy(wear, wearing), grading, lookSpread * wider)),
    -(shift * shift) / (2 * axleSpread * axleSpread),
  )
}

/** How much sooner than its set this layer wears by its own looks, natural logarithm. */
function ownShift(one: Followed, values: LayerValues, estimates: WearEstimates): number {
  const sights = productSights([one]).flatMap((product) => product.sights)
  let [best, bestFit] = [0, fitAt(0, sights, values, estimates)]
  const search = (from: number, to: number, step: number): void => {
    for (let shift = from; shift <= to + step / 2; shift += step) {
      const fit = fitAt(shift, sights, values, estimates)
      if (fit > bestFit) [best, bestFit] = [shift, fit]
    }
  }
  search(-farthest, farthest, coarse)
  search(best - coarse, best + coarse, fine)
  return best
}

/**
 * How much sooner each layer of a set wears than what its set and product share explains, natural logarithm. Only where the looks of
 * both axles tell of the same product: then each keeps what is its own, and what they share stays with the set.
 * @param valuesOf the values of a layer as the shop has learnt them
 */
export function ownWear(
  layers: readonly Followed[],
  valuesOf: (one: Followed) => LayerValues,
  estimates: WearEstimates,
): ReadonlyMap<Followed, number> {
  const own = new Map<Followed, number>()
  for (const front of layers) {
    const rear = layers.find(
      (one) =>
        one.layer.axle === 'rear' &&
        one.layer.productId === front.layer.productId &&
        one.layer.appliedAt.getTime() === front.layer.appliedAt.getTime(),
    )
    if (front.layer.axle !== 'front' || !rear || front.looks.length === 0 || rear.looks.length === 0) continue
    const [a, b] = [front, rear].map((one) => ownShift(one, valuesOf(one), estimates)) as [number, number]
    own.set(front, (a - b) / 2)
    own.set(rear, (b - a) / 2)
  }
  return own
}
