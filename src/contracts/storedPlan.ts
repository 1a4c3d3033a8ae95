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

/** Before version 3 what would help was called mend. */
const shortfall = v.pipe(
  v.looseObject({}),
  v.transform(({ mend, ...said }: Record<string, unknown>) =>
    mend === undefined ? said : { ...said, fix: mend },
  ),
)

/** A plan as any version of the program stored it; what an earlier one did not say has the value that says so. */
const storedPlan = v.looseObject({
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
  schools: v.optional(entries.schools, []),
  assumptions: v.optional(entries.assumptions, []),
  shortfalls: v.optional(v.array(shortfall), []),
  timings: v.optional(entries.timings, []),
  sequence: v.optional(entries.sequence, null),
})

/**
 * Reads a plan out of the data.
 * @throws Error where it is none that this version knows
 */
export const readStoredPlan = (stored: unknown): PlanFile =>
  v.parse(storedPlan, stored) as unknown as PlanFile
