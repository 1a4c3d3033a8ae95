import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { forgetDraft, keepDraft, readDraft } from './draft'

const hour = 3_600_000
const day = 24 * hour
const like = { name: '', region: { english: 'en' }, wheels: [{ position: 'frontLeft', spokes: 5 }] }
const typed = { ...like, name: 'Bay three' }
const draft = { values: typed, from: like, version: 3, at: hour }

let kept: Map<string, string>
/** A device with room for so many characters. */
function device(room = Infinity): void {
  kept = new Map()
  vi.stubGlobal('localStorage', {
    get length() {
      return kept.size
    },
    key: (at: number) => [...kept.keys()][at] ?? null,
    getItem: (key: string) => kept.get(key) ?? null,
    setItem: (key: string, value: string) => {
      const used = [...kept].filter(([one]) => one !== key).reduce((sum, [, text]) => sum + text.length, 0)
      if (used + value.length > room) throw new Error('full')
      kept.set(key, value)
    },
    removeItem: (key: string) => void kept.delete(key),
  })
}
const ofOtherWindow = (text: unknown, form = 'settings'): void =>
  void kept.set(`even-spoke.draft.${form}|window 1-2`, JSON.stringify(text))
beforeEach(() => device())
afterEach(() => {
  forgetDraft('settings')
  vi.unstubAllGlobals()
})

describe('a draft', () => {
  it('comes back as it was kept, with what it began from and the id it is sent under', () => {
    keepDraft('settings', { ...draft, requestId: 'a' })
    expect(readDraft('settings', like, 2 * hour)).toMatchObject({ ...draft, requestId: 'a' })
    forgetDraft('settings')
    expect(readDraft('settings', like, 2 * hour)).toBeNull()
    expect(kept.size).toBe(0)
  })

  it('of a version of the form that had fewer fields comes back, with those fields as they are now', () => {
    const earlier = { name: 'Bay three', wheels: like.wheels }
    kept.set(
      'even-spoke.draft.settings',
      JSON.stringify({ values: earlier, from: { ...earlier, name: '' }, version: 3, at: hour }),
    )
    expect(readDraft('settings', like, 2 * hour)).toMatchObject(draft)
  })

  it('that an earlier version kept in another shape is put into today’s', () => {
    ofOtherWindow({ ...draft, values: { inside: typed }, from: { inside: like } })
    const upgrade = (value: unknown) => (value as { inside?: unknown }).inside ?? value
    expect(readDraft('settings', like, 2 * hour, upgrade)).toMatchObject(draft)
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
    ['a month old', JSON.stringify({ values: typed, version: 3, at: -30 * day })],
  ])('that is %s is dropped', (_, text) => {
    kept.set('even-spoke.draft.settings', text)
    expect(readDraft('settings', like, 2 * hour)).toBeNull()
    expect(kept.size).toBe(0)
  })

  it('of three weeks ago is still there', () => {
    keepDraft('settings', draft)
    expect(readDraft('settings', like, 21 * day)).toMatchObject(draft)
  })

  it('of another form of which the name begins alike is another one', () => {
    ofOtherWindow(draft, 'settings.more')
    expect(readDraft('settings', like, 2 * hour)).toBeNull()
    expect(kept.size).toBe(1)
  })
})

describe('two windows of one form', () => {
  it('keep a draft each; the newer one is shown, and the other one after it', () => {
    ofOtherWindow({ ...draft, values: { ...typed, name: 'There' }, at: hour })
    keepDraft('settings', { ...draft, at: 2 * hour })
    expect(readDraft('settings', like, 3 * hour)?.values.name).toBe('Bay three')
    forgetDraft('settings')
    expect(readDraft('settings', like, 3 * hour)?.values.name).toBe('There')
  })

  it('leave no copy behind where one goes on from the draft of the other', () => {
    ofOtherWindow({ ...draft, values: { ...typed, name: 'There' } })
    const taken = readDraft('settings', like, 2 * hour)?.slot ?? null
    keepDraft('settings', { ...draft, at: 2 * hour }, taken)
    expect(kept.size).toBe(1)
    forgetDraft('settings', taken)
    expect(kept.size).toBe(0)
  })

  it('keep what was typed on in the other after one took it over', () => {
    ofOtherWindow(draft)
    const taken = readDraft('settings', like, 2 * hour)?.slot ?? null
    ofOtherWindow({ ...draft, values: { ...typed, name: 'Typed on' } })
    keepDraft('settings', { ...draft, at: 2 * hour }, taken)
    forgetDraft('settings', taken)
    expect(readDraft('settings', like, 3 * hour)?.values.name).toBe('Typed on')
  })
})

describe('a full device', () => {
  it('keeps a draft as long as the page is open, and says so', () => {
    device(10)
    expect(keepDraft('settings', draft)).toBe(false)
    expect(kept.size).toBe(0)
    expect(readDraft('settings', like, 2 * hour)).toMatchObject(draft)
    device()
    expect(keepDraft('settings', draft)).toBe(true)
  })

  it('gives the room of drafts that are too old', () => {
    const text = JSON.stringify(draft)
    device(text.length * 1.5)
    kept.set('even-spoke.draft.tool.new', text)
    expect(keepDraft('settings', { ...draft, at: 40 * day })).toBe(true)
    expect([...kept.keys()]).toEqual([expect.stringContaining('draft.settings')])
  })
})
