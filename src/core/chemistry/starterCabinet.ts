import { familyIds, familyOf, type FamilyId } from './families'
import type { Product } from './product'
import { usualPacks } from './usualPacks'

/** A product with the defaults of its family, for people who have not filled their cabinet yet. */
export function productFromFamily(family: FamilyId, changes: Partial<Product> = {}): Product {
  const { name, strength, dwellSeconds, delivery } = familyOf(family)
  return {
    id: family,
    name: `House ${name}`,
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

/** One of each family; a job file without a cabinet is planned with it. */
export const starterCabinet: readonly Product[] = familyIds.map((family) => productFromFamily(family))
