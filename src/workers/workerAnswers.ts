import * as v from 'valibot'
import type { Resumed } from '@/core/rescheduling/resume'
import type { Problem, Result } from '@/core/result'
import { planFormat, type PlanFile } from '@/contracts/planFile'
import { saidText } from '@/contracts/saidText'
import { readStoredPlan } from '@/contracts/storedPlan'

const problem = v.object({ path: v.string(), found: saidText, fix: saidText })
const planAnswer = v.variant('ok', [
  v.object({ ok: v.literal(true), value: v.looseObject({ format: v.literal(planFormat) }) }),
  v.object({ ok: v.literal(false), problems: v.array(problem) }),
])
const entry = v.looseObject({ stepId: v.string(), startSeconds: v.number(), endSeconds: v.number() })
const resumedAnswer = v.nullable(
  v.object({ entries: v.array(entry), lost: v.array(saidText), dropped: v.array(v.string()) }),
)

/**
 * A plan out of what the planning worker answered.
 * @throws Error where that is none
 */
export function planOfAnswer(answer: unknown): Result<PlanFile> {
  const read = v.parse(planAnswer, answer)
  return read.ok
    ? { ok: true, value: readStoredPlan(read.value) }
    : { ok: false, problems: read.problems as readonly Problem[] }
}

/**
 * The order of what is left, out of what the planning worker answered; null where the job cannot be read.
 * @throws Error where that is none
 */
export const resumedOfAnswer = (answer: unknown): Resumed | null =>
  v.parse(resumedAnswer, answer) as Resumed | null
