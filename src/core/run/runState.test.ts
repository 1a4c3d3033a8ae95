import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Plan, Step } from '@/core/plan/plan'
import { testStep } from '@/core/plan/testStep'
import type { RunEvent } from './runEvent'
import { runState } from './runState'

const step = (id: string, changes: Partial<Step> = {}): Step =>
  testStep(id, { act: 'rinse', stageId: 'iron', ...changes })
const dwell = { minSeconds: 60, maxSeconds: 300 }
const plan = {
  stages: [{ id: 'iron', productName: 'Iron remover' }],
  steps: [
    step('look', { corner: null, stageId: null }),
    step('spray', { startsDwell: dwell, wetLimitSeconds: 90 }),
    step('brush', { wetLimitSeconds: 120 }),
    step('spray again', { startsDwell: dwell, wetLimitSeconds: 90 }),
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
    expect([...state.settled.keys()]).toEqual(['look'])
    expect(state.undoable).toMatchObject({ kind: 'tapUndone', stepId: 'look' })
  })

  it('starts a clock at the spray, begins it anew with a fresh round and stops it at the rinse', () => {
    const sprayed = [event('done', 'look', 0), event('done', 'spray', 30), event('done', 'spray again', 90)]
    expect(runState(plan, sprayed).clocks).toEqual([
      {
        corner: 'frontLeft',
        stageId: 'iron',
        productName: 'Iron remover',
        limit: 'contact',
        startedAt: at(90),
        ...dwell,
        wettedBy: 'spray again',
        wettedAt: at(90),
        wetSeconds: 90,
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

  it('begins the film anew with every wetting and leaves the label to run', () => {
    const brushed = [event('done', 'spray', 0), event('done', 'brush', 70)]
    expect(runState(plan, brushed).clocks).toMatchObject([
      { startedAt: at(0), wettedBy: 'brush', wettedAt: at(70), wetSeconds: 120 },
    ])
    const misted = [...brushed, event('misted', 'brush', 150)]
    expect(runState(plan, misted).clocks).toMatchObject([
      { startedAt: at(0), wettedBy: 'brush', wettedAt: at(150), wetSeconds: 120 },
    ])
  })

  it('stretches by a mist what only must not dry, to twice its label, and never what bites', () => {
    const sprayed = [event('done', 'look', 0), event('done', 'spray', 10), event('misted', 'spray', 60)]
    const of = (kind: 'contact' | 'wet') => ({
      ...plan,
      stages: [{ ...plan.stages[0], longest: { kind, because: '' }, dwellSeconds: { min: 60, max: 300 } }],
    })
    const [contact, wet] = (['contact', 'wet'] as const).map(
      (kind) => runState(of(kind) as unknown as Plan, sprayed).clocks[0],
    )
    expect([contact?.maxSeconds, wet?.maxSeconds]).toEqual([300, 600])
    const twice = [...sprayed, event('misted', 'spray', 90)]
    expect(runState(of('wet') as unknown as Plan, twice).clocks[0]?.maxSeconds).toBe(600)
  })

  it('settles nothing by a mist, and takes it back alone', () => {
    const sprayed = [event('done', 'look', 0), event('done', 'spray', 10)]
    const misted = [...sprayed, event('misted', 'spray', 60)]
    const state = runState(plan, misted)
    expect(state.settledCount).toBe(2)
    expect(state.undoable).toMatchObject({ kind: 'mistUndone', stepId: 'spray' })
    expect(runState(plan, [...misted, event('mistUndone', 'spray', 61)])).toEqual(runState(plan, sprayed))
    expect(runState(plan, [...misted, event('undone', 'spray', 61)]).clocks).toEqual([])
  })

  it('knows who tapped', () => {
    const state = runState(plan, [{ ...event('done', 'look', 0), person: 1 }])
    expect(state.settled.get('look')).toMatchObject({ as: 'done', at: at(0), person: 1 })
  })

  it('offers to undo one’s own last tap, not the other’s', () => {
    const events = [
      { ...event('done', 'look', 0), person: 0 },
      { ...event('done', 'spray', 5), person: 1 },
    ]
    expect(runState(plan, events, 0).undoable?.stepId).toBe('look')
    expect(runState(plan, events, 1).undoable?.stepId).toBe('spray')
    expect(runState(plan, [event('done', 'look', 0)], 1).undoable?.stepId).toBe('look')
  })

  it('ignores a mist where nothing is wet', () => {
    expect(runState(plan, [event('misted', 'spray', 0)]).clocks).toEqual([])
  })
})
