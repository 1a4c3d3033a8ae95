import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { forgetDraft, keepDraft, readDraft, withMissing } from './draft'

const hour = 3_600_000
const like = { name: '', region: { english: 'en' }, wheels: [{ position: 'frontLeft', spokes: 5 }] }
const typed = { ...like, name: 'Bay three' }
let kept: Map<string, string>
beforeEach(() => {
  kept = new Map()
  vi.stubGlobal('localStorage', {
    getItem: (key: string) => kept.get(key) ?? null,
    setItem: (key: string, value: string) => void kept.set(key, value),
    removeItem: (key: string) => void kept.delete(key),
  })
})
afterEach(() => void vi.unstubAllGlobals())

describe('a draft', () => {
  it('comes back as it was kept, with what it began from', () => {
    keepDraft('settings', { values: typed, from: like, version: 3, at: hour })
    expect(readDraft('settings', like, 2 * hour)).toEqual({ values: typed, from: like, version: 3, at: hour })
    forgetDraft('settings')
    expect(readDraft('settings', like, 2 * hour)).toBeNull()
  })

  it('of a version of the form that had fewer fields comes back, with those fields as they are now', () => {
    const earlier = { name: 'Bay three', wheels: like.wheels }
    kept.set(
      'even-spoke.draft.settings',
      JSON.stringify({ values: earlier, from: { ...earlier, name: '' }, version: 3, at: hour }),
    )
    expect(readDraft('settings', like, 2 * hour)).toEqual({ values: typed, from: like, version: 3, at: hour })
  })

  it.each([
    ['junk', '{'],
    ['text', '"much"'],
    ['nothing', 'null'],
    ['another kind of value', JSON.stringify({ values: { ...typed, name: 3 }, version: 3, at: hour })],
    [
      'a list in the place of a field',
      JSON.stringify({ values: { ...typed, region: [] }, version: 3, at: hour }),
    ],
    ['no time', JSON.stringify({ values: typed, version: 3 })],
    ['a day old', JSON.stringify({ values: typed, version: 3, at: -30 * hour })],
  ])('that is %s is dropped', (_, text) => {
    kept.set('even-spoke.draft.settings', text)
    expect(readDraft('settings', like, 2 * hour)).toBeNull()
    expect(kept.size).toBe(0)
  })

  it('is not kept, and nothing breaks, on a device that is full', () => {
    vi.stubGlobal('localStorage', {
      setItem: () => {
        throw new Error('full')
      },
    })
    expect(() => keepDraft('settings', { values: typed, version: 3, at: hour })).not.toThrow()
  })
})

it('only fields that are missing are filled in, at any depth', () =>
  expect(withMissing({ a: { b: 1 }, x: 2, list: [] }, { a: { b: 5, c: 6 }, list: [1], d: null })).toEqual({
    a: { b: 1, c: 6 },
    x: 2,
    list: [],
    d: null,
  }))
