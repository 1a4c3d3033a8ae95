import type { FamilyId } from './families'

/** A pack as it is usually bought, with a plausible price. House estimates. */
export interface UsualPack {
  readonly packMillilitres: number
  /** Hundredths of the currency, as most have them. */
  readonly packPriceMinor: number
}

const pack = (packMillilitres: number, packPriceMinor: number): UsualPack => ({
  packMillilitres,
  packPriceMinor,
})

/** Concentrates come in bulk, what is used neat in litres, what lasts for months in small bottles. */
export const usualPacks: Record<FamilyId, UsualPack> = {
  rinselessPresoak: pack(1000, 2200),
  waterlessSpray: pack(500, 1300),
  carShampoo: pack(1000, 1400),
  wheelShampoo: pack(1000, 1700),
  maintenanceCleaner: pack(5000, 4200),
  allPurpose: pack(5000, 2900),
  degreaser: pack(5000, 3400),
  wheelAndTyre: pack(5000, 4600),
  tyreCleaner: pack(5000, 4400),
  ironWheelCleaner: pack(5000, 6900),
  ironRemover: pack(5000, 7900),
  ironTarRemover: pack(1000, 2600),
  ironClayLubricant: pack(1000, 2400),
  tarRemover: pack(1000, 1900),
  acidShampoo: pack(1000, 1900),
  alkalineFoam: pack(5000, 3900),
  acidCleaner: pack(5000, 3300),
  heavyGel: pack(1000, 2100),
  metalPolish: pack(250, 1600),
  quickDetailer: pack(1000, 1800),
  sprayRinseSilica: pack(1000, 2400),
  sprayWax: pack(1000, 1900),
  spraySealant: pack(500, 2200),
  wheelWax: pack(200, 2300),
  ceramicCoating: pack(30, 4900),
  coatingTopper: pack(500, 2600),
  matteSealant: pack(500, 2400),
  tyreDressingWater: pack(5000, 4900),
  tyreDressingSolvent: pack(1000, 1800),
  tyreCoating: pack(250, 2900),
  linerDressing: pack(5000, 3600),
  discInhibitor: pack(1000, 1700),
}
