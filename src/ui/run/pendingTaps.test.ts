import { describe, expect, it } from 'vitest'
import { forgetTap, keepTap, keptTaps, type KeptTap } from './pendingTaps'

/** The part of the browser's store that is used. */
function store(entries: Record<string, string> = {}): Storage {
  const kept = new Map(Object.entries(entries))
  return {
    get length() {
      return kept.size
    },
    key: (at: number) => [...kept.keys()][at] ?? null,
    getItem: (key: string) => kept.get(key) ?? null,
    setItem: (key: string, value: string) => void kept.set(key, value),
    removeItem: (key: string) => void kept.delete(key),
    clear: () => kept.clear(),
  }
}
const tap = (requestId: string, changes: Partial<KeptTap> = {}): KeptTap => ({
  requestId,
  jobId: 'job',
  kind: 'done',
  stepId: 'step',
  at: '2026-05-01T08:00:00.000Z',
  number: 0,
  ...changes,
})

describe('taps kept on the device', () => {
  it('of two tabs and two jobs stand beside each other, in the order they were made', () => {
    const device = store()
    keepTap(device, tap('c', { at: '2026-05-01T08:00:02.000Z', jobId: 'other' }))
    keepTap(device, tap('b', { number: 2 }))
    keepTap(device, tap('a', { number: 1 }))
    forgetTap(device, 'nothing')
    expect(keptTaps(device).map(({ requestId }) => requestId)).toEqual(['a', 'b', 'c'])
    forgetTap(device, 'b')
    expect(keptTaps(device).map(({ requestId }) => requestId)).toEqual(['a', 'c'])
  })

  it('are found among junk, and the junk is cleared', () => {
    const device = store({
      'even-spoke.tap.1': 'no JSON',
      'even-spoke.tap.2': 'null',
      'even-spoke.tap.3': '{"requestId":1}',
      'even-spoke.tap.4': JSON.stringify(tap('4', { at: 'yesterday' })),
      'even-spoke.tap.5': JSON.stringify(tap('5', { kind: 'thought' as never })),
      'even-spoke.tap.6': JSON.stringify(tap('6', { person: 7 })),
      'something else': 'stays',
    })
    keepTap(device, tap('good'))
    expect(keptTaps(device)).toHaveLength(1)
    expect(device.length).toBe(2)
  })

  it('of an earlier version are taken over', () => {
    const { jobId: _, number: __, ...old } = tap('old')
    const device = store({
      'even-spoke.taps.job': JSON.stringify([old, { junk: true }]),
      'even-spoke.taps.other': 'junk',
    })
    expect(keptTaps(device)).toEqual([tap('old')])
    expect(device.length).toBe(1)
  })

  it('do without a store, or with one that refuses', () => {
    const refusing = { ...store(), setItem: () => { throw new Error('full') }, length: 1, key: () => { throw new Error('no') } } // prettier-ignore
    for (const device of [null, refusing]) {
      keepTap(device, tap('a'))
      forgetTap(device, 'a')
      expect(keptTaps(device)).toEqual([])
    }
  })
})
