import { describe, expect, it } from 'vitest'
import { fourCorners, testJob } from '@/core/job/testJob'
import type { RunEvent } from '@/core/run/runEvent'
import { runState } from '@/core/run/runState'
import { takesOff } from '@/core/plan/plan'
import { beforeGoing, leftOutBy } from './beforeGoing'
import { planInOrder } from '@/core/order/orderPlan'
import { resume } from './resume'
import { settledSteps } from './settledSteps'

const job = testJob(fourCorners({ loads: { barrel: { bondedDust: 3 } } }))
const plan = planInOrder(job)
const start = Date.UTC(2026, 4, 1, 8)

/** Worked as planned up to and with the first spray that dwells. */
function sprayed() {
  const entries = plan.sequence?.entries ?? []
  const first = entries.findIndex(({ stepId }) => plan.steps.find(({ id }) => id === stepId)?.startsDwell)
  const events = entries.slice(0, first + 1).map(({ stepId, endSeconds }): RunEvent => ({
    kind: 'done',
    stepId,
    at: new Date(start + endSeconds * 1000),
  }))
  const now = events.at(-1)?.at.getTime() ?? start
  const state = runState(plan, events)
  return { now, state, entries: resume(job, plan, settledSteps(state, now)).entries }
}

describe('called away', () => {
  const { now, state, entries } = sprayed()
  const going = (seconds: number) => beforeGoing(plan, entries, state.clocks, now, seconds)

  it('may go at once when nothing is wet', () => {
    expect(beforeGoing(plan, plan.sequence?.entries ?? [], [], start, 3600)).toEqual([])
  })

  it('may go for a moment, and has to rinse first for an hour', () => {
    expect(state.clocks.length).toBeGreaterThan(0)
    expect(going(0)).toEqual([])
    const first = going(3600)
    // One rinse a wheel, however many chemicals leave with it.
    const wet = [...new Set(state.clocks.map(({ corner }) => corner))]
    expect(first.map(({ act, corner }) => [act, corner])).toEqual(wet.map((corner) => ['rinse', corner]))
    expect(new Set(first.map(({ id }) => id)).size).toBe(first.length)
  })

  it('counts the film, where it dries before the label says', () => {
    const thin = state.clocks.map((clock) => ({ ...clock, wetSeconds: 40 }))
    expect(beforeGoing(plan, entries, state.clocks, now, 0)).toEqual([])
    expect(beforeGoing(plan, entries, thin, now, 0).length).toBeGreaterThan(0)
  })

  it('asks for more the longer one is away', () => {
    const counts = [0, 60, 120, 300, 600, 1200, 3600].map((seconds) => going(seconds).length)
    expect([...counts].sort((a, b) => a - b)).toEqual(counts)
  })

  it('leaves out what that rinse makes pointless, and nothing of other wheels', () => {
    const [rinse] = going(3600)
    if (!rinse) throw new Error('nothing to rinse')
    const left = leftOutBy(plan, rinse, state.settled)
    expect(left.length).toBeGreaterThan(0)
    for (const step of left) {
      expect([step.corner, takesOff(rinse, step.stageId)]).toEqual([rinse.corner, true])
      expect(state.settled.has(step.id)).toBe(false)
    }
  })
})
