import fc from 'fast-check'
import { expect, it } from 'vitest'
import { wetTimes } from '@/core/chemistry/longest'
import { anySituation, jobOf, plainSituation, type Situation } from '@/core/job/testAnyJob'
import type { Job } from '@/core/job/job'
import { stagesOfStep, takesOff, type Plan } from '@/core/plan/plan'
import { isOnRubber } from '@/core/acts/stageKind'
import { planInOrder } from './orderPlan'
import { times } from '@/core/job/testLong'

/**
 * How long a stage's product is on until the rinse, seconds, by wheel and part: what bites from the first drop, the rest from when it was last
 * put on, and so rubber, whose rounds are put on one over the other. What is wiped off is off with the cloth.
 */
function onSeconds(plan: Plan, stageId: string, isBiting: boolean): { corner: string; seconds: number }[] {
  const steps = new Map(plan.steps.map((step) => [step.id, step]))
  const known = new Map<string, number>()
  const found: { corner: string; seconds: number }[] = []
  for (const { stepId, startSeconds, endSeconds } of [...(plan.sequence?.entries ?? [])].sort(
    (a, b) => a.startSeconds - b.startSeconds,
  )) {
    const step = steps.get(stepId)
    if (!step?.corner) continue
    const at = `${step.corner} ${step.part?.number ?? 0}`
    const on = known.get(at)
    if (step.act === 'spray' && stagesOfStep(step).includes(stageId))
      known.set(at, isBiting ? (on ?? startSeconds) : endSeconds)
    const isWipedOff = step.act === 'wipe' && step.stageId === stageId
    if ((isWipedOff || takesOff(step, stageId)) && on !== undefined) {
      found.push({ corner: at, seconds: startSeconds - on })
      known.delete(at)
    }
  }
  return found
}

/** Wheels worked in parts, and a tyre to wipe before the last rinse. */
const warmQuickRound: Situation = {
  ...plainSituation,
  service: 'quickRound',
  finish: 'polishedBare',
  bonded: 4,
  spokeCount: 24,
  airCelsius: 38,
  humidityShare: 0.97,
}

const acids = (job: Job): Job => ({ ...job, methods: { ...job.methods, acidOnLacquer: true } })

it(
  'no product stays on longer than its label allows',
  () => {
    fc.assert(
      fc.property(anySituation, fc.boolean(), (situation, withAcid) => {
        const job = withAcid ? acids(jobOf(situation)) : jobOf(situation)
        const plan = planInOrder(job, 300)
        for (const stage of plan.stages) {
          const longest = stage.longest?.kind ?? 'wet'
          for (const { corner, seconds } of onSeconds(
            plan,
            stage.id,
            longest === 'contact' && !isOnRubber(stage.kind),
          )) {
            const label = stage.dwellSeconds.max
            const most = longest === 'contact' ? label : wetTimes * label
            expect([stage.family, corner, longest, label, seconds, seconds <= most]).toEqual([
            stage.family, corner, longest, label, seconds, true,
          ]) // prettier-ignore
          }
        }
      }),
      { numRuns: 40 * times, examples: [[warmQuickRound, false]] },
    )
  },
  120_000 * times,
)
