import { message, sentences, type Message, type Said, type Sayable } from '@/core/message/message'
import { term } from '@/core/message/term'
import type { GroupChoice } from '@/core/choice/chooseForGroup'
import { wheelSoils, type WheelSoil } from '@/core/choice/need'
import { harshOf, secondsOf } from '@/core/choice/cost'
import type { Option } from '@/core/choice/option'
import { searchPlans } from '@/core/choice/search'
import type { Found } from '@/core/choice/stages'
import { protectionWears } from '@/core/chemistry/family'
import { wearOf } from '@/core/chemistry/product'
import type { Job } from '@/core/job/job'
import { strictness } from '@/core/rules/rule'
import type { Grade, Soil } from '@/core/soils/soil'
import { worstGrade } from '@/core/soils/zoneLoads'
import type { GroupStage } from '@/core/choice/wheelStages'
import { log } from '@/core/quantity/portableMath'

/** A soil with its grade: "heavy road film". */
export const sayGraded = (grade: Grade, soil: Soil): Message =>
  message('reasons.why.soil', { grade: term('grade', grade), soil: term('soil', soil) })

/** The worst there is of a soil on a group; 0: none. */
const gradeOf = ({ group }: Pick<GroupChoice, 'group'>, soil: WheelSoil): Grade =>
  worstGrade(group.corners, group.zones, soil)

/** What the cold asks for beyond the label's shortest dwell; empty where it asks for nothing. */
export const coldWords = (labelSeconds: number, plannedSeconds: number): Said =>
  plannedSeconds > labelSeconds
    ? message('reasons.why.cold', {
        planned: { dwellSeconds: plannedSeconds },
        label: { dwellSeconds: labelSeconds },
      })
    : ''

/** Things that come one after the other: "a, then b". */
export const inTurn = ([first, ...others]: readonly Sayable[]): Sayable =>
  others.reduce<Sayable>((said, next) => message('reasons.product.then', { first: said, next }), first ?? '')

/** Name with its strength, the way it would be asked for. */
export const optionText = ({ product, fraction }: Option): Sayable =>
  fraction === 1
    ? product.name
    : message('reasons.product.mixed', { name: product.name, dilution: { dilution: fraction } })

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
): Said {
  const { option, effect } = stage
  const present = wheelSoils.filter(
    (soil, at) => (effect[at] ?? 0) > 0.1 && (choice.need.required[at] ?? 0) > 0 && gradeOf(choice, soil) > 0,
  )
  const main = present.reduce<WheelSoil | null>(
    (most, soil) =>
      most === null || (effect[wheelSoils.indexOf(soil)] ?? 0) > (effect[wheelSoils.indexOf(most)] ?? 0)
        ? soil
        : most,
    null,
  )
  const protectedWheel = choice.group.corners.some(({ protection }) => protection.length > 0)
  const soils = present.map((soil) => sayGraded(gradeOf(choice, soil), soil))
  const takes =
    soils.length === 0
      ? message('reasons.why.lightDirt')
      : protectedWheel
        ? message('reasons.why.removesAnd', { soils, wear: term('wear', wearOf(option.product)) })
        : message('reasons.why.removes', { soils })
  if (job.wishes.pinned.includes(option.product.id)) return sentences(takes, message('reasons.why.pinned'))
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
  return sentences(
    takes,
    milder && message('reasons.why.milder', { product: milder.name, soil: term('soil', milder.soil) }),
    barred &&
      reason &&
      !isLight &&
      job.cabinet.length > 1 &&
      message('reasons.why.not', { product: barred.product.name, reason }),
  )
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
      if (wanted <= most || gradeOf(choice, soil) === 0) return
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
export function oneGradeMore(choices: readonly GroupChoice[], usedIds: readonly string[]): Message | null {
  const top = hardest(choices)
  if (!top) return null
  const { choice, soil, at } = top
  const required = choice.need.required.map((wanted, index) => (index === at ? wanted + Math.LN2 : wanted))
  const gentlest = (plans: readonly Found[]) =>
    [...plans].sort((a, b) => harshOf(a.cost) - harshOf(b.cost) || secondsOf(a.cost) - secondsOf(b.cost))[0]
  const now = gentlest(choice.plans)
  const then = gentlest(searchPlans(choice.options, { ...choice.need, required }, choice.rules))
  const namesOf = (found: typeof now): string[] => [
    ...new Set((found?.stages ?? []).flatMap((index) => choice.options[index]?.product.name ?? [])),
  ]
  if (!then || !now) return message('reasons.change.notInOneVisit', { soil: term('soil', soil) })
  const isThereAlready = then.stages.every((index) =>
    usedIds.includes(choice.options[index]?.product.id ?? ''),
  )
  const products = namesOf(then)
  return isThereAlready || namesOf(now).join() === products.join()
    ? null
    : message('reasons.change.heavier', { soil: term('soil', soil), products: inTurn(products) })
}

/** Need from which a strong product is worth a word. */
const worthAWord = log(16)

/** A strong product that only a shop setting keeps back, where there is enough of what it takes. */
export function heldBackByMethod(choices: readonly GroupChoice[]): Message | null {
  const top = hardest(choices)
  if (!top || (top.choice.need.required[top.at] ?? 0) < worthAWord) return null
  for (const { options } of [top.choice]) {
    const held = options.find(
      ({ judgement, removes }) =>
        judgement.verdict === 'no' &&
        (removes[top.at] ?? 0) > 0 &&
        judgement.rules
          .filter((rule) => strictness(rule.verdict) === 2)
          .every((rule) => rule.method !== undefined),
    )
    if (held) return message('reasons.change.acid', { product: held.product.name })
  }
  return null
}
