import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { fourCorners, testJob } from '@/core/job/testJob'
import type { Step } from '@/core/plan/plan'
import { testStep } from '@/core/plan/testStep'
import { makePlan } from '@/core/planning/makePlan'
import { readClock } from './dwellClock'
import type { RunEvent } from './runEvent'
import { runState } from './runState'

const start = Date.UTC(2026, 4, 1, 8)
const plan = makePlan(testJob(fourCorners({ loads: { face: { freshDust: 2 }, barrel: { bondedDust: 2 } } })))
const at = (seconds: number) => new Date(start + Math.round(seconds * 1000))
const done = (stepId: string, seconds: number): RunEvent => ({ kind: 'done', stepId, at: at(seconds) })
const secondsOf = (events: readonly RunEvent[]) =>
  new Map(
    [...runState(plan, events).settled].map(([id, one]) => [id, (one.at.getTime() - start) / 1000] as const),
  )

/** When each step is over if everybody works as planned and taps every step. */
function honestEnds(speed = 1): number[] {
  const ready = new Map<string, number>()
  let now = 0
  return plan.steps.map((step) => {
    const key = `${step.corner}.${step.stageId}`
    if (!step.startsDwell) now = Math.max(now, ready.get(key) ?? 0)
    now += step.operatorSeconds * speed
    if (step.startsDwell)
      for (const stageId of [step.stageId, ...(step.alsoStarts ?? [])])
        ready.set(`${step.corner}.${stageId}`, now + step.startsDwell.minSeconds)
    return now
  })
}

describe('the time of a step', () => {
  it('is that of its own tap', () => {
    const [one, two] = plan.steps
    const times = secondsOf([done(one!.id, 100), done(two!.id, 200)])
    expect([times.get(one!.id), times.get(two!.id)]).toEqual([100, 200])
  })

  it('is spread by usual lengths over what one tap ends, the last at the tap', () => {
    const [first, a, b, c] = plan.steps
    const usual = [a, b, c].map((step) => step!.operatorSeconds)
    const whole = usual.reduce((sum, one) => sum + one)
    const times = secondsOf([done(first!.id, 1000), ...[a, b, c].map((step) => done(step!.id, 1000 + whole))])
    expect(times.get(a!.id)).toBeCloseTo(1000 + usual[0]!, 0)
    expect(times.get(b!.id)).toBeCloseTo(1000 + usual[0]! + usual[1]!, 0)
    expect(times.get(c!.id)).toBe(1000 + whole)
  })

  it('of a spray leaves room for what is still to be done there before the rinse', () => {
    const step = (id: string, changes: Partial<Step>) =>
      testStep(id, { corner: 'frontLeft', stageId: 'wash-1', operatorSeconds: 60, ...changes })
    const steps = [
      step('spray', { act: 'spray', startsDwell: { minSeconds: 0, maxSeconds: 240 } }),
      step('arch', { act: 'scrub', stageId: null, operatorSeconds: 200 }),
      step('brush', { act: 'agitate', operatorSeconds: 90 }),
      step('rinse', { act: 'rinse', stopsDwellOf: 'wash-1' }),
    ]
    const short = { ...plan, steps }
    const { clocks } = runState(short, [done('spray', 1000), done('arch', 1000)])
    const left = 240 - (start + 1_000_000 - clocks[0]!.startedAt.getTime()) / 1000
    expect(left).toBeGreaterThanOrEqual(90 + 15)
  })

  it('of a spray that was worked already leaves the dwell that was waited for', () => {
    const step = (id: string, changes: Partial<Step>) =>
      testStep(id, { corner: 'frontLeft', stageId: 'arch-1', operatorSeconds: 20, ...changes })
    const steps = [
      step('spray', {
        act: 'spray',
        startsDwell: { minSeconds: 45, maxSeconds: 300 },
        wetLimitSeconds: 200,
      }),
      step('scrub', { act: 'scrub' }),
      step('brush', { act: 'agitate', stageId: 'wash-2', operatorSeconds: 190 }),
      step('rinse', { act: 'rinse', stopsDwellOf: 'arch-1' }),
    ]
    const events = [done('spray', 1000), done('scrub', 1001)]
    const { settled } = runState({ ...plan, steps }, events)
    const ago = start + 1_001_000 - (settled.get('spray')?.at.getTime() ?? 0)
    expect(ago).toBeGreaterThanOrEqual((45 + 20) * 1000)
  })

  it('is pressed together where the span is shorter than the work', () => {
    const [first, a, b] = plan.steps
    const short = 0.5 * (a!.operatorSeconds + b!.operatorSeconds)
    const events = [done(first!.id, 1000), done(a!.id, 1000 + short), done(b!.id, 1000 + short)]
    const times = secondsOf(events)
    expect(times.get(a!.id)).toBeGreaterThan(1000)
    expect(times.get(a!.id)).toBeLessThan(1000 + short)
    const [, ofA, ofB] = [...runState(plan, events).settled.values()]
    expect([ofA?.isEstimated, ofB?.isEstimated, ofB?.isCaughtUp]).toEqual([true, false, false])
  })

  it('of quick taps is caught up with, and undo takes them back as one', () => {
    const [first, ...rest] = plan.steps
    const quick = rest.slice(0, 3).map(({ id }, index) => done(id, 1000 + index))
    const events = [done(first!.id, 100), ...quick]
    const state = runState(plan, events)
    expect([...state.settled.values()].map(({ isCaughtUp }) => isCaughtUp)).toEqual([false, true, true, true])
    const { undoable } = state
    expect(undoable?.kind).toBe('tapUndone')
    const after = runState(plan, [...events, { ...done(undoable!.stepId, 1010), kind: 'tapUndone' }])
    expect([...after.settled.keys()]).toEqual([first!.id])
  })
})

describe('any way of tapping', () => {
  /** Taps that each end some of the next steps, at the moment the last of them is over. */
  const anyTapping = fc.record({
    counts: fc.array(fc.integer({ min: 1, max: 9 }), { minLength: 1, maxLength: 60 }),
    late: fc.integer({ min: 0, max: 20 }),
    speed: fc.constantFrom(0.7, 1, 1.2),
  })
  const eventsOf = ({ counts, late, speed }: { counts: number[]; late: number; speed: number }) => {
    const ends = honestEnds(speed)
    let next = 0
    return counts.flatMap((count) => {
      const own = plan.steps.slice(next, next + count)
      next += own.length
      const seconds = (ends[next - 1] ?? 0) + late
      return own.map(({ id }) => done(id, seconds))
    })
  }

  it('keeps the order, puts nothing into the future, and is the same after any prefix is replayed', () => {
    fc.assert(
      fc.property(anyTapping, (tapping) => {
        const events = eventsOf(tapping)
        const { settled } = runState(plan, events)
        let before = -Infinity
        for (const [id, one] of settled) {
          const tapped = events.find(({ stepId }) => stepId === id)
          expect(one.at.getTime()).toBeLessThanOrEqual(tapped!.at.getTime())
          expect(one.at.getTime()).toBeGreaterThanOrEqual(before)
          before = one.at.getTime()
        }
        expect(
          runState(
            plan,
            JSON.parse(JSON.stringify(events)).map((one: RunEvent) => ({ ...one, at: new Date(one.at) })),
          ),
        ).toEqual(runState(plan, events))
      }),
    )
  })

  it('calls nothing late that honest taps would not have', () => {
    fc.assert(
      fc.property(anyTapping, (tapping) => {
        const events = eventsOf(tapping)
        const now = events.at(-1)?.at.getTime() ?? start
        for (const clock of runState(plan, events).clocks)
          expect(['over', 'dry']).not.toContain(readClock(clock, now).phase)
      }),
    )
  })
})

describe('any events', () => {
  const anyEvent = fc.record({
    kind: fc.constantFrom<RunEvent['kind']>('done', 'skipped', 'undone', 'tapUndone', 'misted', 'mistUndone'),
    stepId: fc.constantFrom(...plan.steps.map(({ id }) => id), 'of another plan'),
    at: fc.integer({ min: -1000, max: 10_000 }).map(at),
    person: fc.constantFrom(0, 1, undefined),
  })
  it('out of order, twice or of another plan leave a state that stands', () => {
    fc.assert(
      fc.property(fc.array(anyEvent, { maxLength: 80 }), (events) => {
        const state = runState(plan, events)
        expect(state.settledCount).toBe(state.settled.size)
        for (const id of state.settled.keys()) expect(plan.steps.some((step) => step.id === id)).toBe(true)
        expect(runState(plan, [...events, ...events]).settledCount).toBeGreaterThanOrEqual(0)
      }),
    )
  })
})
