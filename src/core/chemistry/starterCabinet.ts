import { familyIds, familyOf, type FamilyId } from './families'
import type { Product } from './product'
import { usualPacks } from './usualPacks'

/** What starter products are called until the shop calls them otherwise. */
const starterNames: Record<FamilyId, string> = {
  rinselessPresoak: 'Rinseless wash pre-soak',
  waterlessSpray: 'Waterless spray',
  carShampoo: 'Neutral car shampoo',
  wheelShampoo: 'Wheel shampoo',
  maintenanceCleaner: 'Maintenance wheel cleaner',
  allPurpose: 'All-purpose cleaner',
  degreaser: 'Degreaser',
  wheelAndTyre: 'Wheel and tyre cleaner',
  tyreCleaner: 'Tyre and rubber cleaner',
  ironWheelCleaner: 'Iron-reactive wheel cleaner',
  ironRemover: 'Iron remover',
  ironTarRemover: 'Iron and tar remover',
  ironClayLubricant: 'Iron remover with clay lubricant',
  tarRemover: 'Tar remover',
  acidShampoo: 'Acid shampoo',
  alkalineFoam: 'High-alkaline wheel foam',
  acidCleaner: 'Acid wheel cleaner',
  heavyGel: 'Heavy wheel gel',
  metalPolish: 'Metal polish',
  quickDetailer: 'Quick detailer',
  sprayRinseSilica: 'Spray-and-rinse silica',
  sprayWax: 'Spray wax',
  spraySealant: 'Wipe-on spray sealant',
  wheelWax: 'Wheel wax',
  ceramicCoating: 'Ceramic wheel coating',
  coatingTopper: 'Coating topper',
  matteSealant: 'Matte sealant',
  tyreDressingWater: 'Water-based tyre dressing',
  tyreDressingSolvent: 'Solvent-based tyre dressing',
  tyreCoating: 'Tyre coating',
  linerDressing: 'Liner dressing',
  discInhibitor: 'Disc corrosion inhibitor',
}

/** A product with the defaults of its family, for people who have not filled their cabinet yet. */
export function productFromFamily(family: FamilyId, changes: Partial<Product> = {}): Product {
  const { strength, dwellSeconds, delivery } = familyOf(family)
  return {
    id: family,
    name: starterNames[family],
    family,
    strength,
    dwellSeconds,
    delivery,
    ratings: {},
    ...usualPacks[family],
    stockMillilitres: usualPacks[family].packMillilitres,
    otherPacks: [],
    note: '',
    containsFluoride: false,
    fluorideChecked: false,
    archived: false,
    ...changes,
  }
}

/** What most people who care for wheels have on the shelf. */
export const usualStart: readonly FamilyId[] = [
  'wheelShampoo',
  'allPurpose',
  'tyreCleaner',
  'ironRemover',
  'tarRemover',
  'acidShampoo',
  'sprayRinseSilica',
  'spraySealant',
  'tyreDressingWater',
]

/** One of each family; a job file without a cabinet is planned with it. */
export const starterCabinet: readonly Product[] = familyIds.map((family) => productFromFamily(family))
