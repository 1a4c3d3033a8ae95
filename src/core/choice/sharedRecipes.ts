import type { GroupChoice } from './chooseForGroup'
import { addCost, noCost } from './cost'
import { filmIndex } from './need'
import type { Option } from './option'
import { effectOf, hair, type Found } from './stages'

const sameUse = (a: Option, b: Option): boolean => a.product.id === b.product.id && a.fraction === b.fraction

/** The same product at the same strength here: in as few rounds as there are, or in as many as there. */
function sameHere(wanted: Option | undefined, to: GroupChoice, fewest: boolean): number {
  const same = to.options.flatMap((option, at) => (wanted && sameUse(option, wanted) ? [at] : []))
  const rounds = (at: number): number => to.options[at]?.rounds ?? 0
  const exact = same.find((at) => rounds(at) === wanted?.rounds) ?? -1
  return fewest ? ([...same].sort((a, b) => rounds(a) - rounds(b))[0] ?? -1) : exact
}

/** Another group's plan with this group's options; null where it cannot be made of them or does not meet the need here. */
function takenOver(found: Found, from: GroupChoice, to: GroupChoice, fewest: boolean): Found | null {
  let sums: readonly number[] = to.need.required.map(() => 0)
  let cost = noCost
  const stages: number[] = []
  for (const [order, at] of found.stages.entries()) {
    const here = sameHere(from.options[at], to, fewest)
    const option = to.options[here]
    if (!option || option.judgement.verdict === 'no') return null
    const effect = effectOf(option, order === 0, sums[filmIndex] ?? 0, to.need, to.rules)
    if (!effect) return null
    sums = sums.map((sum, soil) => sum + (effect[soil] ?? 0))
    cost = addCost(cost, option.cost)
    stages.push(here)
  }
  const { required } = to.need
  const meets = sums.every((sum, soil) => sum >= (required[soil] ?? 0) - hair)
  return meets ? { stages, cost } : null
}

const textOf = ({ options }: GroupChoice, { stages }: Found): string =>
  stages
    .map((at) => options[at])
    .map((option) => `${option?.product.id} ${option?.fraction} ${option?.rounds}`)
    .join(', ')

/**
 * Lets each group also have the plans of the others where they do there, so that a vehicle can be worked with one
 * recipe: what is not efficient for a wheel alone can be for all of them.
 */
export const withSharedRecipes = (choices: readonly GroupChoice[]): GroupChoice[] =>
  choices.map((choice) => {
    if (choice.plans.length === 0 || choice.unreached.length > 0) return choice
    const known = new Set(choice.plans.map((found) => textOf(choice, found)))
    const plans = [...choice.plans]
    for (const other of choices) {
      if (other === choice) continue
      for (const found of other.plans) {
        // A wheel with less on it is washed once with what others need twice.
        const taken = takenOver(found, other, choice, true) ?? takenOver(found, other, choice, false)
        if (!taken || known.has(textOf(choice, taken))) continue
        known.add(textOf(choice, taken))
        plans.push(taken)
      }
    }
    return { ...choice, plans }
  })

/** What is carried to the wheels for a plan: product, strength and rounds of each stage. */
export const recipeOf = ({ options = [] }: Pick<GroupChoice, 'options'>, { stages }: Found): string[] =>
  stages.flatMap((at) => {
    const option = options[at]
    return option ? [`${option.product.id} ${option.fraction}`] : []
  })
