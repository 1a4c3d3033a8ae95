import { message, sentences, type Said } from '@/core/message/message'
import { term } from '@/core/message/term'
import { harshOf } from '@/core/choice/cost'
import type { GroupChoice } from '@/core/choice/chooseForGroup'
import type { WheelSoil } from '@/core/choice/need'
import type { Option } from '@/core/choice/option'
import { protectionWears } from '@/core/chemistry/family'
import { familyOf } from '@/core/chemistry/families'
import { wearOf } from '@/core/chemistry/product'
import type { LadderStep } from '@/core/plan/plan'
import { hardest, optionText } from './explain'

/** What one of the wheels cannot stand is no step for all of them. */
const isForbiddenSomewhere = (id: string, choices: readonly GroupChoice[]): boolean =>
  choices.some(({ options }) => {
    const own = options.filter(({ product }) => product.id === id)
    return own.length > 0 && own.every(({ judgement }) => judgement.verdict === 'no')
  })

const hasPolishedMetal = ({ group }: GroupChoice): boolean =>
  group.corners.some(({ finishes }) =>
    Object.values(finishes).some(({ finish }) => finish === 'polishedBare'),
  )

/** How much more an escalation does, at least, than the one before it. House estimate. */
const worthARung = 1.02
/** Escalations that are named; after them one stops. */
const maxRungs = 3

/** What is tried one after the other on the soil that asks for most. */
export interface Escalations {
  readonly soil: WheelSoil
  /** What the plan uses already; null where it does nothing about the soil. */
  readonly used: Option | null
  /** Each does more than the one before, and costs protection no less. */
  readonly next: readonly Option[]
  /** How much of the soil an option takes, natural logarithm. */
  readonly does: (option: Option) => number
}

/**
 * The escalations from what the plan uses to the strongest that all wheels stand, mildest first; null where nothing asks for more.
 * @param usedIds products of the plan
 */
export function escalationsOf(
  choices: readonly GroupChoice[],
  usedIds: readonly string[],
): Escalations | null {
  const top = hardest(choices)
  if (!top) return null
  const { choice, soil, at } = top
  const does = (option: Option): number => option.removes[at] ?? 0
  const wear = ({ product }: Option): number => protectionWears.indexOf(wearOf(product))
  const allowed = choice.options.filter(
    ({ judgement, product }) => judgement.verdict !== 'no' && !isForbiddenSomewhere(product.id, choices),
  )
  const mine = allowed
    .filter((option) => usedIds.includes(option.product.id) && does(option) > 0)
    .sort((a, b) => does(b) - does(a))[0]
  const mildestFirst = [...allowed].sort(
    (a, b) => wear(a) - wear(b) || harshOf(a.cost) - harshOf(b.cost) || does(b) - does(a),
  )
  const next: Option[] = []
  for (const option of mildestFirst) {
    const before = next.at(-1) ?? mine
    const isNamed = next.some(({ product }) => product.id === option.product.id)
    const isSameMix = option.product.id === mine?.product.id && option.fraction <= mine.fraction
    if (isNamed || isSameMix || next.length + (mine ? 1 : 0) >= maxRungs) continue
    if (does(option) > (before ? does(before) * worthARung : 0)) next.push(option)
  }
  return { soil, used: mine ?? null, next, does }
}

/** What to try next where the test spot or the first wheel does not come clean, mildest first. */
export function ladderOf(choices: readonly GroupChoice[], usedIds: readonly string[]): LadderStep[] {
  const escalations = escalationsOf(choices, usedIds)
  if (!escalations) return []
  const { soil, used, next } = escalations
  const care = ({ judgement }: Option): Said =>
    judgement.verdict === 'withCare' ? (judgement.rules[0]?.care ?? '') : ''
  return [
    ...(used
      ? [
          {
            text: message('reasons.ladder.repeat', { product: used.product.name }),
            why: familyOf(used.product.family).bleeds
              ? message('reasons.ladder.bleedsAgain')
              : message('reasons.ladder.timeFirst'),
          },
        ]
      : []),
    ...next.map((option) => ({
      text: message('reasons.ladder.next', { product: optionText(option) }),
      why: sentences(
        message('reasons.ladder.nextWhy', {
          soil: term('soil', soil),
          wear: term('wear', wearOf(option.product)),
        }),
        care(option),
      ),
    })),
    {
      text: message('reasons.ladder.stop'),
      why: choices.some(hasPolishedMetal)
        ? message('reasons.ladder.stopPolished')
        : message('reasons.ladder.stopWhy'),
    },
  ]
}
