import { familyIds, familyOf, type FamilyId } from './families'
import type { Product } from './product'
import { usualPacks } from './usualPacks'

/** A product with the defaults of its family, for people who have not filled their cabinet yet. */
export function productFromFamily(family: FamilyId, changes: Partial<Product> = {}): Product {
  const { name, strength, dwellSeconds, delivery } = familyOf(family)
  return {
    id: family,
    name: `${name.charAt(0).toUpperCase()}${name.slice(1)}`,
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
