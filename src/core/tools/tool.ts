import type { Zone } from '@/core/wheel/zone'

export const toolKinds = [
  'barrelBrush', 'barrelWand', 'flatBrush', 'longBrush', 'faceBrush', 'detailBrush', 'lugBrush', 'mitt', 'sponge',
  'tyreBrush', 'archBrush', 'linerBrush', 'clay', 'applicator', 'towel', 'blower',
] as const // prettier-ignore
export type ToolKind = (typeof toolKinds)[number]

export const stiffnesses = ['soft', 'medium', 'stiff'] as const
export type Stiffness = (typeof stiffnesses)[number]

export const toolStates = ['clean', 'dropped', 'worn'] as const
export type ToolState = (typeof toolStates)[number]

export const toolDuties = ['wheel', 'tyre', 'arch', 'paint'] as const
/** What a tool is kept for; it never meets anything else. */
export type ToolDuty = (typeof toolDuties)[number]

/** What a kind is kept for, unless the person says otherwise. */
export const usualDuty = (kind: ToolKind): ToolDuty =>
  kind === 'tyreBrush' || kind === 'applicator'
    ? 'tyre'
    : kind === 'archBrush' || kind === 'linerBrush'
      ? 'arch'
      : 'wheel'

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
  readonly dedicatedTo: ToolDuty
}

/** Which kinds of tool serve a zone, best first. */
export const kindsForZone: Partial<Record<Zone, readonly ToolKind[]>> = {
  arch: ['archBrush', 'linerBrush'],
  tyre: ['tyreBrush'],
  barrel: ['barrelBrush', 'barrelWand', 'longBrush'],
  spokeBacks: ['mitt', 'flatBrush', 'longBrush', 'detailBrush'],
  windows: ['mitt', 'faceBrush', 'flatBrush', 'detailBrush'],
  face: ['mitt', 'sponge', 'faceBrush'],
  lip: ['mitt', 'faceBrush', 'sponge'],
  lugSeats: ['lugBrush', 'detailBrush'],
  cap: ['mitt', 'detailBrush'],
  valve: ['detailBrush'],
  caliper: ['flatBrush', 'detailBrush'],
}
