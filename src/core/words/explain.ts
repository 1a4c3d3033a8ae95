import { listed } from './listed'
import type { GroupChoice } from '@/core/choice/chooseForGroup'
import { amountAt, wheelSoils, type WheelSoil } from '@/core/choice/need'
import { harshOf, secondsOf } from '@/core/choice/cost'
import type { Option } from '@/core/choice/option'
import { searchPlans } from '@/core/choice/search'
import type { Found } from '@/core/choice/stages'
import { protectionWearNames } from '@/core/chemistry/family'
import { wearOf } from '@/core/chemistry/product'
import { sayDilution } from '@/core/dilution'
import type { Job } from '@/core/job/job'
import { strictness } from '@/core/rules/rule'
import { gradeOfAmount } from '@/core/soils/expectedLoad'
import { gradeNames, soilNames } from '@/core/soils/soil'
import type { GroupStage } from '@/core/choice/wheelStages'
import { log } from '@/core/quantity/steady'

/** The worst there is of a soil on a group, in words: "heavy road film". */
export function soilText(choice: Pick<GroupChoice, 'group'>, soil: WheelSoil): string {
  const worst = Math.max(0, ...choice.group.zones.map((zone) => amountAt(choice.group, zone, soil)))
  return worst === 0 ? '' : `${gradeNames[gradeOfAmount(worst)]} ${soilNames[soil]}`
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

/** Why this product, and not its neighbours. */
export function whyStage(stage: GroupStage, choice: GroupChoice, job: Job): string {
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
  const rivals = choice.options.filter((other) => other.product.id !== option.product.id)
  const does = (other: Option) => (main === null ? 0 : (other.removes[wheelSoils.indexOf(main)] ?? 0))
  const milder = rivals
    .filter(
      (other) =>
        other.judgement.verdict !== 'no' &&
        harsh(other) < harsh(option) &&
        does(other) > 0 &&
        does(other) < does(option),
    )
    .sort((a, b) => does(b) - does(a))[0]
  const barred = rivals
    .filter((other) => other.judgement.verdict === 'no' && does(other) >= does(option))
    .sort((a, b) => does(b) - does(a))[0]
  const reason = barred?.judgement.rules[0]?.reason
  return [
    takes,
    milder && main ? `${milder.product.name} is milder, but leaves too much of the ${soilNames[main]}.` : '',
    barred && reason && main && job.cabinet.length > 1 ? `Not ${barred.product.name}: ${reason}` : '',
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
