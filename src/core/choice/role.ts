import type { Product } from '@/core/chemistry/product'
import { familyOf, type FamilyId } from '@/core/chemistry/families'

/** What a stage of wheel chemistry is there for. A plan has at most one of each: a wheel is washed once, with the right cleaner. */
export const roles = ['wash', 'iron', 'tar', 'acid'] as const
export type Role = (typeof roles)[number]

const ironRemovers: readonly FamilyId[] = ['ironRemover', 'ironClayLubricant']

/** The role of a cleaning family: solvents for lumps, iron removers for what is bonded, acids, and everything that washes. */
export function roleOf(id: FamilyId): Role {
  if (ironRemovers.includes(id)) return 'iron'
  const { traits } = familyOf(id)
  if (traits.includes('solvent')) return 'tar'
  return traits.includes('mildAcid') || traits.includes('strongAcid') ? 'acid' : 'wash'
}

/** One bit a role. */
export const roleBit = (role: Role): number => 1 << roles.indexOf(role)

/** The roles an option fills, one bit each: the mix of iron and tar remover stands for both. */
export const roleBitsOf = ({ role, product }: { readonly role: Role; readonly product: Product }): number =>
  roleBit(role) | (product.family === 'ironTarRemover' ? roleBit('iron') : 0)
