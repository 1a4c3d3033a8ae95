import type { Axle } from '@/core/wheel/position'

/** What a shop's house reckons with for one kind of protection, with ordinary dust in front, if one thing alone used it up. */
export interface KindLife {
  readonly lifeDays: number
  readonly lifeKilometres: number
  /** How a wash's wear counts, against a sealant. */
  readonly washFactor: number
  /** How much faster hot months take it; absent: no faster. */
  readonly hotFactor?: number
}

/** House estimates the forecast starts from. */
export interface WearEstimates {
  readonly kinds: Readonly<Record<string, KindLife>>
  readonly rearDustShare: number
  readonly winterFactor: number
  /** 1 to 12. */
  readonly winterMonths: readonly number[]
  /** 1 to 12; absent: none. */
  readonly hotMonths?: readonly number[]
  readonly storedFactor: number
  /** What a topper lets through to the coating under it; absent: all. */
  readonly coveredFactor?: number
  /** Spreads of the natural logarithm of what a set and a product do to the wear. */
  readonly setSpread: number
  readonly productSpread: number
  /** Spread of how far one axle wears from the other beyond what dust explains, natural logarithm. */
  readonly axleSpread: number
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

/** Driven so much from an instant on. */
export interface DrivenSince {
  readonly from: Date
  readonly kilometresPerWeek: number
}

export interface Stored {
  readonly from: Date
  /** Null: still stored. */
  readonly to: Date | null
}

export interface WornSet {
  readonly id: string
  /** From the first day, until `driven` says otherwise. */
  readonly kilometresPerWeek: number
  /** In order of time; absent: always the same. */
  readonly driven?: readonly DrivenSince[]
  /** How fast days take it, against a car that stands on the street; absent: 1. */
  readonly climate?: number
  /** Brake dust against ordinary pads and discs. */
  readonly dustFactor: number
  /** Of the rear axle, where its brakes are others. */
  readonly rearDustFactor?: number
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
  /** How much longer it lasts than a single coat; absent: 1. */
  readonly lifeFactor?: number
  /** When a topper lay over it, in order of time; absent: never. */
  readonly covered?: readonly Stored[]
}

export interface WornWash {
  readonly at: Date
  readonly setId: string
  /** Share of a sealant's life that the house reckons it takes, 0 to 1. */
  readonly wear: number
  readonly reviving: boolean
}

/** 4 like new, 0 nothing left. */
export type LookGrade = 0 | 1 | 2 | 3 | 4

/** A look: how water beads, how dirt lets go in the first rinse, how slick it feels. */
export interface WornLook {
  readonly at: Date
  readonly layerId: string
  readonly beading: LookGrade
  readonly release?: LookGrade
  readonly slickness?: LookGrade
  readonly afterReviving: boolean
}

/** What is on record of one set. */
export interface SetRecord {
  readonly set: WornSet
  readonly layers: readonly WornLayer[]
  /** In order of time. */
  readonly washes: readonly WornWash[]
  readonly looks: readonly WornLook[]
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
