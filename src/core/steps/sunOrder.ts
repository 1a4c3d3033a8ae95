import { sunOn, type Conditions } from '@/core/conditions/conditions'
import type { Corner } from '@/core/job/job'
import { inWalkingOrder, type Position } from '@/core/wheel/position'

/** A wheel with so much less sun on it, W/m², is in the shade beside the other. House estimate. */
const shadedBy = 100

/** Whether the first wheel lies in the shade beside the second, so that it is begun first. */
export const isShadedBeside = (one: Position, other: Position, conditions: Conditions): boolean =>
  conditions.sun !== null && sunOn(other, conditions) - sunOn(one, conditions) > shadedBy

/** Wheels in walking order, those on the shaded side first. */
export const inSunOrder = (corners: readonly Corner[], conditions: Conditions): Corner[] => {
  const walked = inWalkingOrder(corners)
  const isSunny = ({ position }: Corner): boolean =>
    walked.some((other) => isShadedBeside(other.position, position, conditions))
  return [...walked.filter((corner) => !isSunny(corner)), ...walked.filter(isSunny)]
}
