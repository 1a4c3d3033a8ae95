import type { GroupChoice } from './chooseForGroup'
import { filmIndex, wheelSoils } from './need'
import type { Option } from './option'
import type { Role } from './role'
import { effectOf, hair, type Found } from './stages'
import { familyOf } from '@/core/chemistry/families'
import type { StageKind } from '@/core/plan/plan'

/** One stage of wheel chemistry on one group, with what it removes there. */
export interface GroupStage {
  readonly option: Option
  readonly kind: StageKind
  readonly rounds: number
  /** Removal exponents without mechanics, all rounds together, in the order of `wheelSoils`. */
  readonly effect: readonly number[]
}

const kindOfSoil: readonly StageKind[] = ['wash', 'wash', 'iron', 'tar', 'mineral', 'wash']

/** What a stage is mainly there for: the unmet need it does most for. */
function kindOf(
  option: Option,
  effect: readonly number[],
  unmet: readonly number[],
  first: boolean,
): StageKind {
  const family = familyOf(option.product.family)
  if (option.product.family === 'waterlessSpray') return 'waterless'
  if (family.purpose === 'clean' && family.needsDry) return 'tar'
  if (option.ironAlone) return 'iron'
  if (first) return 'wash'
  const shares = unmet.map((wanted, soil) => (wanted > 0 ? Math.min(1, (effect[soil] ?? 0) / wanted) : 0))
  return kindOfSoil[shares.indexOf(Math.max(...shares))] ?? 'wash'
}

/** What stages in this order remove of each soil, as exponents; nothing for a stage that may not come where it stands. */
function removedInOrder({ options, need, rules }: GroupChoice, order: readonly number[]): readonly number[] {
  let sums: readonly number[] = wheelSoils.map(() => 0)
  order.forEach((at, index) => {
    const effect = effectOf(options[at] as Option, index === 0, sums[filmIndex] ?? 0, need, rules)
    sums = sums.map((sum, soil) => sum + (effect?.[soil] ?? 0))
  })
  return sums
}

/** Whether another order does for every soil what is wanted of it, or what the found order does where that is less. */
function doesAsMuch(choice: GroupChoice, other: readonly number[], found: readonly number[]): boolean {
  const does = removedInOrder(choice, other)
  return removedInOrder(choice, found).every(
    (removed, soil) => (does[soil] ?? 0) >= Math.min(removed, choice.need.required[soil] ?? 0) - hair,
  )
}

/** A shop that sprays iron remover straight on does so where it still takes everything. */
function ironFirst(choice: GroupChoice, order: readonly number[]): readonly number[] {
  if (choice.rules.ironWaitsForWash) return order
  const isIron = (at: number) => choice.options[at]?.ironAlone === true
  const turned = [...order.filter(isIron), ...order.filter((at) => !isIron(at))]
  return doesAsMuch(choice, turned, order) ? turned : order
}

/** Wash, iron remover on the wet wheel, acid, and solvent last on the dried wheel: the trade's order, where it still takes everything. */
function inTradeOrder(choice: GroupChoice, order: readonly number[]): readonly number[] {
  const rank = (at: number): number => tradeOrder.indexOf(choice.options[at]?.role ?? 'wash')
  const sorted = [...order].sort((a, b) => rank(a) - rank(b))
  return doesAsMuch(choice, sorted, order) ? sorted : order
}
const tradeOrder: readonly Role[] = ['wash', 'iron', 'acid', 'tar']

/** The stages of a found plan on its group. */
export function groupStages(choice: GroupChoice, found: Found): GroupStage[] {
  const { options, need, rules } = choice
  const order = ironFirst(choice, inTradeOrder(choice, found.stages))
  let sums: readonly number[] = wheelSoils.map(() => 0)
  return order.map((at, index) => {
    const option = options[at] as Option
    const effect = effectOf(option, index === 0, sums[filmIndex] ?? 0, need, {
      ...rules,
      ironWaitsForWash: false,
    }) as readonly number[]
    const unmet = need.required.map((wanted, soil) => Math.max(0, wanted - (sums[soil] ?? 0)))
    sums = sums.map((sum, soil) => sum + (effect[soil] ?? 0))
    return { option, kind: kindOf(option, effect, unmet, index === 0), rounds: option.rounds, effect }
  })
}
