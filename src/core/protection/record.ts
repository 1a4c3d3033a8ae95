import type { Axle } from '@/core/wheel/position'

/** What a shop's house reckons with for one kind of protection, with ordinary dust in front, if one thing alone used it up. */
export interface KindLife {
  readonly lifeDays: number
  readonly lifeKilometres: number
  /** How a wash's wear counts, against a sealant. */
  readonly washFactor: number
}

/** House estimates the forecast starts from. */
export interface WearEstimates {
  readonly kinds: Readonly<Record<string, KindLife>>
  readonly rearDustShare: number
  readonly winterFactor: number
  /** 1 to 12. */
  readonly winterMonths: readonly number[]
  readonly storedFactor: number
  /** Spreads of the natural logarithm of what a set and a product do to the wear. */
  readonly setSpread: number
  readonly productSpread: number
  /** Spread of a look, as a share of health. */
  readonly lookSpread: number
  readonly clogPerWeek: number
  readonly clogWinterPerWeek: number
  /** What an ordinary wash leaves of what clogs, 0 to 1. */
  readonly clogLeftByWash: number
  readonly clogMost: number
}

export interface WornProduct {
  readonly id: string
  readonly kind: string
}

export interface Stored {
  readonly from: Date
  /** Null: still stored. */
  readonly to: Date | null
}

export interface WornSet {
  readonly id: string
  readonly kilometresPerWeek: number
  /** Brake dust against ordinary pads and discs. */
  readonly dustFactor: number
  readonly stored: readonly Stored[]
  /** The season in which it is mounted; absent: all year. */
  readonly season?: 'winter' | 'summer'
}

export interface WornLayer {
  readonly id: string
  readonly setId: string
  readonly axle: Axle
  readonly productId: string
  readonly appliedAt: Date
  readonly endedAt: Date | null
}

export interface WornWash {
  readonly at: Date
  readonly setId: string
  /** Share of a sealant's life that the house reckons it takes, 0 to 1. */
  readonly wear: number
  readonly reviving: boolean
}

/** A look: water beads in five grades, 4 like new, 0 flat. */
export interface WornLook {
  readonly at: Date
  readonly layerId: string
  readonly beading: 0 | 1 | 2 | 3 | 4
  readonly afterReviving: boolean
}

/** Everything a shop has on record of what it protects. */
export interface ShopRecord {
  readonly now: Date
  readonly estimates: WearEstimates
  readonly products: readonly WornProduct[]
  readonly sets: readonly WornSet[]
  readonly layers: readonly WornLayer[]
  readonly washes: readonly WornWash[]
  readonly looks: readonly WornLook[]
}
