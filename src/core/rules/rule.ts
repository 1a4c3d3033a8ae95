import type { Family, Trait } from '@/core/chemistry/family'
import type { FamilyId } from '@/core/chemistry/families'
import type { Condition, Finish } from '@/core/finishes/finish'
import type { SchoolSetting } from '@/core/job/schools'
import type { VehicleKind } from '@/core/wheel/position'
import type { Zone } from '@/core/wheel/zone'

export const verdicts = ['fine', 'withCare', 'no'] as const
/** From harmless to forbidden; the strictest of all that fire wins. */
export type Verdict = (typeof verdicts)[number]

export const verdictNames: Record<Verdict, string> = { fine: 'fine', withCare: 'with care', no: 'no' }

/** One row of the rule book. Every field that is given must hold; a field left out holds always. */
export interface Rule {
  readonly id: string
  readonly verdict: Exclude<Verdict, 'fine'>
  /** About the safety of people or brakes: no setting switches it off. */
  readonly safety: boolean
  readonly zones?: readonly Zone[]
  readonly finishes?: readonly Finish[]
  readonly conditions?: readonly Condition[]
  readonly traits?: readonly Trait[]
  readonly families?: readonly FamilyId[]
  readonly purpose?: Family['purpose']
  readonly vehicleKinds?: readonly VehicleKind[]
  readonly surfaceAboveCelsius?: number
  /** Holds only while protection is on the wheel. */
  readonly onLiveProtection?: true
  readonly strips?: true
  /** Holds only while the shop's setting has this value. */
  readonly school?: SchoolSetting
  readonly reason: string
  /** What to do, for a rule that allows the work with care. */
  readonly care?: string
}
