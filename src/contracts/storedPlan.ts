import * as v from 'valibot'
import { earlierPlanFormats, planFile, planFormat, planStage, planStep, type PlanFile } from './planFile'

/** What a version wrote was checked then; what a later one says beside it is not turned away. */
const stage = v.looseObject({
  tools: v.optional(planStage.entries.tools, []),
  rules: v.optional(planStage.entries.rules, []),
  protectionLostShare: v.optional(planStage.entries.protectionLostShare, 0),
})
/** The first versions knew no film that dries, and no parts of wheels. */
const step = v.looseObject({
  wetLimitSeconds: v.optional(planStep.entries.wetLimitSeconds, null),
  part: v.optional(planStep.entries.part, null),
})

const { entries } = planFile

/** Names of before version 3: what would help was called mend, and what the shop had set its schools. */
const shortfall = v.pipe(v.looseObject({}), v.transform(renamed({ mend: 'fix' })))
const ofToday = v.transform(renamed({ schools: 'methods' }))

/** The same with its fields under the names of today. */
function renamed(names: Readonly<Record<string, string>>) {
  return (stored: Record<string, unknown>): Record<string, unknown> =>
    Object.fromEntries(Object.entries(stored).map(([name, value]) => [names[name] ?? name, value]))
}

/** A plan as any version of the program stored it; what an earlier one did not say has the value that says so. */
const planOfToday = v.looseObject({
  format: v.pipe(
    v.picklist([planFormat, ...earlierPlanFormats]),
    v.transform(() => planFormat),
  ),
  service: v.optional(entries.service, 'maintain'),
  chosen: v.optional(entries.chosen, 'balanced'),
  alternatives: v.optional(entries.alternatives, []),
  stages: v.array(stage),
  steps: v.array(step),
  fills: v.optional(entries.fills, []),
  soil: v.optional(entries.soil, []),
  verdicts: v.optional(entries.verdicts, []),
  wouldChange: v.optional(entries.wouldChange, []),
  ladder: v.optional(entries.ladder, []),
  testSpot: v.optional(entries.testSpot, null),
  methods: v.optional(entries.methods, []),
  assumptions: v.optional(entries.assumptions, []),
  shortfalls: v.optional(v.array(shortfall), []),
  timings: v.optional(entries.timings, []),
  sequence: v.optional(entries.sequence, null),
})

const storedPlan = v.pipe(v.looseObject({}), ofToday, planOfToday)

/**
 * Reads a plan out of the data.
 * @throws Error where it is none that this version knows
 */
export const readStoredPlan = (stored: unknown): PlanFile =>
  v.parse(storedPlan, stored) as unknown as PlanFile
