import type { Message } from '@/core/message/message'
import type { Family, ProtectionWear, Trait } from '@/core/chemistry/family'
import type { FamilyId } from '@/core/chemistry/families'
import type { Condition, Finish } from '@/core/finishes/finish'
import type { Exposure } from '@/core/conditions/exposure'
import type { MethodSetting } from '@/core/methods/methods'
import type { Stiffness, ToolDuty, ToolKind, ToolState } from '@/core/tools/tool'
import type { ArchLiner, VehicleKind } from '@/core/wheel/position'
import type { Zone } from '@/core/wheel/zone'

export const verdicts = ['fine', 'withCare', 'no'] as const
/** From harmless to forbidden; the strictest of all that fire wins. */
export type Verdict = (typeof verdicts)[number]

export const strictness = (verdict: Verdict): number => verdicts.indexOf(verdict)

/** What a rule speaks of. Every field that is given must hold; a field left out holds always. */
export interface RuleScope {
  readonly zones?: readonly Zone[]
  readonly finishes?: readonly Finish[]
  readonly conditions?: readonly Condition[]
  /** One of these finishes is anywhere on the wheel. */
  readonly besideFinishes?: readonly Finish[]
  readonly traits?: readonly Trait[]
  readonly families?: readonly FamilyId[]
  readonly purpose?: Family['purpose']
  readonly wear?: readonly ProtectionWear[]
  readonly fluoride?: true
  /** Name or note speak of fluoride, and nobody looked it up. */
  readonly fluorideByWords?: true
  /** Name or note speak of chlorine bleach. */
  readonly chlorineByWords?: true
  readonly residueAtLeast?: 1 | 2
  /** Share of concentrate in what is filled. */
  readonly strengthAbove?: number
  readonly dwellAboveSeconds?: number
  readonly surfaceAboveCelsius?: number
  /** Speaks only of a surface that was measured (false), or only of one that was reckoned (true). */
  readonly reckoned?: boolean
  readonly airBelowCelsius?: number
  readonly airAboveCelsius?: number
  readonly humidityAboveShare?: number
  /** Holds only while rain falls on the wheels. */
  readonly inRain?: true
  readonly exposure?: Exposure
  readonly vehicleKinds?: readonly VehicleKind[]
  readonly liner?: ArchLiner
  /** Holds only while protection is on the wheel. */
  readonly onLiveProtection?: true
  /** Holds only while a coating still cures. */
  readonly onCuringProtection?: true
  readonly onWetWheel?: true
  readonly gritAtLeast?: 1 | 2 | 3 | 4
  readonly dirtAtLeast?: 1 | 2 | 3 | 4
  /** Amount of film still on the wheel, on the doubling scale. */
  readonly filmAbove?: number
  /** Chemistry that is still on the wheel because nobody rinsed. */
  readonly unrinsed?: 'acid' | 'alkali'
  /** The sprayer still holds another product. */
  readonly inUsedSprayer?: true
  /** A cleaner's residue may still be there. */
  readonly overResidue?: true
  readonly toolStiffness?: readonly Stiffness[]
  readonly toolKinds?: readonly ToolKind[]
  readonly toolStates?: readonly ToolState[]
  readonly toolDuties?: readonly ToolDuty[]
  readonly pressureAboveBar?: number
  /** Speaks of one product, where it marked this finish before. */
  readonly markedBy?: string
  /** Holds only while the shop's setting has this value. */
  readonly method?: MethodSetting
}

/** One row of the rule book. */
export interface Rule extends RuleScope {
  readonly id: string
  readonly verdict: Exclude<Verdict, 'fine'>
  /** About the safety of people or brakes: no setting switches it off. */
  readonly safety: boolean
  readonly reason: Message
  /** What to do, for a rule that allows the work with care. */
  readonly care?: Message
  /** The dwell it still allows. */
  readonly dwellCap?: 'shortest'
  /** Asks for a test spot at a hidden place first. */
  readonly testSpot?: true
}
