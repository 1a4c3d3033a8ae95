import type { Soil } from '@/core/soils/soil'
import type { Mix } from '@/core/dilution/mix'
import type { Delivery, Rating, Ratings } from './family'
import { familyOf, type FamilyId } from './families'

/** One bottle in the cabinet. What the label does not say comes from its family. */
export interface Product {
  readonly id: string
  readonly name: string
  readonly family: FamilyId
  /** Strength as used by the label, share of concentrate. */
  readonly strength: Mix
  readonly dwellSeconds: { readonly min: number; readonly max: number }
  readonly delivery: Delivery
  /** Ratings that differ from the family's. */
  readonly ratings: Ratings
  readonly packMillilitres: number
  readonly packPriceMinor: number
  readonly stockMillilitres: number
}

/** Rating for a soil: the product's own, else its family's, else 0. */
export function ratingOf(product: Product, soil: Soil): Rating {
  const family = familyOf(product.family)
  return product.ratings[soil] ?? (family.purpose === 'clean' ? (family.ratings[soil] ?? 0) : 0)
}
