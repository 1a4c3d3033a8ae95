import type { Delivery } from './family'
import type { FamilyId } from './families'

/** How a family behaves in use. House estimates, after what labels of the kind usually say. */
export interface Character {
  /** Ways it can be put on. */
  readonly carriers: readonly Delivery[]
  /** Time in which it does nearly all it will do, seconds. */
  readonly activeLifeSeconds: number
  /** Turns violet on iron; dark means spent. */
  readonly bleeds: boolean
  /** 0 rinses clean, 1 wants a good rinse, 2 leaves something in heat. */
  readonly residue: 0 | 1 | 2
  /** 0 none, 1 noticeable, 2 strong. */
  readonly odour: 0 | 1 | 2
}

const character = (
  carriers: readonly Delivery[],
  activeLifeSeconds: number,
  residue: Character['residue'] = 0,
  odour: Character['odour'] = 0,
  bleeds = false,
): Character => ({ carriers, activeLifeSeconds, residue, odour, bleeds })

export const characters: Record<FamilyId, Character> = {
  rinselessPresoak: character(['pumpFoamer', 'trigger'], 300),
  waterlessSpray: character(['trigger', 'cloth'], 60),
  carShampoo: character(['bucket', 'lance'], 300),
  // Its suds are made for a bucket; through a lance it is poor.
  wheelShampoo: character(['bucket'], 300),
  maintenanceCleaner: character(['trigger', 'pumpFoamer'], 240),
  allPurpose: character(['trigger', 'pumpFoamer', 'bucket'], 240, 1),
  degreaser: character(['pumpFoamer', 'trigger'], 240, 1),
  wheelAndTyre: character(['trigger', 'lance'], 240, 1),
  tyreCleaner: character(['trigger', 'pumpFoamer'], 180, 1),
  ironWheelCleaner: character(['trigger'], 300, 1, 2, true),
  ironRemover: character(['trigger', 'pumpFoamer'], 300, 0, 2, true),
  ironTarRemover: character(['trigger'], 240, 1, 2, true),
  ironClayLubricant: character(['trigger'], 240, 1, 2, true),
  tarRemover: character(['trigger', 'cloth'], 240, 2, 2),
  acidShampoo: character(['bucket', 'pumpFoamer'], 120, 0, 1),
  alkalineFoam: character(['lance', 'pumpFoamer'], 300, 1),
  acidCleaner: character(['trigger'], 60, 0, 2),
  heavyGel: character(['trigger'], 420, 2, 2, true),
  metalPolish: character(['cloth'], 120, 1, 1),
  quickDetailer: character(['cloth'], 60),
  sprayRinseSilica: character(['trigger'], 30, 1),
  sprayWax: character(['cloth', 'trigger'], 60),
  spraySealant: character(['cloth'], 180),
  wheelWax: character(['cloth'], 600),
  ceramicCoating: character(['cloth'], 300, 0, 2),
  coatingTopper: character(['cloth'], 60),
  matteSealant: character(['cloth'], 60),
  tyreDressingWater: character(['brush'], 300),
  tyreDressingSolvent: character(['brush'], 600, 1, 2),
  tyreCoating: character(['brush'], 600, 0, 1),
  linerDressing: character(['trigger'], 600),
  discInhibitor: character(['trigger'], 60),
}
