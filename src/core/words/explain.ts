import { listed } from './listed'
import type { GroupChoice } from '@/core/choice/chooseForGroup'
import { wheelSoils, type WheelSoil } from '@/core/choice/need'
import { harshOf, secondsOf } from '@/core/choice/cost'
import type { Option } from '@/core/choice/option'
import { searchPlans } from '@/core/choice/search'
import type { Found } from '@/core/choice/stages'
import { protectionWearNames, protectionWears } from '@/core/chemistry/family'
import { wearOf } from '@/core/chemistry/product'
import { sayDilution } from '@/core/dilution'
import type { Job } from '@/core/job/job'
import { strictness } from '@/core/rules/rule'
import { gradeNames, soilNames } from '@/core/soils/soil'
import { worstGrade } from '@/core/soils/zoneLoads'
import type { GroupStage } from '@/core/choice/wheelStages'
import { log } from '@/core/quantity/portableMath'

/** The worst there is of a soil on a group, in words: "heavy road film". */
export function soilText({ group }: Pick<GroupChoice, 'group'>, soil: WheelSoil): string {
  const grade = worstGrade(group.corners, group.zones, soil)
  return grade === 0 ? '' : `${gradeNames[grade]} ${soilNames[soil]}`
}

/** What the cold asks for beyond the label's shortest dwell; empty where it asks for nothing. */
export const coldWords = (labelSeconds: number, plannedSeconds: number): string =>
  plannedSeconds > labelSeconds
    ? `Cold: ${plannedSeconds} s before the brush instead of ${labelSeconds}, and no second round for it.`
    : ''

/** Name with its strength, the way it would be asked for. */
export const optionText = ({ product, fraction }: Option): string =>
  fraction === 1 ? product.name : `${product.name} at ${sayDilution(fraction)}`

const harsh = ({ cost }: Option): number => harshOf(cost)

/** As good as the same, in removal exponents. */
const hair = 1e-9

/** The most each product may take of each soil, in the order of `wheelSoils`. */
function mostByProduct({ options }: GroupChoice): ReadonlyMap<string, readonly number[]> {
  const most = new Map<string, number[]>()
  for (const { product, judgement, removes } of options) {
    if (judgement.verdict === 'no') continue
    const known = most.get(product.id)
    most.set(product.id, known ? known.map((one, at) => Math.max(one, removes[at] ?? 0)) : [...removes])
  }
  return most
}

/** The milder product that comes nearest, and the soil it would leave too much of; null where none is milder and does too little. */
function tooMild(
  { option, effect }: GroupStage,
  present: readonly WheelSoil[],
  main: WheelSoil,
  choice: GroupChoice,
  stages: readonly GroupStage[],
): { readonly name: string; readonly soil: WheelSoil } | null {
  const done = (at: number): number => stages.reduce((sum, one) => sum + (one.effect[at] ?? 0), 0)
  const known = mostByProduct(choice)
  const most = ({ product }: Option, soil: WheelSoil): number =>
    known.get(product.id)?.[wheelSoils.indexOf(soil)] ?? 0
  /** How much of what is wanted is missing where the other takes the place of this one. */
  const lack = (other: Option, soil: WheelSoil): number => {
    const at = wheelSoils.indexOf(soil)
    const wanted = Math.min(done(at), choice.need.required[at] ?? 0)
    return wanted - (done(at) - (effect[at] ?? 0)) - most(other, soil)
  }
  const wear = ({ product }: Option): number => protectionWears.indexOf(wearOf(product))
  const [nearest] = choice.options
    .filter(
      (other) =>
        other.product.id !== option.product.id &&
        other.judgement.verdict !== 'no' &&
        harsh(other) < harsh(option) &&
        wear(other) <= wear(option) &&
        most(other, main) > 0 &&
        present.some((soil) => lack(other, soil) > hair),
    )
    .sort((a, b) => most(b, main) - most(a, main))
  if (!nearest) return null
  const [soil] = [...present].sort((a, b) => lack(nearest, b) - lack(nearest, a))
  return soil ? { name: nearest.product.name, soil } : null
}

/**
 * Why this product, and not its neighbours.
 * @param stages all that the same wheels get
 */
export function whyStage(
  stage: GroupStage,
  choice: GroupChoice,
  job: Job,
  stages: readonly GroupStage[],
): string {
  const { option, effect } = stage
  const present = wheelSoils.filter(
    (soil, at) =>
      (effect[at] ?? 0) > 0.1 && (choice.need.required[at] ?? 0) > 0 && soilText(choice, soil) !== '',
  )
  const main = present.reduce<WheelSoil | null>(
    (most, soil) =>
      most === null || (effect[wheelSoils.indexOf(soil)] ?? 0) > (effect[wheelSoils.indexOf(most)] ?? 0)
        ? soil
        : most,
    null,
  )
  const protectedWheel = choice.group.corners.some(({ protection }) => protection.length > 0)
  const takes =
    present.length > 0
      ? `Takes ${listed(present.map((soil) => soilText(choice, soil)))}${protectedWheel ? ` and ${protectionWearNames[wearOf(option.product)]}` : ''}.`
      : 'Nothing much to take off, so the mildest you have.'
  if (job.wishes.pinned.includes(option.product.id)) return `${takes} You pinned it.`
  if (main === null) return takes
  const milder = tooMild(stage, present, main, choice, stages)
  const does = (other: Option): number => other.removes[wheelSoils.indexOf(main)] ?? 0
  const barred = choice.options
    .filter(
      (other) =>
        other.product.id !== option.product.id &&
        other.judgement.verdict === 'no' &&
        does(other) >= does(option),
    )
    .sort((a, b) => does(b) - does(a))[0]
  const reason = barred?.judgement.rules[0]?.reason
  // Nobody thinks of something stronger for light dirt.
  const isLight = worstGrade(choice.group.corners, choice.group.zones, main) <= 1
  return [
    takes,
    milder ? `${milder.name} is milder, but leaves too much of the ${soilNames[milder.soil]}.` : '',
    barred && reason && !isLight && job.cabinet.length > 1 ? `Not ${barred.product.name}: ${reason}` : '',
  ]
    .filter(Boolean)
    .join(' ')
}

/** The soil that asks for most over all wheels, and where. */
export function hardest(
  choices: readonly GroupChoice[],
): { choice: GroupChoice; soil: WheelSoil; at: number } | null {
  let found: { choice: GroupChoice; soil: WheelSoil; at: number } | null = null
  let most = 0
  for (const choice of choices) {
    choice.need.required.forEach((wanted, at) => {
      const soil = wheelSoils[at] as WheelSoil
      if (wanted <= most || soilText(choice, soil) === '') return
      most = wanted
      found = { choice, soil, at }
    })
  }
  return found
}

/**
 * What one grade more of the hardest soil would bring, if that is something else.
 * @param usedIds products that the plan uses anyway
 */
export function oneGradeMore(
  choices: readonly GroupChoice[],
  summaryOf: (options: readonly Option[]) => string,
  usedIds: readonly string[],
): string | null {
  const top = hardest(choices)
  if (!top) return null
  const { choice, soil, at } = top
  const required = choice.need.required.map((wanted, index) => (index === at ? wanted + Math.LN2 : wanted))
  const gentlest = (plans: readonly Found[]) =>
    [...plans].sort((a, b) => harshOf(a.cost) - harshOf(b.cost) || secondsOf(a.cost) - secondsOf(b.cost))[0]
  const now = gentlest(choice.plans)
  const then = gentlest(searchPlans(choice.options, { ...choice.need, required }, choice.rules))
  const text = (found: typeof now) =>
    summaryOf((found?.stages ?? []).map((index) => choice.options[index] as Option))
  if (!then || !now) return `One grade more ${soilNames[soil]} and this cabinet would not do it in one visit.`
  const isThereAlready = then.stages.every((index) =>
    usedIds.includes(choice.options[index]?.product.id ?? ''),
  )
  return isThereAlready || text(now) === text(then)
    ? null
    : `One grade more ${soilNames[soil]}: ${text(then)}.`
}

/** Need from which a strong product is worth a word. */
const worthAWord = log(16)

/** A strong product that only a shop setting keeps back, where there is enough of what it takes. */
export function heldBackBySchool(choices: readonly GroupChoice[]): string | null {
  const top = hardest(choices)
  if (!top || (top.choice.need.required[top.at] ?? 0) < worthAWord) return null
  for (const { options } of [top.choice]) {
    const held = options.find(
      ({ judgement, removes }) =>
        judgement.verdict === 'no' &&
        (removes[top.at] ?? 0) > 0 &&
        judgement.rules
          .filter((rule) => strictness(rule.verdict) === 2)
          .every((rule) => rule.school !== undefined),
    )
    if (held) return `With your shop setting on acid changed, ${held.product.name} would come into question.`
  }
  return null
}
