import { secondsOf, minorOf } from './cost'
import type { Need } from './need'
import type { Option } from './option'
import { maxOptions, promising } from './promising'
import type { SearchRules } from './stages'
import { undominated } from './undominated'

/** Options that are searched through, cheapest first, and where each stands in the list they came from. */
export interface KeptOptions {
  readonly options: readonly Option[]
  readonly at: readonly number[]
  /** There were so many that only the most promising are kept. */
  readonly tooMany: boolean
}

/** Leaves out what is forbidden and what another option beats in everything. */
export function keptOptions(options: readonly Option[], need: Need, { pinned }: SearchRules): KeptOptions {
  const allowed = options.flatMap(({ judgement }, at) => (judgement.verdict === 'no' ? [] : [at]))
  const optionsAt = (list: readonly number[]): Option[] => list.map((at) => options[at] as Option)
  const efficient = undominated(optionsAt(allowed), need, pinned).map((index) => allowed[index] as number)
  const tooMany = efficient.length > maxOptions
  const kept = tooMany
    ? promising(optionsAt(efficient), need, pinned).map((index) => efficient[index] as number)
    : efficient
  const costOf = (at: number) => (options[at] as Option).cost
  const at = [...kept].sort(
    (a, b) => secondsOf(costOf(a)) - secondsOf(costOf(b)) || minorOf(costOf(a)) - minorOf(costOf(b)) || a - b,
  )
  return { options: optionsAt(at), at, tooMany }
}
