import type { Said } from '@/core/message/message'
import type { Longest } from '@/core/chemistry/longest'
import type { Delivery } from '@/core/chemistry/family'
import type { FamilyId } from '@/core/chemistry/families'
import type { Mix } from '@/core/dilution/mix'
import type { MixingRecipe } from '@/core/dilution/recipe'
import type { PlanName } from '@/core/job/job'
import type { Left } from '@/core/efficacy/removal'
import type { ProtectionKind } from '@/core/protection/kinds'
import type { Verdict } from '@/core/rules/rule'
import type { ServiceId } from '@/core/visit-kinds/service'
import type { Soil } from '@/core/soils/soil'
import type { StageTiming } from './stageTiming'
import type { Position } from '@/core/wheel/position'
import type { Zone } from '@/core/wheel/zone'
import type { Act } from '@/core/acts/act'
import type { Question } from '@/core/acts/question'
import type { StageKind } from '@/core/acts/stageKind'

export { acts, type Act } from '@/core/acts/act'
export { stageKinds, type StageKind } from '@/core/acts/stageKind'

/** A rule that has a say on a stage. */
export interface StageRule {
  readonly id: string
  readonly verdict: Verdict
  readonly reason: Said
  /** What to do; absent for a rule that forbids. */
  readonly care?: Said
  /** Asks for a test spot first. */
  readonly testSpot?: true
}

/** The tool for some zones; null where nothing in the kit serves. */
export interface ZoneTool {
  readonly zones: readonly Zone[]
  readonly tool: string | null
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
  readonly tools: readonly ZoneTool[]
  readonly delivery: Delivery
  /** Strength as filled into the bottle or bucket. */
  readonly strength: Mix
  readonly recipe: MixingRecipe
  /** Strength that reaches the wheel, where a lance thins the bottle again; else the recipe's. */
  readonly surfaceFraction: number
  readonly dwellSeconds: { readonly min: number; readonly max: number }
  /** What the longest dwell means on these wheels; absent in plans of earlier versions: it is off when the time is over. */
  readonly longest?: Longest
  /** Applications one after the other. */
  readonly rounds: number
  readonly operatorSeconds: number
  readonly costMinor: number
  readonly verdict: Verdict
  readonly rules: readonly StageRule[]
  /** Share of the protection's life it takes, 0 to 1. Estimate. */
  readonly protectionLostShare: number
  /** Too strong for the wheel beside it: the wheel is rinsed before and again at once. */
  readonly keptOffWheel?: boolean
  /** Why this one and not its neighbour. */
  readonly why: Said
  readonly cautions: readonly Said[]
}

/** One thing to do with one's hands. */
export interface Step {
  /** Stable within the plan, e.g. `frontLeft.iron-1.spray`. */
  readonly id: string
  readonly act: Act
  /** Null for a step of the whole job. */
  readonly corner: Position | null
  readonly stageId: string | null
  readonly title: Said
  readonly detail: Said
  readonly zones: readonly Zone[]
  readonly tools: readonly string[]
  readonly operatorSeconds: number
  /** Finishing this step starts a dwell clock; it runs until a step that stops it. */
  readonly startsDwell: { readonly minSeconds: number; readonly maxSeconds: number } | null
  /** Further stages that go on with the same application: the same mix on arch and tyre. */
  readonly alsoStarts?: readonly string[]
  /** The stage whose clock this step stops. */
  readonly stopsDwellOf: string | null
  /** Further stages that leave the wheel with the same rinse. */
  readonly alsoStops?: readonly string[]
  /** Wetted by this step, it stays wet so long; null: it puts nothing on, or nothing dries. */
  readonly wetLimitSeconds: number | null
  /** Part of the wheel, where it is worked in parts: 1 of 2, … */
  readonly part: { readonly number: number; readonly of: number } | null
  /** Why what follows this rinse does not share it, as a clause; absent where nothing follows or nothing keeps them apart. */
  readonly apartBecause?: Said
  /** What the person is asked when it is done; absent in plans of earlier versions. */
  readonly asks?: Question
  /** What was seen at the work and brought this step into the plan; absent for what was planned. */
  readonly addedBecause?: Said
  /** What the answer at this step has changed, in a sentence or two; absent before it is answered. */
  readonly sight?: Said
  readonly why: Said
  readonly cautions: readonly Said[]
}

/** The stages whose chemistry this step works with: its own, and those that go on with it. */
export const stagesOfStep = ({ stageId, alsoStarts = [] }: Step): readonly string[] =>
  stageId === null ? [] : [stageId, ...alsoStarts]

/** Whether this step takes the chemistry of a stage off its wheel. */
export const takesOff = ({ stopsDwellOf, alsoStops = [] }: Step, stageId: string | null): boolean =>
  stageId !== null && (stopsDwellOf === stageId || alsoStops.includes(stageId))

/** Something the plan cannot do, and what would help. */
export interface Shortfall {
  readonly corners: readonly Position[]
  readonly text: Said
  readonly fix: Said
}

export interface ProductAmount {
  readonly productId: string
  readonly productName: string
  readonly concentrateMillilitres: number
  readonly stockMillilitres: number
  readonly shortMillilitres: number
  readonly costMinor: number
}

/** A bottle or bucket to make ready before the start. */
export interface Fill {
  readonly container: Delivery
  readonly productName: string
  readonly recipe: MixingRecipe
  readonly stageIds: readonly string[]
}

export interface PlannedProtection {
  readonly corner: Position
  readonly kind: ProtectionKind
  readonly productId: string
}

/** One of the three named plans, on what differs between them. */
export interface Alternative {
  readonly name: PlanName
  /** Wheel chemistry in a few words. */
  readonly summary: Said
  readonly operatorSeconds: number
  readonly costMinor: number
  /** Worst share of protection life lost on any wheel, 0 to 1. Estimate. */
  readonly protectionLostShare: number
  /** The same in days of the longest-lived layer. Estimate. */
  readonly protectionLostDays: number
  /** Things that ask for care, as points of the house scale. */
  readonly risk: number
  /** Why it beats its neighbours, in one sentence. */
  readonly why: Said
}

/** What is left of a soil on some wheels: before, and after each stage of wheel chemistry. Amounts on the doubling scale. */
export interface SoilCourse {
  readonly corners: readonly Position[]
  readonly soil: Soil
  readonly target: number | null
  /** First the amount before the first stage, then after each stage that touches these wheels. */
  readonly left: readonly (Left & { readonly stageId: string | null })[]
}

/** Another application that the look may ask for. */
export interface SecondRound {
  readonly stageId: string
  readonly corners: readonly Position[]
  readonly soil: Soil
  /** How likely, 0 to 1. Estimate. */
  readonly share: number
  /** What it takes at these wheels, all together. */
  readonly seconds: number
}

/** What the rule book says of a product of the cabinet on these wheels. */
export interface ProductVerdict {
  readonly productId: string
  readonly productName: string
  readonly verdict: Verdict
  readonly reason: Said
  readonly ruleIds: readonly string[]
}

export interface LadderStep {
  readonly text: Said
  readonly why: Said
}

/** When one step is done, and by whom. */
export interface SequenceEntry {
  readonly stepId: string
  /** 0 or 1. */
  readonly person: number
  readonly startSeconds: number
  readonly endSeconds: number
}

/** What a tap says: a clock has begun or ended, a question is answered, or just that it is done. */
export const tapEnds = ['sprayed', 'rinsed', 'foam', 'bled', 'looked', 'tested', 'done'] as const
export type TapEnd = (typeof tapEnds)[number]

/** Lines that are ended with one tap. */
export interface CardTap {
  readonly ends: TapEnd
  readonly stepIds: readonly string[]
}

/** A coming to a wheel, or something all round: what is done there before going on. */
export interface Card {
  readonly corner: Position | null
  /** 0 or 1. */
  readonly person: number
  readonly taps: readonly CardTap[]
}

/** What there is to keep in mind of an order. */
export interface OrderPattern {
  /** The same moves at every wheel; the shortest order made calm; the shortest as it is; one wheel at a time. */
  readonly kind: 'pattern' | 'free' | 'shortest' | 'oneAtATime'
  /** Two at the most. */
  readonly sentences: readonly Said[]
  /** Why it is no pattern; null where it is one, or was not asked for. */
  readonly because: Said | null
  /** Times somebody goes to another wheel. */
  readonly wheelChanges: number
  /** Between the first wheel and the last: of this order, and of the shortest that is known. */
  readonly seconds: number
  readonly shortestSeconds: number
  readonly shortestWheelChanges: number
}

/** The steps in order of time, so that nothing dries and nobody waits longer than has to be. */
export interface PlanSequence {
  readonly people: number
  readonly entries: readonly SequenceEntry[]
  readonly endSeconds: number
  /** No order ends before this. */
  readonly lowerBoundSeconds: number
  /** One wheel finished before the next, waiting through every dwell. */
  readonly plainSeconds: number
  /** Why it is shorter, in a sentence; or what stands against an order. */
  readonly text: Said
  /** Null in plans of earlier versions. */
  readonly pattern: OrderPattern | null
  /** Comings to a wheel, in order of time; empty in plans of earlier versions. */
  readonly cards: readonly Card[]
}

export interface Plan {
  /** The answer as a colleague would say it. */
  readonly headline: Said
  readonly service: ServiceId
  readonly chosen: PlanName
  readonly operatorSeconds: number
  readonly costMinor: number
  readonly currency: string
  readonly waterLitres: number
  readonly alternatives: readonly Alternative[]
  readonly stages: readonly Stage[]
  readonly steps: readonly Step[]
  readonly fills: readonly Fill[]
  readonly amounts: readonly ProductAmount[]
  readonly protections: readonly PlannedProtection[]
  readonly soil: readonly SoilCourse[]
  /** Absent in plans of earlier versions. */
  readonly secondRounds?: readonly SecondRound[]
  readonly verdicts: readonly ProductVerdict[]
  /** What would change the choice. */
  readonly wouldChange: readonly Said[]
  /** What to try next where the test spot or the first wheel does not come clean. */
  readonly ladder: readonly LadderStep[]
  /** How to do the test spot; null where none is asked for. */
  readonly testSpot: Said | null
  /** Shop settings that decided something. */
  readonly methods: readonly Said[]
  /** What nobody knows and the plan assumes. */
  readonly assumptions: readonly Said[]
  readonly shortfalls: readonly Shortfall[]
  /** How long everything stays wet, and in how many parts a wheel is worked. */
  readonly timings: readonly StageTiming[]
  /** Null where the steps were not put in order of time. */
  readonly sequence: PlanSequence | null
}
