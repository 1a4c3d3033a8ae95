import { describe, expect, it } from 'vitest'
import { fourCorners, testJob } from '@/core/job/testJob'
import type { RunEvent } from '@/core/run/runEvent'
import { runState } from '@/core/run/runState'
import { takesOff } from '@/core/plan/plan'
import { planInOrder } from '@/core/order/orderPlan'
import { resume } from './resume'
import { settledSteps } from './settledSteps'
import { givenUpBy, stepsLeft } from './stepsLeft'

const start = Date.UTC(2026, 4, 1, 8)
const jobOf = (people: number) =>
  testJob(fourCorners({ loads: { barrel: { bondedDust: 3 } } }), { crew: { people } })

/** Everything up to a step of the order is done as planned. */
function workedUntil(plan: ReturnType<typeof planInOrder>, count: number) {
  const events = (plan.sequence?.entries ?? []).slice(0, count).map(({ stepId, endSeconds }): RunEvent => ({
    kind: 'done',
    stepId,
    at: new Date(start + endSeconds * 1000),
  }))
  return { state: runState(plan, events), now: events.at(-1)?.at.getTime() ?? start }
}

describe('what is left', () => {
  const job = jobOf(1)
  const plan = planInOrder(job)

  it('goes in the order of time, not wheel by wheel', () => {
    const { state } = workedUntil(plan, 0)
    expect(stepsLeft(plan, state, null, null).map(({ id }) => id)).toEqual(
      plan.sequence?.entries.map(({ stepId }) => stepId),
    )
  })

  it('follows the order from here once there is one', () => {
    const { state, now } = workedUntil(plan, 9)
    const order = resume(job, plan, settledSteps(state, now))
    expect(stepsLeft(plan, state, order, null).map(({ id }) => id)).toEqual(
      order.entries.map(({ stepId }) => stepId),
    )
  })

  it('gives up the brush where a rinse comes too late', () => {
    const entries = plan.sequence?.entries ?? []
    const sprayed = entries.findIndex(({ stepId }) => /iron.*spray/.test(stepId))
    const { state, now } = workedUntil(plan, sprayed + 1)
    const order = resume(job, plan, settledSteps(state, now + 3_600_000))
    const left = stepsLeft(plan, state, order, null)
    const [rinse] = left
    expect(rinse?.act).toBe('rinse')
    if (!rinse) return
    const given = givenUpBy(rinse, plan, order, state)
    expect(given.length).toBeGreaterThan(0)
    expect(left.map(({ id }) => id)).not.toEqual(expect.arrayContaining([given[0]]))
    const stepOf = (id: string) => plan.steps.find((step) => step.id === id)
    for (const id of given) {
      expect(stepOf(id)?.corner).toBe(rinse.corner)
      expect(takesOff(rinse, stepOf(id)?.stageId ?? null)).toBe(true)
    }
    expect(givenUpBy({ ...rinse, act: 'agitate' }, plan, order, state)).toEqual([])
  })
})

describe('what is left for two', () => {
  const job = jobOf(2)
  const plan = planInOrder(job)
  const { state } = workedUntil(plan, 0)
  const ofPerson = (person: number) => stepsLeft(plan, state, null, person)

  it('is shared out, and what belongs to no wheel is for both', () => {
    const all = stepsLeft(plan, state, null, null)
    const [one, other] = [ofPerson(0), ofPerson(1)]
    const wheels = (steps: typeof all) => steps.filter(({ corner }) => corner !== null).map(({ id }) => id)
    expect([...wheels(one), ...wheels(other)].sort()).toEqual(wheels(all).sort())
    expect(wheels(one).filter((id) => wheels(other).includes(id))).toEqual([])
    const together = all.filter(({ corner }) => corner === null)
    for (const steps of [one, other]) expect(steps).toEqual(expect.arrayContaining(together))
  })

  it('does not send one to the end of the job while the other is still at a wheel', () => {
    const all = stepsLeft(plan, state, null, null)
    const wheelsOf = (person: number) => ofPerson(person).filter(({ corner }) => corner !== null)
    const done = [...all.filter(({ corner }) => corner === null).slice(0, 3), ...wheelsOf(0)]
    const events = done.map(({ id }): RunEvent => ({ kind: 'done', stepId: id, at: new Date(start) }))
    const after = runState(plan, events)
    expect(stepsLeft(plan, after, null, 0)[0]?.id).toBe(wheelsOf(1)[0]?.id)
  })

  it('goes over to the other when one has nothing left', () => {
    const mine = new Set(ofPerson(0).map(({ id }) => id))
    const events = [...mine].map((stepId): RunEvent => ({ kind: 'done', stepId, at: new Date(start) }))
    const after = runState(plan, events)
    const left = stepsLeft(plan, after, null, 0)
    expect(left.length).toBeGreaterThan(0)
    expect(left).toEqual(stepsLeft(plan, after, null, 1))
  })
})
