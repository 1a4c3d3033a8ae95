import * as v from 'valibot'
import { deliveries } from '@/core/chemistry/family'
import { longestKinds } from '@/core/chemistry/longest'
import { familyIds } from '@/core/chemistry/families'
import { planNames } from '@/core/job/job'
import { serviceIds } from '@/core/visit-kinds/service'
import { soils } from '@/core/soils/soil'
import { passKinds } from '@/core/passes/planPass'
import { planPasses } from '@/core/passes/planPasses'
import { acts, stageKinds, tapEnds, type Plan } from '@/core/plan/plan'
import { protectionKinds } from '@/core/protection/kinds'
import { verdicts } from '@/core/rules/rule'
import { positions } from '@/core/wheel/position'
import { zones } from '@/core/wheel/zone'
import { questions } from '@/core/acts/question'
import type { Message } from '@/core/message/message'
import { saidText } from './saidText'

export const planFormat = 'even-spoke/plan/3'
/** Formats of plans that earlier versions stored: sentences instead of messages. */
export const earlierPlanFormats = ['even-spoke/plan/1', 'even-spoke/plan/2'] as const

const amount = v.pipe(v.number(), v.minValue(0))
const fraction = v.pipe(v.number(), v.minValue(0), v.maxValue(1))
const position = v.picklist(positions)

const recipe = v.strictObject({
  concentrateMillilitres: amount,
  waterMillilitres: amount,
  totalMillilitres: amount,
  realFraction: fraction,
})

export const planStage = v.strictObject({
  id: v.string(),
  kind: v.picklist(stageKinds),
  productId: v.string(),
  productName: v.string(),
  family: v.picklist(familyIds),
  corners: v.array(position),
  zones: v.array(v.picklist(zones)),
  tools: v.array(v.strictObject({ zones: v.array(v.picklist(zones)), tool: v.nullable(v.string()) })),
  delivery: v.picklist(deliveries),
  strength: v.strictObject({ from: fraction, to: fraction }),
  recipe,
  surfaceFraction: fraction,
  dwellSeconds: v.strictObject({ min: amount, max: amount }),
  longest: v.optional(v.strictObject({ kind: v.picklist(longestKinds), because: saidText })),
  rounds: amount,
  operatorSeconds: amount,
  costMinor: amount,
  verdict: v.picklist(verdicts),
  rules: v.array(
    v.strictObject({
      id: v.string(),
      verdict: v.picklist(verdicts),
      reason: saidText,
      care: v.optional(saidText),
      testSpot: v.optional(v.literal(true)),
    }),
  ),
  protectionLostShare: fraction,
  keptOffWheel: v.optional(v.boolean()),
  why: saidText,
  cautions: v.array(saidText),
})

export const planStep = v.strictObject({
  id: v.string(),
  act: v.picklist(acts),
  corner: v.nullable(position),
  stageId: v.nullable(v.string()),
  title: saidText,
  detail: saidText,
  zones: v.array(v.picklist(zones)),
  tools: v.array(v.string()),
  operatorSeconds: amount,
  startsDwell: v.nullable(v.strictObject({ minSeconds: amount, maxSeconds: amount })),
  alsoStarts: v.optional(v.array(v.string())),
  stopsDwellOf: v.nullable(v.string()),
  alsoStops: v.optional(v.array(v.string())),
  wetLimitSeconds: v.nullable(amount),
  part: v.nullable(v.strictObject({ number: amount, of: amount })),
  apartBecause: v.optional(saidText),
  asks: v.optional(v.picklist(questions)),
  why: saidText,
  cautions: v.array(saidText),
})

const planPass = v.strictObject({
  id: v.string(),
  kind: v.picklist(passKinds),
  title: saidText,
  corners: v.array(position),
  stageIds: v.array(v.string()),
  moves: v.array(
    v.strictObject({
      act: v.picklist(acts),
      words: saidText,
      corners: v.array(position),
      stepIds: v.array(v.string()),
      tools: v.array(v.string()),
      cautions: v.array(saidText),
    }),
  ),
  secondsAtWheel: amount,
  parts: amount,
  because: v.nullable(saidText),
})

/** A plan as a file, version 3. Costs are in minor units of the currency; fractions are shares of concentrate. */
export const planFile = v.strictObject({
  format: v.literal(planFormat),
  headline: saidText,
  service: v.picklist(serviceIds),
  chosen: v.picklist(planNames),
  operatorSeconds: amount,
  costMinor: amount,
  currency: v.string(),
  waterLitres: amount,
  alternatives: v.array(
    v.strictObject({
      name: v.picklist(planNames),
      summary: saidText,
      operatorSeconds: amount,
      costMinor: amount,
      protectionLostShare: fraction,
      protectionLostDays: amount,
      risk: amount,
      why: saidText,
    }),
  ),
  stages: v.array(planStage),
  steps: v.array(planStep),
  /** The steps as passes at the wheels; files of earlier versions have none. */
  passes: v.optional(v.array(planPass)),
  fills: v.array(
    v.strictObject({
      container: v.picklist(deliveries),
      productName: v.string(),
      recipe,
      stageIds: v.array(v.string()),
    }),
  ),
  amounts: v.array(
    v.strictObject({
      productId: v.string(),
      productName: v.string(),
      concentrateMillilitres: amount,
      stockMillilitres: amount,
      shortMillilitres: amount,
      costMinor: amount,
    }),
  ),
  protections: v.array(
    v.strictObject({ corner: position, kind: v.picklist(protectionKinds), productId: v.string() }),
  ),
  soil: v.array(
    v.strictObject({
      corners: v.array(position),
      soil: v.picklist(soils),
      target: v.nullable(amount),
      left: v.array(
        v.strictObject({ stageId: v.nullable(v.string()), expected: amount, low: amount, high: amount }),
      ),
    }),
  ),
  secondRounds: v.optional(
    v.array(
      v.strictObject({
        stageId: v.string(),
        corners: v.array(position),
        soil: v.picklist(soils),
        share: fraction,
        seconds: amount,
      }),
    ),
  ),
  verdicts: v.array(
    v.strictObject({
      productId: v.string(),
      productName: v.string(),
      verdict: v.picklist(verdicts),
      reason: saidText,
      ruleIds: v.array(v.string()),
    }),
  ),
  wouldChange: v.array(saidText),
  ladder: v.array(v.strictObject({ text: saidText, why: saidText })),
  testSpot: v.nullable(saidText),
  methods: v.array(saidText),
  assumptions: v.array(saidText),
  shortfalls: v.array(v.strictObject({ corners: v.array(position), text: saidText, fix: saidText })),
  timings: v.array(
    v.strictObject({
      stageId: v.string(),
      corner: position,
      surfaceCelsius: v.number(),
      isMeasured: v.boolean(),
      wetLimitSeconds: v.nullable(amount),
      labelMaxSeconds: amount,
      sections: amount,
      isStaggered: v.optional(v.boolean()),
      isByZones: v.optional(v.boolean()),
      freshCoats: v.optional(amount),
      mists: amount,
      isNotNow: v.boolean(),
      text: saidText,
    }),
  ),
  sequence: v.nullable(
    v.strictObject({
      people: amount,
      entries: v.array(
        v.strictObject({ stepId: v.string(), person: amount, startSeconds: amount, endSeconds: amount }),
      ),
      endSeconds: amount,
      lowerBoundSeconds: amount,
      plainSeconds: amount,
      text: saidText,
      pattern: v.optional(
        v.nullable(
          v.strictObject({
            kind: v.picklist(['pattern', 'free', 'shortest', 'oneAtATime']),
            sentences: v.array(saidText),
            because: v.nullable(saidText),
            wheelChanges: amount,
            seconds: amount,
            shortestSeconds: amount,
            shortestWheelChanges: amount,
          }),
        ),
        null,
      ),
      cards: v.optional(
        v.array(
          v.strictObject({
            corner: v.nullable(position),
            person: amount,
            taps: v.array(v.strictObject({ ends: v.picklist(tapEnds), stepIds: v.array(v.string()) })),
          }),
        ),
        [],
      ),
    }),
  ),
})

/** Never changed in place, at no depth. */
type Fixed<T> = T extends Message ? T : T extends object ? { readonly [K in keyof T]: Fixed<T[K]> } : T

export type PlanFile = Fixed<v.InferOutput<typeof planFile>>

/** A plan as a file: plain values that JSON and threads carry. */
export const writePlan = (plan: Plan): PlanFile => ({
  format: planFormat,
  ...plan,
  passes: planPasses(plan).passes,
})
