import { describe, expect, it } from 'vitest'
import { fourCorners, testJob } from '@/core/job/testJob'
import { planInOrder } from '@/core/order/orderPlan'
import { lanesOf } from './bars'

const loads = { barrel: { bondedDust: 3, film: 1 }, tyre: { tyreBrowning: 1 } } as const

describe.each([1, 2])('the lanes of %i', (people) => {
  const plan = planInOrder(testJob(fourCorners({ loads }), { crew: { people } }), 4000)
  const sequence = plan.sequence
  if (!sequence) throw new Error('no order')
  const lanes = lanesOf(plan, sequence)
  const persons = lanes.slice(0, people)
  const wheels = lanes.slice(people)

  it('are one for each person and one for each wheel, always in the same order', () => {
    expect(persons.map(({ of }) => of)).toEqual([{ person: 0 }, { person: 1 }].slice(0, people))
    expect(wheels.map(({ of }) => of)).toEqual(
      ['frontLeft', 'frontRight', 'rearRight', 'rearLeft'].map((corner) => ({ corner })),
    )
  })

  it('hold every step once for its person, as long as it takes, and never two at once', () => {
    const bars = persons.flatMap((lane) => lane.bars)
    expect(bars.map(({ stepId }) => stepId).sort()).toEqual(plan.steps.map(({ id }) => id).sort())
    for (const { bars: own } of persons) {
      const byStart = [...own].sort((a, b) => a.startSeconds - b.startSeconds)
      byStart.slice(1).forEach((bar, at) => {
        expect(bar.startSeconds).toBeGreaterThanOrEqual(byStart[at]?.endSeconds ?? 0)
      })
    }
  })

  it('show each dwell from the spray on, within its limit, and the rinse before the limit is over', () => {
    const steps = new Map(plan.steps.map((step) => [step.id, step]))
    let dwells = 0
    for (const { bars } of wheels)
      for (const bar of bars) {
        expect(bar.endSeconds).toBeGreaterThanOrEqual(bar.startSeconds)
        if (bar.kind !== 'dwell') continue
        dwells += 1
        const limit = bars.find((one) => one.kind === 'limit' && one.stepId === bar.stepId)
        const hands = bars.find((one) => one.kind === 'hands' && one.stepId === bar.stepId)
        expect(bar.startSeconds).toBe(hands?.endSeconds)
        expect(limit?.endSeconds).toBeGreaterThanOrEqual(bar.endSeconds)
        const rinse = bars.find(
          (one) =>
            one.kind === 'hands' &&
            one.startSeconds >= bar.startSeconds &&
            steps.get(one.stepId)?.stopsDwellOf === steps.get(bar.stepId)?.stageId,
        )
        if (rinse) expect(rinse.startSeconds).toBeLessThanOrEqual(limit?.endSeconds ?? 0)
      }
    expect(dwells).toBeGreaterThan(3)
  })
})
