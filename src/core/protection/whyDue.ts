import { exp } from '@/core/quantity/portableMath'
import { instantOfUse } from './forecast'
import type { Followed } from './followed'
import type { LayerOutlook } from './outlook'
import { millisecondsPerDay } from './seasons'
import { wearingOf } from './used'

/** What weighs on a date. */
export type WeightKind =
  'days' | 'winter' | 'heat' | 'road' | 'washes' | 'hardSet' | 'easySet' | 'shortProduct' | 'longProduct'

export interface Weight {
  readonly kind: WeightKind
  /** Days the date would be later without it; below zero: sooner. */
  readonly days: number
  /** Share of the life it takes, or how many times faster or longer the set or product makes it. */
  readonly amount: number
}

export interface WhyDue {
  /** The three that weigh most, the heaviest first. */
  readonly weights: readonly Weight[]
  /** Days by which one more ordinary wash moves it: none or below zero. */
  readonly washDays: number
  /** Days gained by a thousand kilometres fewer. */
  readonly kilometreDays: number
}

/** An ordinary wash where none is on record, share of a sealant. House estimate. */
const usualWash = 0.03
const lessKilometres = 1000
/** Less than this is no reason. */
const leastDays = 1

/**
 * Why a layer is due when it is: the date is worked out anew without each thing that takes of its life, and with an ordinary set and
 * product.
 * @param setValue what the set does to the wear, natural logarithm
 * @param productValue how much longer the product lasts, natural logarithm
 * @param washWear of the set's usual wash, share of a sealant; null: not known
 */
export function whyDue(
  one: Followed,
  { values }: LayerOutlook,
  setValue: number,
  productValue: number,
  washWear: number | null,
  share: number,
  now: number,
): WhyDue {
  const { exposure } = one
  const due = instantOfUse(one, values, share, now)
  const daysLater = (at: number): number => Math.round((at - due) / millisecondsPerDay)
  const withShare = (more: number): number => daysLater(instantOfUse(one, values, share + more, now))
  const withSooner = (sooner: number): number =>
    daysLater(instantOfUse(one, { ...values, sooner }, share, now))
  const { faster } = wearingOf(values)
  const parts = exposure.partsAt(due)
  const ofLife = (
    [
      ['days', faster * parts.days],
      ['winter', faster * parts.winter],
      ['heat', faster * parts.heat],
      ['road', faster * parts.road],
      ['washes', parts.washes],
    ] as const
  ).map(([kind, amount]): Weight => ({ kind, amount, days: withShare(amount) }))
  const ofUnknowns: Weight[] = [
    {
      kind: setValue > 0 ? 'hardSet' : 'easySet',
      amount: exp(setValue),
      days: withSooner(values.sooner - setValue),
    },
    {
      kind: productValue > 0 ? 'longProduct' : 'shortProduct',
      amount: exp(productValue),
      days: withSooner(values.sooner + productValue),
    },
  ]
  const perWash = exposure.perWash * (washWear ?? usualWash)
  const perKilometre = exposure.perKilometre * faster * wearingOf(values).since
  return {
    weights: [...ofLife, ...ofUnknowns]
      .filter(({ days }) => Math.abs(days) >= leastDays)
      .sort((a, b) => Math.abs(b.days) - Math.abs(a.days))
      .slice(0, 3),
    washDays: withShare(-perWash),
    kilometreDays: withShare(perKilometre * lessKilometres),
  }
}
