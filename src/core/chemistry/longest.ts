import type { Said } from '@/core/message/message'
import { familyOf } from './families'
import type { Trait } from './family'
import type { Product } from './product'

/**
 * What a label's longest time means. `contact`: it bites, and is off when the time is over. `wet`: it must not dry; the time counts from
 * the last fresh application, and kept wet it is on for twice as long at most from then.
 */
export const longestKinds = ['contact', 'wet'] as const
export type LongestKind = (typeof longestKinds)[number]

const bites: readonly Trait[] = ['strongAcid', 'strongAlkali', 'solvent']

/** What a label's longest time means at some places, and why it is stricter there than the product is by itself. */
export interface Longest {
  readonly kind: LongestKind
  /** A clause; empty where it is as the product has it. */
  readonly because: Said
}

/** The kind of a product: its own, else by what its family does. House estimate. */
export const longestOf = ({ longest, family }: Pick<Product, 'longest' | 'family'>): LongestKind =>
  longest ?? (familyOf(family).traits.some((trait) => bites.includes(trait)) ? 'contact' : 'wet')

/** Kept wet, nothing is on for more than so many times the label's longest since fresh product was put on. */
export const wetTimes = 2
