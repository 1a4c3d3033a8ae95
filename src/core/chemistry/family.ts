import type { Soil } from '@/core/soils/soil'
import type { ProtectionKind } from '@/core/protection/kinds'
import type { Character } from './character'

/** How well a product takes a soil at label strength and dwell: 0 not at all … 4 nearly all. */
export type Rating = 0 | 1 | 2 | 3 | 4
export type Ratings = Partial<Record<Soil, Rating>>

export const traits = [
  'strongAcid',
  'mildAcid',
  'strongAlkali',
  'mildAlkali',
  'ironReactive',
  'solvent',
  'gloss',
  'abrasive',
] as const
/** Chemistry that rules speak about. */
export type Trait = (typeof traits)[number]

export const deliveries = ['trigger', 'pumpFoamer', 'lance', 'bucket', 'brush', 'cloth'] as const
export type Delivery = (typeof deliveries)[number]

/** What a product does to protection that is already there. */
export const protectionWears = ['none', 'hardly', 'some', 'strips'] as const
export type ProtectionWear = (typeof protectionWears)[number]
export type Surface = 'wheel' | 'tyre' | 'arch'

interface FamilyBase extends Character {
  /** Strength as used, share of concentrate; weaker end first. */
  readonly strength: { readonly from: number; readonly to: number }
  readonly dwellSeconds: { readonly min: number; readonly max: number }
  readonly delivery: Delivery
  readonly surfaces: readonly Surface[]
  readonly traits: readonly Trait[]
  readonly hazards: readonly Hazard[]
}

export const hazards = ['irritant', 'corrosive', 'fumes', 'flammable'] as const
export type Hazard = (typeof hazards)[number]

export interface CleaningFamily extends FamilyBase {
  readonly purpose: 'clean'
  readonly ratings: Ratings
  readonly wear: ProtectionWear
  /** Works only where the wheel is dry. */
  readonly needsDry: boolean
}

export interface ProtectingFamily extends FamilyBase {
  readonly purpose: 'protect'
  readonly protection: ProtectionKind
  /** Applied on the wet wheel and rinsed at once, instead of wiped on dry. */
  readonly onWet: boolean
}

export type Family = CleaningFamily | ProtectingFamily
