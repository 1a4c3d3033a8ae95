import { estimate, type EstimateId, type OwnEstimates } from '@/core/estimates/houseEstimates'
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

const saltFactor = (salt: SaltLevel, own: OwnEstimates): number => {
  switch (salt) {
    case 'few':
      return estimate('saltFew', own)
    case 'usual':
      return 1
    case 'much':
      return estimate('saltMuch', own)
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
export function wearEstimatesOf(own: OwnEstimates, { winterMonths, salt }: Region): WearEstimates {
  const kinds = Object.fromEntries(
    protectionKinds.map((kind): [string, KindLife] => [
      kind,
      { lifeDays: estimate(lifeEstimates[kind], own), ...protectionFacts[kind].wear },
    ]),
  )
  return {
    kinds,
    rearDustShare: estimate('rearWearShare', own),
    winterFactor: estimate('winterWear', own) * saltFactor(salt, own),
    winterMonths,
    hotMonths: hotMonthsOf(winterMonths),
    storedFactor: estimate('storedWear', own),
    coveredFactor: estimate('coveredWear', own),
    setSpread: estimate('setWearSpread', own),
    productSpread: estimate('productWearSpread', own),
    axleSpread: estimate('axleWearSpread', own),
    lookSpread: estimate('lookSpread', own),
    clogPerWeek: estimate('clogPerWeek', own),
    clogWinterPerWeek: estimate('clogWinterPerWeek', own),
    clogLeftByWash: estimate('clogLeftByWash', own),
    clogMost: estimate('clogMost', own),
  }
}
