import type { FamilyId } from '@/core/chemistry/families'

/** Cured layers: they ask most of the weather. */
export const longLived: readonly FamilyId[] = ['ceramicCoating', 'tyreCoating']

/** Wiped on the dry wheel. */
export const wipedOn: readonly FamilyId[] = [
  'quickDetailer',
  'sprayWax',
  'spraySealant',
  'wheelWax',
  'ceramicCoating',
  'coatingTopper',
  'matteSealant',
]

export const sealants: readonly FamilyId[] = wipedOn.filter((family) => !longLived.includes(family))

export const dressings: readonly FamilyId[] = [
  'tyreDressingWater',
  'tyreDressingSolvent',
  'tyreCoating',
  'linerDressing',
]
