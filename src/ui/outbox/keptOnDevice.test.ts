import 'fake-indexeddb/auto'
import { openDB } from 'idb'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { forget, keep, loadKept } from './keptOnDevice'
import type { Kept, Waiting } from './waiting'

const ids = ['1', '2', '3'].map((digit) => `0b1f6a52-8c1e-4c58-9f3a-0d7f5f4f2c1${digit}`) as [string, string, string] // prettier-ignore
const wheelSetId = ids[0]
const look = (requestId: string): Waiting => ({
  kind: 'look',
  requestId,
  wheelSetId,
  madeAt: 5,
  look: { positions: ['frontLeft'], beading: 3, release: null, slickness: null, glossUnits: null, afterReviving: false },
}) // prettier-ignore
const photograph = (requestId: string): Waiting => ({
  kind: 'photograph',
  requestId,
  wheelSetId,
  madeAt: 7,
  jobId: null,
  positions: [],
  jpeg: new Blob(['picture'], { type: 'image/jpeg' }),
})
const kept = (item: Waiting, fix: string | null = null, order = 1): Kept => ({
  item,
  order,
  refusal: fix === null ? null : { fix, isJobEnded: false },
})
const idsKept = async () => (await loadKept()).map(({ item }) => item.requestId)

/** Puts something on the shelf as another program, or an earlier version, would have. */
async function putJunk(value: unknown): Promise<void> {
  const database = await openDB('even-spoke', 1)
  await database.add('waiting', value)
  database.close()
}

beforeEach(async () => {
  for (const { item } of await loadKept()) await forget(item.requestId)
})

describe('what a device keeps', () => {
  it('comes back as it was put there, in the order it was made', async () => {
    const all = [look(ids[1]), photograph(ids[0]), look(ids[2])]
    for (const item of all) await keep(kept(item))
    const back = await loadKept()
    expect(back.map(({ item }) => item.requestId)).toEqual([ids[1], ids[0], ids[2]])
    expect(back[0]).toEqual(kept(all[0]!))
    const [, second] = back
    expect(second?.item.kind === 'photograph' && (await second.item.jpeg.text())).toBe('picture')
  })

  it('keeps its place when it is refused, and when it is sent again', async () => {
    await keep(kept(look(ids[0])))
    await keep(kept(look(ids[1])))
    await keep(kept(look(ids[0]), 'No such wheel.'))
    expect((await loadKept()).map(({ refusal }) => refusal?.fix ?? null)).toEqual(['No such wheel.', null])
    await keep(kept(look(ids[0])))
    expect(await idsKept()).toEqual([ids[0], ids[1]])
  })

  it('comes in the order of its counter, whatever the clock said', async () => {
    await keep(kept({ ...look(ids[1]), madeAt: 1 }, null, 2))
    await keep(kept({ ...look(ids[0]), madeAt: 9 }, null, 1))
    expect(await idsKept()).toEqual([ids[0], ids[1]])
  })

  it('of an earlier version, without a counter and with a reason as a text, comes first', async () => {
    await keep(kept(look(ids[0])))
    await putJunk({ item: look(ids[1]), refusal: 'No such wheel.' })
    expect(await loadKept()).toMatchObject([
      { item: { requestId: ids[1] }, order: 0, refusal: { fix: 'No such wheel.', isJobEnded: false } },
      { item: { requestId: ids[0] } },
    ])
  })

  it('takes over the taps that an earlier version kept in the local storage, in their order, and clears junk away', async () => {
    const store = new Map<string, string>()
    vi.stubGlobal('localStorage', {
      get length() {
        return store.size
      },
      key: (at: number) => [...store.keys()][at] ?? null,
      getItem: (key: string) => store.get(key) ?? null,
      setItem: (key: string, text: string) => store.set(key, text),
      removeItem: (key: string) => store.delete(key),
    })
    const tap = (stepId: string, second: number) => ({
      kind: 'done',
      stepId,
      at: `2026-06-01T10:00:0${second}.000Z`,
    })
    store.set(
      'even-spoke.tap.b',
      JSON.stringify({ ...tap('b', 2), requestId: ids[1], jobId: ids[2], number: 2 }),
    )
    store.set(
      `even-spoke.taps.${ids[2]}`,
      JSON.stringify([{ ...tap('a', 1), requestId: ids[0] }, { junk: 1 }]),
    )
    store.set('even-spoke.tap.x', '{"values":')
    store.set('even-spoke.draft.product', '{}')
    await keep(kept(look(ids[2])))
    expect(await idsKept()).toEqual([ids[0], ids[1], ids[2]])
    expect([...store.keys()]).toEqual(['even-spoke.draft.product'])
    expect((await loadKept())[0]?.item).toMatchObject({ kind: 'tap', jobId: ids[2], tap: tap('a', 1) })
    vi.unstubAllGlobals()
  })

  it('is forgotten one by one; what is not there is no trouble', async () => {
    await keep(kept(look(ids[0])))
    await keep(kept(look(ids[1])))
    await forget(ids[2])
    await forget(ids[0])
    expect(await idsKept()).toEqual([ids[1]])
  })

  it.each([
    ['nothing of ours', { anything: 1 }],
    ['a kind of later', { item: { kind: 'sound', requestId: ids[1], wheelSetId, madeAt: 1 }, refusal: null }],
    ['a photograph without a picture', { item: { ...photograph(ids[1]), jpeg: 'text' }, refusal: null }],
    ['a set that cannot be', { item: { ...look(ids[1]), wheelSetId: '../backup' }, refusal: null }],
    ['an id that is none', { item: { ...look('x') }, refusal: null }],
    ['a refusal that is no text', { item: look(ids[1]), refusal: 3 }],
  ])('%s is cleared away, and the rest is found', async (_, junk) => {
    await keep(kept(look(ids[0])))
    await putJunk(junk)
    await keep(kept(look(ids[2])))
    expect(await idsKept()).toEqual([ids[0], ids[2]])
    // For good.
    const database = await openDB('even-spoke', 1)
    expect(await database.count('waiting')).toBe(2)
    database.close()
  })
})
