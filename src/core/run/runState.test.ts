import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Plan, Step } from '@/core/plan/plan'
import { readClock, runState, type RunEvent } from './runState'

const step = (id: string, changes: Partial<Step> = {}): Step => ({
  id,
  act: 'rinse',
  corner: 'frontLeft',
  stageId: 'iron',
  title: id,
  detail: '',
  zones: [],
  tools: [],
  operatorSeconds: 10,
  startsDwell: null,
  stopsDwellOf: null,
  wetLimitSeconds: null,
  part: null,
  why: '',
  cautions: [],
  ...changes,
})
const dwell = { minSeconds: 60, maxSeconds: 300 }
const plan = {
  stages: [{ id: 'iron', productName: 'House iron remover' }],
  steps: [
    step('look', { corner: null, stageId: null }),
    step('spray', { startsDwell: dwell }),
    step('spray again', { startsDwell: dwell }),
    step('rinse', { stopsDwellOf: 'iron' }),
  ],
} as unknown as Plan

const start = new Date('2026-05-01T08:00:00Z').getTime()
const at = (seconds: number) => new Date(start + seconds * 1000)
const event = (kind: RunEvent['kind'], stepId: string, seconds: number): RunEvent => ({
  kind,
  stepId,
  at: at(seconds),
})

describe('the run', () => {
  it('goes through the steps in order', () => {
    const state = runState(plan, [event('done', 'look', 0)])
    expect(state.current?.id).toBe('spray')
    expect(state.next?.id).toBe('spray again')
    expect(state.undoable?.id).toBe('look')
  })

  it('starts a clock at the spray, begins it anew with a fresh round and stops it at the rinse', () => {
    const sprayed = [event('done', 'look', 0), event('done', 'spray', 30), event('done', 'spray again', 90)]
    expect(runState(plan, sprayed).clocks).toEqual([
      {
        corner: 'frontLeft',
        stageId: 'iron',
        productName: 'House iron remover',
        startedAt: at(90),
        ...dwell,
      },
    ])
    expect(runState(plan, [...sprayed, event('done', 'rinse', 200)]).clocks).toEqual([])
  })

  it('keeps the clock when the rinse is skipped: the chemical is still there', () => {
    const events = [event('done', 'spray', 0), event('skipped', 'rinse', 5)]
    expect(runState(plan, events).clocks).toHaveLength(1)
  })

  it('runs no clock for a spray that was skipped', () => {
    expect(runState(plan, [event('skipped', 'spray', 0)]).clocks).toEqual([])
  })

  it('counts a step once and ignores steps of another plan', () => {
    const events = [event('done', 'look', 0), event('done', 'look', 1), event('done', 'elsewhere', 2)]
    expect(runState(plan, events).settledCount).toBe(1)
  })

  it('is what it was after any step is undone', () => {
    const ids = plan.steps.map(({ id }) => id)
    fc.assert(
      fc.property(
        fc.uniqueArray(fc.constantFrom(...ids), { maxLength: 3 }),
        fc.constantFrom(...ids),
        (done, next) => {
          fc.pre(!done.includes(next))
          const before = done.map((id, index) => event('done', id, index))
          const after = [...before, event('done', next, 50), event('undone', next, 51)]
          expect(runState(plan, after)).toEqual(runState(plan, before))
        },
      ),
    )
  })
})

describe('a clock', () => {
  const clock = { corner: 'front', stageId: 'a', productName: '', startedAt: at(0), ...dwell } as const
  it.each([
    [0, 'dwelling', 60],
    [59, 'dwelling', 1],
    [60, 'ready', 240],
    [227, 'ready', 73],
    [228, 'rinseNow', 72],
    [300, 'rinseNow', 0],
    [301, 'over', -1],
  ] as const)('after %i s says %s with %i s left', (seconds, phase, remainingSeconds) => {
    expect(readClock(clock, start + seconds * 1000)).toEqual({
      elapsedSeconds: seconds,
      phase,
      remainingSeconds,
    })
  })
  it('does not run backwards when a device is ahead', () => {
    expect(readClock(clock, start - 5000).elapsedSeconds).toBe(0)
  })
})
