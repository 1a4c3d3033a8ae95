import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { fourCorners, testJob } from '@/core/job/testJob'
import { makePlan } from '@/core/planning/makePlan'
import type { Plan } from '@/core/plan/plan'
import { loggedTimes, pacesOf, type LoggedTime } from './pace'
import type { RunEvent } from './runEvent'
import { runState } from './runState'

const plan: Plan = makePlan(
  testJob(fourCorners({ loads: { barrel: { bondedDust: 3, freshDust: 2 } } }), { service: 'decontaminate' }),
)
const start = Date.UTC(2026, 4, 1, 8)

/** Taps through the whole plan, each step as long as the plan says times a factor, waiting where a dwell asks for it. */
function worked(factor: number): RunEvent[] {
  let now = start
  const ready = new Map<string, number>()
  return plan.steps.map((step): RunEvent => {
    const key = `${step.corner}.${step.stageId}`
    const from = Math.max(now, step.startsDwell ? 0 : (ready.get(key) ?? 0))
    now = from + step.operatorSeconds * factor * 1000
    if (step.startsDwell) ready.set(key, now + step.startsDwell.minSeconds * 1000)
    return { kind: 'done', stepId: step.id, at: new Date(now) }
  })
}

const logged = (ratio: number, count: number): LoggedTime[] =>
  Array.from({ length: count }, () => ({ act: 'agitate', houseSeconds: 100, takenSeconds: 100 * ratio }))

describe('logged times', () => {
  it('are what the hands took, without the wait for a dwell', () => {
    const times = loggedTimes(runState(plan, worked(1.3)), {}, 1)
    expect(times.length).toBeGreaterThan(20)
    for (const { houseSeconds, takenSeconds } of times)
      expect(takenSeconds / houseSeconds).toBeCloseTo(1.3, 1)
  })

  it('are held against the house, not against what was corrected before', () => {
    const pace = { agitate: { factor: 2, times: 9 } }
    const brushed = loggedTimes(runState(plan, worked(1)), pace, 1).filter(({ act }) => act === 'agitate')
    expect(brushed.length).toBeGreaterThan(0)
    for (const { houseSeconds, takenSeconds } of brushed) expect(takenSeconds / houseSeconds).toBeCloseTo(2)
  })

  it('leave out skipped steps, slips of the finger and breaks', () => {
    const events = worked(1)
    const brush = plan.steps.findIndex(({ act }) => act === 'agitate')
    const skipped = events.map((event, at): RunEvent =>
      at === brush ? { ...event, kind: 'skipped' } : event,
    )
    expect(loggedTimes(runState(plan, skipped), {}, 1)).toHaveLength(
      loggedTimes(runState(plan, events), {}, 1).length - 1,
    )
    const hour = events.map((event, at) =>
      at >= brush ? { ...event, at: new Date(event.at.getTime() + 3.6e6) } : event,
    )
    expect(loggedTimes(runState(plan, hour), {}, 1)).toHaveLength(
      loggedTimes(runState(plan, events), {}, 1).length - 1,
    )
  })
})

describe('logged times of two', () => {
  /** Two people, a wheel each, at the same time: the first as the house says, the second at half that speed. */
  const both = plan.steps.flatMap((step): RunEvent[] => {
    if (!step.corner) return []
    const person = step.corner === 'frontLeft' ? 0 : 1
    const before = plan.steps.filter(({ corner }) => corner === step.corner)
    const until = before.slice(0, before.indexOf(step) + 1)
    const work = until.reduce((sum, { operatorSeconds }) => sum + operatorSeconds * (1 + person), 0)
    const dwell = until.slice(0, -1).reduce((sum, { startsDwell }) => sum + (startsDwell?.minSeconds ?? 0), 0)
    return ['frontLeft', 'frontRight'].includes(step.corner)
      ? [{ kind: 'done', stepId: step.id, at: new Date(start + (work + dwell) * 1000), person }]
      : []
  })
  const inTime = [...both].sort((a, b) => a.at.getTime() - b.at.getTime())
  const agitated = (events: readonly RunEvent[]) =>
    loggedTimes(runState(plan, events), {}, 2)
      .filter(({ act }) => act === 'agitate')
      .map(({ takenSeconds, houseSeconds }) => Math.round((takenSeconds / houseSeconds) * 10) / 10)

  it('are told apart by who tapped', () => {
    const found = agitated(inTime)
    expect(found).toContain(1)
    expect(found).toContain(2)
    expect(new Set(found)).toEqual(new Set([1, 2]))
  })

  it('count for nothing where nobody said whose a tap is', () => {
    expect(agitated(inTime.map(({ kind, stepId, at }) => ({ kind, stepId, at })))).toEqual([])
  })
})

describe('the pace', () => {
  it('is empty when nothing was logged', () => {
    expect(pacesOf([], {})).toEqual({})
  })

  it('believes little at first and more with every logged time', () => {
    const factorAfter = (count: number) => pacesOf(logged(1.5, count), {}).agitate?.factor ?? 0
    expect(factorAfter(1)).toBeLessThan(1.15)
    expect(factorAfter(4)).toBeGreaterThan(factorAfter(1))
    expect(factorAfter(40)).toBeGreaterThan(1.42)
    expect(pacesOf(logged(1.5, 40), {}).agitate?.times).toBe(40)
  })

  it('is not moved by a single wild time', () => {
    const steady = pacesOf(logged(1.1, 20), {}).agitate?.factor ?? 0
    const wild = pacesOf([...logged(1.1, 20), ...logged(3.9, 1)], {}).agitate?.factor ?? 0
    expect(Math.abs(wild - steady)).toBeLessThan(0.02)
  })

  it('lies between the house and what was logged, and within what is believed', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.2, max: 4, noNaN: true }),
        fc.integer({ min: 1, max: 60 }),
        (ratio, count) => {
          const factor = pacesOf(logged(ratio, count), {}).agitate?.factor ?? NaN
          expect(factor).toBeGreaterThanOrEqual(Math.max(0.4, Math.min(1, ratio) - 0.01))
          expect(factor).toBeLessThanOrEqual(Math.min(2.5, Math.max(1, ratio) + 0.01))
        },
      ),
    )
  })
})
