import { estimate, type EstimateId, type EstimateOverrides } from '@/core/estimates/houseEstimates'
import { protectionFacts, protectionKinds, type ProtectionKind } from './kinds'
import type { KindLife, WearEstimates } from './record'

export const saltLevels = ['few', 'usual', 'much'] as const
export type SaltLevel = (typeof saltLevels)[number]

/** The seasons where the shop stands. */
export interface Region {
  /** 1 to 12. */
  readonly winterMonths: readonly number[]
  readonly salt: SaltLevel
}

const lifeEstimates: Record<ProtectionKind, EstimateId> = {
  quickDetailer: 'lifeQuickDetailer',
  sprayRinseSilica: 'lifeSprayRinseSilica',
  sprayWax: 'lifeSprayWax',
  spraySealant: 'lifeSpraySealant',
  wheelWax: 'lifeWheelWax',
  ceramicCoating: 'lifeCeramicCoating',
  coatingTopper: 'lifeCoatingTopper',
  matteSealant: 'lifeMatteSealant',
  tyreDressingWater: 'lifeTyreDressingWater',
  tyreDressingSolvent: 'lifeTyreDressingSolvent',
  tyreCoating: 'lifeTyreCoating',
  linerDressing: 'lifeLinerDressing',
  discInhibitor: 'lifeDiscInhibitor',
}

const saltFactor = (salt: SaltLevel, overrides: EstimateOverrides): number => {
  switch (salt) {
    case 'few':
      return estimate('saltFew', overrides)
    case 'usual':
      return 1
    case 'much':
      return estimate('saltMuch', overrides)
  }
}

/** Half a year from the middle of winter, three months. */
function hotMonthsOf(winterMonths: readonly number[]): number[] {
  const isLong = winterMonths.length === 0 || winterMonths.length > 9
  if (isLong) return []
  const start = winterMonths.find((month) => !winterMonths.includes(((month + 10) % 12) + 1)) ?? 1
  const middle = start + (winterMonths.length - 1) / 2 + 6
  return [-1, 0, 1].map((off) => ((Math.round(middle) + off + 11) % 12) + 1)
}

/** What the wear is reckoned with: the house's estimates, or the shop's own in their place. */
export function wearEstimatesOf(overrides: EstimateOverrides, { winterMonths, salt }: Region): WearEstimates {
  const kinds = Object.fromEntries(
    protectionKinds.map((kind): [string, KindLife] => [
      kind,
      { lifeDays: estimate(lifeEstimates[kind], overrides), ...protectionFacts[kind].wear },
    ]),
  )
  return {
    kinds,
    rearDustShare: estimate('rearWearShare', overrides),
    winterFactor: estimate('winterWear', overrides) * saltFactor(salt, overrides),
    winterMonths,
    hotMonths: hotMonthsOf(winterMonths),
    storedFactor: estimate('storedWear', overrides),
    coveredFactor: estimate('coveredWear', overrides),
    setSpread: estimate('setWearSpread', overrides),
    productSpread: estimate('productWearSpread', overrides),
    axleSpread: estimate('axleWearSpread', overrides),
    lookSpread: estimate('lookSpread', overrides),
    clogPerWeek: estimate('clogPerWeek', overrides),
    clogWinterPerWeek: estimate('clogWinterPerWeek', overrides),
    clogLeftByWash: estimate('clogLeftByWash', overrides),
    clogMost: estimate('clogMost', overrides),
  }
}
