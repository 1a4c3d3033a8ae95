import type { Soil } from '@/core/soils/soil'
import type { Mix } from '@/core/dilution/mix'
import type { Delivery, ProtectionWear, Rating, Ratings } from './family'
import { familyOf, type FamilyId } from './families'
import type { LongestKind } from './longest'

/** One bottle in the cabinet. What the label does not say comes from its family. */
export interface Product {
  readonly id: string
  readonly name: string
  readonly family: FamilyId
  /** Strength as used by the label, share of concentrate. */
  readonly strength: Mix
  readonly dwellSeconds: { readonly min: number; readonly max: number }
  /** What the longest dwell means, where that differs from the family. */
  readonly longest?: LongestKind
  readonly delivery: Delivery
  /** Ratings that differ from the family's. */
  readonly ratings: Ratings
  readonly packMillilitres: number
  readonly packPriceMinor: number
  readonly stockMillilitres: number
  /** What it does to protection, where that differs from the family. */
  readonly wear?: ProtectionWear
  /** Larger or smaller packs it can be bought in, for comparing what a clean wheel costs. */
  readonly otherPacks: readonly Pack[]
  /** What the person wrote beside it. */
  readonly note?: string
  /** Name or note speak of fluoride, but the safety data sheet was read and names none. */
  readonly fluorideChecked?: boolean
  /** The safety data sheet names fluoride: nothing is ever planned with it. */
  readonly containsFluoride: boolean
  /** Kept for the records, not planned with. */
  readonly archived: boolean
}

export interface Pack {
  readonly millilitres: number
  readonly priceMinor: number
}

/** What a cleaning product does to protection: its own, else its family's; nothing for a protection. */
export function wearOf(product: Product): ProtectionWear {
  const family = familyOf(product.family)
  return family.purpose === 'clean' ? (product.wear ?? family.wear) : 'none'
}

/** Rating for a soil: the product's own, else its family's, else 0. */
export function ratingOf(product: Product, soil: Soil): Rating {
  const family = familyOf(product.family)
  return product.ratings[soil] ?? (family.purpose === 'clean' ? (family.ratings[soil] ?? 0) : 0)
}
