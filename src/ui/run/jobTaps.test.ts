import { describe, expect, it } from 'vitest'
import type { RunEvent } from '@/core/run/runEvent'
import { Outbox } from '../outbox/outbox'
import { atRest, TestDevice } from '../outbox/testDevice'
import type { Outcome, Tap } from '../outbox/waiting'
import { eventOfTap, JobTaps } from './jobTaps'

const tap = (stepId: string): Tap => ({ kind: 'done', stepId, at: '2026-05-01T08:00:00.000Z' })
const events = (...stepIds: string[]): readonly RunEvent[] => stepIds.map((one) => eventOfTap(tap(one)))
const steps = (taps: JobTaps): string[] => taps.read().events.map(({ stepId }) => stepId)

/** A page with one job open on a device whose server answers as told, and then stores. */
function setUp(answers: Outcome[] = [], { stored = events(), last = events() } = {}) {
  const device = new TestDevice(() => answers.shift() ?? { kind: 'stored', value: null })
  const outbox = new Outbox(device.page())
  let kept = last
  let fetched: readonly RunEvent[] | null = null
  const open = () => {
    const taps = new JobTaps('job', stored, outbox, {
      fetchStored: () => Promise.resolve(fetched),
      loadStored: () => kept,
      keepStored: (now) => (kept = now),
    })
    taps.start()
    return taps
  }
  return { device, outbox, open, kept: () => kept.map(({ stepId }) => stepId), answer: (all: typeof fetched) => (fetched = all) } // prettier-ignore
}

describe('the taps of a job', () => {
  it('count at once, and are stored in order; at no moment are they neither', async () => {
    const { open, kept } = setUp()
    const taps = open()
    const seen: number[] = []
    taps.subscribe(() => seen.push(taps.read().events.length))
    taps.add(tap('a'), tap('b'), tap('c'))
    expect(steps(taps)).toEqual(['a', 'b', 'c'])
    expect(taps.read().saving).toBe('saving')
    await atRest()
    expect([steps(taps), kept(), taps.read().saving]).toEqual([['a', 'b', 'c'], ['a', 'b', 'c'], 'saved'])
    expect(seen.slice(seen.indexOf(3)).every((count) => count === 3)).toBe(true)
  })

  it('wait without a network and say so', async () => {
    const { open, device } = setUp([{ kind: 'later' }])
    const taps = open()
    taps.add(tap('a'))
    await atRest()
    expect([steps(taps), taps.read().saving]).toEqual([['a'], 'offline'])
    device.retry()
    await atRest()
    expect(taps.read().saving).toBe('saved')
  })

  it('that were stored are known to a page which comes from the device and is older', async () => {
    const taps = setUp([], { stored: events('before'), last: events('before', 'then') }).open()
    taps.add(tap('now'))
    await atRest()
    expect(steps(taps)).toEqual(['before', 'then', 'now'])
  })

  it('that are refused count no more', async () => {
    const { open, outbox } = setUp([{ kind: 'refused', fix: 'Ended.', isJobEnded: true }])
    const taps = open()
    taps.add(tap('a'))
    await atRest()
    expect(steps(taps)).toEqual([])
    expect(outbox.read().kept[0]?.refusal?.fix).toBe('Ended.')
  })

  it('of a second device are taken up, but not while some of this one wait', async () => {
    const { open, answer } = setUp([{ kind: 'later' }])
    const taps = open()
    answer(events('theirs'))
    taps.add(tap('mine'))
    await atRest()
    await taps.catchUp()
    expect(steps(taps)).toEqual(['mine'])
    const other = setUp()
    const calm = other.open()
    other.answer(events('theirs'))
    await calm.catchUp()
    expect(steps(calm)).toEqual(['theirs'])
  })

  it('of another job are not among them', async () => {
    const { open, outbox } = setUp([{ kind: 'later' }])
    const taps = open()
    void outbox.add({ kind: 'tap', requestId: 'x', madeAt: 0, jobId: 'another', tap: tap('x') })
    await atRest()
    expect(steps(taps)).toEqual([])
  })
})
