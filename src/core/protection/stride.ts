import { ofSet, type Values } from './unknowns'

/** No step goes farther. */
const farthestStep = 0.4
const leastEase = 0.1

export const farthest = (step: Float64Array): number => {
  let far = 0
  for (const one of step) far = Math.max(far, Math.abs(one))
  return far
}

/**
 * How far to go along the steps that information asks for. It is the expected one; where looks are more sharply curved, steps go
 * too far and come straight back. Each set, and the shop, then goes a smaller share of its own; the shop, whose steps are the sum of
 * many, takes longer ones again once they keep their direction.
 */
export class Stride {
  private readonly eases: Float64Array
  private last: Values | null = null

  constructor(private readonly sets: number) {
    this.eases = new Float64Array(sets + 1).fill(1)
  }

  /** Moves the values along a step. */
  move(values: Values, step: Values): void {
    for (let set = 0; set < this.sets; set += 1)
      this.moveBlock(set, values.ofSets, step.ofSets, this.last?.ofSets, set * ofSet, (set + 1) * ofSet)
    this.moveBlock(this.sets, values.ofShop, step.ofShop, this.last?.ofShop, 0, values.ofShop.length)
    this.last = step
  }

  private moveBlock(
    block: number,
    values: Float64Array,
    step: Float64Array,
    last: Float64Array | undefined,
    from: number,
    until: number,
  ): void {
    let [along, far] = [0, 0]
    for (let at = from; at < until; at += 1) {
      along += (step[at] ?? 0) * (last?.[at] ?? 0)
      far = Math.max(far, Math.abs(step[at] ?? 0))
    }
    const ease = this.eases[block] ?? 1
    const eased =
      along < 0 ? Math.max(leastEase, ease * 0.6) : block === this.sets ? Math.min(1, ease * 1.4) : ease
    this.eases[block] = eased
    const share = far > 0 ? Math.min(eased, farthestStep / far) : 0
    for (let at = from; at < until; at += 1) values[at] = (values[at] ?? 0) + share * (step[at] ?? 0)
  }
}
