import type { Axle } from './position'

export const padKinds = ['ceramicPads', 'organic', 'semiMetallic', 'track'] as const
/** What the brake pads of an axle are made of; decides how much they dust. */
export type PadKind = (typeof padKinds)[number]
export const discKinds = ['iron', 'carbonCeramic', 'drum'] as const
export type DiscKind = (typeof discKinds)[number]
export interface AxleBrakes {
  readonly pads: PadKind
  readonly discs: DiscKind
}
export type Brakes = Readonly<Record<Axle, AxleBrakes>>

const usual: AxleBrakes = { pads: 'organic', discs: 'iron' }
export const usualBrakes: Brakes = { front: usual, rear: usual }

/** Dust against ordinary pads on iron. House estimates, with the trade's order: track most, drums hardly any. */
export const padFactors: Record<PadKind, number> = {
  ceramicPads: 0.45,
  organic: 1,
  semiMetallic: 1.6,
  track: 2.4,
}
export const discFactors: Record<DiscKind, number> = { iron: 1, carbonCeramic: 0.25, drum: 0.08 }
