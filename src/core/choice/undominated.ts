import { bondedIndex, type Need } from './need'
import { noMoreThan } from './cost'
import type { Option } from './option'

const atLeast = (a: readonly number[], b: readonly number[]): boolean =>
  a.every((value, at) => value >= (b[at] ?? 0))

/**
 * Options that another one beats in everything; leaving them out loses no efficient plan. More than the whole need counts
 * as the whole need: an option that does it alone cannot be bettered. An iron remover may be weakened over film, so there
 * more is more.
 */
export function undominated(options: readonly Option[], need: Need, pinned: readonly string[]): number[] {
  const capped = ({ removes, ironAlone }: Option) =>
    removes.map((value, soil) =>
      ironAlone && soil === bondedIndex ? value : Math.min(value, need.required[soil] ?? 0),
    )
  const later = options.map(capped)
  const first = options.map((option) => capped({ ...option, removes: option.removesFirst }))
  const beats = (a: number, b: number): boolean => {
    const [one, other] = [options[a] as Option, options[b] as Option]
    return (
      // A plan has one of each role: only within it one stands for another. What is pinned is there once, anyhow.
      one.role === other.role &&
      !pinned.includes(one.product.id) &&
      (!one.ironAlone || other.ironAlone) &&
      noMoreThan(one.cost, other.cost) &&
      atLeast(later[a] as number[], later[b] as number[]) &&
      atLeast(first[a] as number[], first[b] as number[])
    )
  }
  return options.flatMap((option, at) => {
    if (pinned.includes(option.product.id)) return [at]
    const beaten = options.some(
      (_, other) => other !== at && beats(other, at) && (other < at || !beats(at, other)),
    )
    return beaten ? [] : [at]
  })
}
