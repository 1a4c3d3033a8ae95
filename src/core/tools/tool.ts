import type { Zone } from '@/core/wheel/zone'

export const toolKinds = [
  'barrelBrush', 'barrelWand', 'flatBrush', 'longBrush', 'faceBrush', 'detailBrush', 'lugBrush', 'mitt', 'sponge',
  'tyreBrush', 'archBrush', 'clay', 'applicator', 'towel', 'blower',
] as const // prettier-ignore
export type ToolKind = (typeof toolKinds)[number]

export const toolKindNames: Record<ToolKind, string> = {
  barrelBrush: 'barrel brush',
  barrelWand: 'covered wand',
  flatBrush: 'flat flexible brush',
  longBrush: 'squeezable long brush',
  faceBrush: 'face brush',
  detailBrush: 'detail brush',
  lugBrush: 'lug brush',
  mitt: 'wheel mitt',
  sponge: 'sponge',
  tyreBrush: 'tyre brush',
  archBrush: 'arch brush',
  clay: 'clay',
  applicator: 'applicator',
  towel: 'towel',
  blower: 'blower',
}

export const stiffnesses = ['soft', 'medium', 'stiff'] as const
export type Stiffness = (typeof stiffnesses)[number]

export const toolStates = ['clean', 'dropped', 'worn'] as const
export type ToolState = (typeof toolStates)[number]

export interface Tool {
  readonly id: string
  readonly name: string
  readonly kind: ToolKind
  readonly stiffness: Stiffness
  /** Head diameter or thickness as it stands, mm. */
  readonly diameterMillimetres: number
  /** Thickness when squeezed through a gap, mm. */
  readonly squeezedMillimetres: number
  readonly reachMillimetres: number
  readonly state: ToolState
}

/** Which kinds of tool serve a zone, best first. */
export const kindsForZone: Partial<Record<Zone, readonly ToolKind[]>> = {
  arch: ['archBrush'],
  tyre: ['tyreBrush'],
  barrel: ['barrelBrush', 'barrelWand', 'longBrush'],
  spokeBacks: ['mitt', 'flatBrush', 'longBrush', 'detailBrush'],
  windows: ['faceBrush', 'detailBrush', 'mitt'],
  face: ['mitt', 'sponge', 'faceBrush'],
  lip: ['mitt', 'faceBrush', 'sponge'],
  lugSeats: ['lugBrush', 'detailBrush'],
  cap: ['detailBrush', 'mitt'],
  valve: ['detailBrush'],
  caliper: ['flatBrush', 'detailBrush'],
}
