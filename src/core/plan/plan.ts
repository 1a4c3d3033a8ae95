import type { Delivery } from '@/core/chemistry/family'
import type { FamilyId } from '@/core/chemistry/families'
import type { Mix } from '@/core/dilution/mix'
import type { MixingRecipe } from '@/core/dilution/recipe'
import type { ProtectionKind } from '@/core/protection/kinds'
import type { Verdict } from '@/core/rules/rule'
import type { Position } from '@/core/wheel/position'
import type { Zone } from '@/core/wheel/zone'

export const stageKinds = ['arch', 'tyre', 'wash', 'iron', 'mineral', 'tar', 'protect', 'dress'] as const
/** What a stage of chemistry is for, in working order. */
export type StageKind = (typeof stageKinds)[number]

export const stageNames: Record<StageKind, string> = {
  arch: 'Arches',
  tyre: 'Tyres',
  wash: 'Wheel wash',
  iron: 'Bonded dust',
  mineral: 'Mineral scale',
  tar: 'Tar',
  protect: 'Protection',
  dress: 'Tyre dressing',
}

/** One product on some of the wheels. */
export interface Stage {
  readonly id: string
  readonly kind: StageKind
  readonly productId: string
  readonly productName: string
  readonly family: FamilyId
  readonly corners: readonly Position[]
  readonly zones: readonly Zone[]
  readonly delivery: Delivery
  /** Strength as filled into the bottle or bucket. */
  readonly strength: Mix
  readonly recipe: MixingRecipe
  /** Strength that reaches the wheel, where a lance thins the bottle again; else the recipe's. */
  readonly surfaceFraction: number
  readonly dwellSeconds: { readonly min: number; readonly max: number }
  /** Applications, for tyres by their browning. */
  readonly rounds: number
  readonly operatorSeconds: number
  readonly costMinor: number
  readonly verdict: Verdict
  /** Why this one and not its neighbour. */
  readonly why: string
  readonly cautions: readonly string[]
}

export const acts = [
  'lookRound', 'coolCheck', 'getReady', 'preRinse', 'spray', 'agitate', 'scrub', 'wipe', 'rinse', 'lookAgain', 'dry',
  'protect', 'dress', 'brakes', 'writeDown',
] as const // prettier-ignore
export type Act = (typeof acts)[number]

/** One thing to do with one's hands. */
export interface Step {
  /** Stable within the plan, e.g. `frontLeft.iron.spray`. */
  readonly id: string
  readonly act: Act
  /** Null for a step of the whole job. */
  readonly corner: Position | null
  readonly stageId: string | null
  readonly title: string
  readonly detail: string
  readonly zones: readonly Zone[]
  readonly tools: readonly string[]
  readonly operatorSeconds: number
  /** Finishing this step starts a dwell clock; it runs until a step that stops it. */
  readonly startsDwell: { readonly minSeconds: number; readonly maxSeconds: number } | null
  /** The stage whose clock this step stops. */
  readonly stopsDwellOf: string | null
  readonly why: string
  readonly cautions: readonly string[]
}

/** Something the plan cannot do, and what would help. */
export interface Shortfall {
  readonly corners: readonly Position[]
  readonly text: string
  readonly mend: string
}

export interface ProductAmount {
  readonly productId: string
  readonly productName: string
  readonly concentrateMillilitres: number
  readonly stockMillilitres: number
  readonly shortMillilitres: number
  readonly costMinor: number
}

export interface PlannedProtection {
  readonly corner: Position
  readonly kind: ProtectionKind
  readonly productId: string
}

export interface Plan {
  /** The answer as a colleague would say it. */
  readonly headline: string
  readonly operatorSeconds: number
  readonly costMinor: number
  readonly currency: string
  readonly waterLitres: number
  readonly stages: readonly Stage[]
  readonly steps: readonly Step[]
  readonly amounts: readonly ProductAmount[]
  readonly protections: readonly PlannedProtection[]
  readonly shortfalls: readonly Shortfall[]
}
