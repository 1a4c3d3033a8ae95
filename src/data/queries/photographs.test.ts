import fc from 'fast-check'
import * as v from 'valibot'
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest'
import { wheelSetInput } from '@/contracts/wheelSet'
import type { Database } from '../database'
import { openInMemory } from '../openInMemory'
import {
  addPhotograph,
  findPhotograph,
  listPhotographs,
  countPhotographs,
  photographsBeside,
  readPicture,
} from './photographs'
import { addWheelSet } from './wheelSets'

let database: Database
let setId: string
let otherSetId: string
const start = Date.parse('2026-01-01T00:00:00Z')
const pictures = { whole: new Uint8Array([1, 2, 255]), small: new Uint8Array([9]) }
const setOf = (name: string) =>
  addWheelSet(
    database,
    v.parse(wheelSetInput, {
      vehicle: { name, kind: 'car' },
      name: 'All year',
      wheels: [{ position: 'frontLeft', tyreCode: '225/45 R17', rimWidthInches: 7.5, spokeCount: 10, finishes: [] }],
    }),
  ) // prettier-ignore

/** Keeps photographs that were taken so many minutes on; gives their ids, the latest first. */
async function photographed(set: string, minutes: readonly number[]): Promise<string[]> {
  const taken = minutes.map((minute) => ({
    id: crypto.randomUUID(),
    takenAt: new Date(start + minute * 60_000),
  }))
  await database.transaction(async (transaction) => {
    for (const one of taken)
      await addPhotograph(
        transaction,
        set,
        { ...one, jobId: null, positions: [], widthPixels: 4, heightPixels: 3 },
        pictures,
      )
  })
  return taken
    .sort((a, b) => b.takenAt.getTime() - a.takenAt.getTime() || (a.id < b.id ? 1 : -1))
    .map(({ id }) => id)
}

beforeAll(async () => {
  database = await openInMemory()
  setId = await setOf('Orlen Tessaly')
  otherSetId = await setOf('Torvane Lark')
})
afterAll(() => database.close())
beforeEach(async () => {
  await database.query('delete from photograph')
})

describe('photographs of a set', () => {
  it('are turned over page by page both ways, none twice and none left out, also where many were taken at once', async () => {
    await fc.assert(
      fc.asyncProperty(
        fc.array(fc.integer({ min: 0, max: 5 }), { minLength: 1, maxLength: 12 }),
        fc.integer({ min: 1, max: 5 }),
        async (minutes, size) => {
          await database.query('delete from photograph')
          const wanted = await photographed(setId, minutes)
          await photographed(otherSetId, [1, 2, 3])
          const forward: string[] = []
          let page = await listPhotographs(database, setId, { size })
          expect(page.hasEarlier).toBe(false)
          for (;;) {
            forward.push(...page.rows.map(({ id }) => id))
            if (!page.hasLater) break
            page = await listPhotographs(database, setId, { size, after: page.rows.at(-1)?.id })
          }
          expect(forward).toEqual(wanted)
          const backward: string[] = [...page.rows.map(({ id }) => id)]
          while (page.hasEarlier && page.rows[0]) {
            page = await listPhotographs(database, setId, { size, before: page.rows[0].id })
            backward.unshift(...page.rows.map(({ id }) => id))
          }
          expect(backward).toEqual(wanted)
        },
      ),
      { numRuns: 25 },
    )
  })

  it('lead from each to those beside it, in the same order', async () => {
    const ids = await photographed(setId, [3, 1, 3, 2, 0, 3])
    await photographed(otherSetId, [1, 2, 3])
    for (const [at, id] of ids.entries())
      expect(await photographsBeside(database, setId, id)).toEqual({
        newerId: ids[at - 1] ?? null,
        olderId: ids[at + 1] ?? null,
      })
  })

  it('are found in their own set alone, and give back every byte', async () => {
    const [id] = (await photographed(setId, [1])) as [string]
    expect(await findPhotograph(database, otherSetId, id)).toBeNull()
    expect((await findPhotograph(database, setId, id))?.takenAt).toEqual(new Date(start + 60_000))
    expect(Buffer.from((await readPicture(database, id, 'whole'))!)).toEqual(Buffer.from(pictures.whole))
    expect(Buffer.from((await readPicture(database, id, 'small'))!)).toEqual(Buffer.from(pictures.small))
    expect(await countPhotographs(database)).toEqual({
      count: 1,
      bytes: 4,
      oldestAt: new Date(start + 60_000),
    })
  })

  it('go with their set, pictures and all', async () => {
    const gone = await setOf('Soon gone')
    await photographed(gone, [1, 2])
    await database.query('delete from wheel_set where id = $1', [gone])
    const left = await database.query<{ name: string; rows: number }>(
      `select name, rows::int as rows from table_count where name like 'photograph%' order by name`,
    )
    expect(left.map(({ rows }) => rows)).toEqual([0, 0])
  })
})
