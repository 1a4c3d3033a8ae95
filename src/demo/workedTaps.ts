import { stagesOfStep, type Act, type Plan } from '@/core/plan/plan'
import type { RunEvent } from '@/core/run/runEvent'

/** How the demo shop works against the house's times: careful with the brush, quick with the gun. */
const paces: Partial<Record<Act, number>> = {
  spray: 0.92,
  agitate: 1.18,
  scrub: 1.1,
  rinse: 0.88,
  dry: 0.95,
  dress: 1.25,
}
/** Nobody takes the same time twice. */
const swings = [1, 0.93, 1.08, 0.97, 1.04]

/** The taps of a job worked as planned, at the shop's own pace, that ended at an instant. */
export function workedTaps(plan: Plan, finishedAt: Date): RunEvent[] {
  let seconds = 0
  const readyAt = new Map<string, number>()
  const ends = plan.steps.map((step, index) => {
    const { id, act, corner, stageId, operatorSeconds, startsDwell } = step
    const key = `${corner}.${stageId}`
    const from = startsDwell ? seconds : Math.max(seconds, readyAt.get(key) ?? 0)
    const swing = swings[index % swings.length] as number
    seconds = from + operatorSeconds * (paces[act] ?? 1) * swing
    if (startsDwell)
      for (const started of stagesOfStep(step))
        readyAt.set(`${corner}.${started}`, seconds + startsDwell.minSeconds)
    return { id, seconds }
  })
  return ends.map((end) => ({
    kind: 'done',
    stepId: end.id,
    at: new Date(finishedAt.getTime() - Math.round(seconds - end.seconds) * 1000),
  }))
}
