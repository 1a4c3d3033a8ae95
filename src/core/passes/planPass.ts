import type { Said } from '@/core/message/message'
import type { Step } from '@/core/plan/plan'
import type { Position } from '@/core/wheel/position'
import type { PassMove } from './passMoves'

export const passKinds = [
  'presoak', 'rinse', 'wash', 'waterless', 'iron', 'mineral', 'tar', 'check', 'protect', 'polish', 'end',
] as const // prettier-ignore
/** What a pass is for: the chemical it is named after, the final check, wet protection, or the dry work at the end. */
export type PassKind = (typeof passKinds)[number]

/** One time at a wheel that ends with a rinse, the same at all of its wheels. */
export interface PlanPass {
  /** Stable within the plan: `wash`, `wash.2`. */
  readonly id: string
  readonly kind: PassKind
  /** As a person names it: "Wash", "Iron remover". */
  readonly title: Said
  readonly corners: readonly Position[]
  /** Products used in it, in order of use. */
  readonly stageIds: readonly string[]
  /** In order, as most wheels get them. */
  readonly moves: readonly PassMove[]
  /** Hand time at the wheel that takes longest, s. */
  readonly secondsAtWheel: number
  /** In how many parts a wheel is worked at most, each with a rinse of its own. */
  readonly parts: number
  /** Why it does not share the rinse of the pass before, as a clause; null where nothing is to be said. */
  readonly because: Said | null
}

/** A plan in working order: steps before the first wheel, passes at the wheels, steps after the last wheel. */
export interface PassesOfPlan {
  readonly before: readonly Step[]
  readonly passes: readonly PlanPass[]
  readonly after: readonly Step[]
}
