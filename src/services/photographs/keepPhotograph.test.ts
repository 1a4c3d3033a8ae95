import { inEnglish } from '@/i18n/testEnglish'
import { randomUUID } from 'node:crypto'
import sharp from 'sharp'
import * as v from 'valibot'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { photographInput, type PhotographInput } from '@/contracts/photograph'
import { wheelSetInput } from '@/contracts/wheelSet'
import type { Database } from '@/data/database'
import { openInMemory } from '@/data/openInMemory'
import {
  listPhotographs,
  countPhotographs,
  photographsBeside,
  readPicture,
  removePhotograph,
} from '@/data/queries/photographs'
import { addWheelSet } from '@/data/queries/wheelSets'
import { inTurn, isDrawingQueueFull } from './drawingQueue'
import { keepPhotograph } from './keepPhotograph'
import { makePhotographRoom, maxPhotoBytesTotal, photographRoom } from './photographRoom'

const now = new Date('2026-06-10T09:00:00Z')
let database: Database
let setId: string
let otherSetId: string

/** A picture lying on its side, as phones write them, that says where it was taken. */
const sideways = async (widthPixels = 1600, heightPixels = 900): Promise<string> => {
  const file = await sharp({
    create: { width: widthPixels, height: heightPixels, channels: 3, background: '#486' },
  })
    .withExif({ IFD0: { Make: 'Tilted Box' }, IFD3: { GPSLatitude: '50/1 0/1 0/1' } })
    .withMetadata({ orientation: 6 })
    .jpeg()
    .toBuffer()
  return file.toString('base64')
}
const photograph = (changes: Partial<Record<keyof PhotographInput, unknown>> & { readonly jpeg: string }) =>
  v.parse(photographInput, { requestId: randomUUID(), positions: ['frontLeft'], ...changes })
const setOf = (name: string) =>
  addWheelSet(
    database,
    v.parse(wheelSetInput, {
      vehicle: { name: 'Orlen Tessaly', kind: 'car' },
      name,
      wheels: ['frontLeft', 'rearLeft'].map((position) => ({ position, tyreCode: '225/45 R18', rimWidthInches: 8, spokeCount: 10, finishes: [] })),
    }),
  ) // prettier-ignore
const rowsOf = async (id: string) => (await listPhotographs(database, id, { size: 50 })).rows

beforeAll(async () => {
  database = await openInMemory()
  setId = await setOf('Summer')
  otherSetId = await setOf('Winter')
})
afterAll(() => database.close())

describe('a photograph', () => {
  it('is kept upright, small enough for a screen, once, at the time it was taken, and tells nothing of its camera', async () => {
    const input = photograph({ jpeg: await sideways(), secondsAgo: 7200, jobId: randomUUID() })
    for (let times = 0; times < 2; times += 1)
      expect(await keepPhotograph(database, setId, input, now)).toMatchObject({ ok: true })
    const rows = await rowsOf(setId)
    expect(rows).toEqual([
      { id: input.requestId, jobId: null, positions: ['frontLeft'], takenAt: new Date('2026-06-10T07:00:00Z'), widthPixels: 720, heightPixels: 1280 },
    ]) // prettier-ignore
    const pictures = { whole: [720, 1280], small: [180, 320] } as const
    for (const size of ['whole', 'small'] as const) {
      const picture = sharp((await readPicture(database, input.requestId, size))!)
      const { format, width, height, exif, orientation } = await picture.metadata()
      expect({ format, size: [width, height], exif, orientation }).toEqual({
        format: 'jpeg',
        size: pictures[size],
        exif: undefined,
        orientation: undefined,
      })
    }
    expect((await countPhotographs(database)).bytes).toBeGreaterThan(0)
    await removePhotograph(database, setId, input.requestId)
    expect(await readPicture(database, input.requestId, 'whole')).toBeNull()
    expect(await countPhotographs(database)).toEqual({ count: 0, bytes: 0, oldestAt: null })
  })

  it('of another set is neither shown nor thrown away with this one, and each leads to those beside it', async () => {
    const ids: string[] = []
    for (const secondsAgo of [300, 200, 100]) {
      const input = photograph({ jpeg: await sideways(40, 30), secondsAgo })
      ids.push(input.requestId)
      await keepPhotograph(database, setId, input, now)
    }
    const [first, second, third] = ids as [string, string, string]
    await removePhotograph(database, otherSetId, first)
    expect((await rowsOf(setId)).map(({ id }) => id)).toEqual([third, second, first])
    expect(await rowsOf(otherSetId)).toEqual([])
    expect(await photographsBeside(database, setId, second)).toEqual({ olderId: first, newerId: third })
    expect(await photographsBeside(database, setId, first)).toEqual({ olderId: null, newerId: second })
    await database.query('delete from wheel_set where id = $1', [setId])
    expect(await database.query('select 1 from photograph_file')).toEqual([])
    setId = await setOf('Summer')
  })

  it.each([
    ['of a wheel that is not there', { positions: ['thirdLeft'] }, 'This set has no such wheel'],
    [
      'that runs scripts',
      { jpeg: Buffer.from('<svg xmlns="http://www.w3.org/2000/svg"><script/></svg>').toString('base64') },
      'Send a complete picture',
    ],
    ['that is none', { jpeg: Buffer.from('not a picture').toString('base64') }, 'Send a complete picture'],
  ])('%s is refused with a fix, and nothing is written', async (_, changes: object, words) => {
    const input = photograph({ jpeg: await sideways(), ...changes })
    const kept = await keepPhotograph(database, setId, input, now)
    expect(!kept.ok && inEnglish(kept.problems)[0]?.fix).toContain(words)
    expect(await rowsOf(setId)).toEqual([])
  })

  it('sent with the id of a photograph of another set is refused', async () => {
    const input = photograph({ jpeg: await sideways(40, 30) })
    await keepPhotograph(database, otherSetId, input, now)
    const kept = await keepPhotograph(database, setId, input, now)
    expect(!kept.ok && inEnglish(kept.problems)[0]?.fix).toContain('Another photo was already sent')
    await removePhotograph(database, otherSetId, input.requestId)
  })

  it('waits for its turn: two are drawn at a time, and beyond a limit the device keeps it', async () => {
    let drawing = 0
    let most = 0
    const draw = async () => {
      drawing += 1
      most = Math.max(most, drawing)
      await new Promise((resolve) => setImmediate(resolve))
      drawing -= 1
    }
    const all = await Promise.allSettled(Array.from({ length: 50 }, () => inTurn(draw)))
    expect(most).toBe(2)
    expect(all.filter(({ status }) => status === 'fulfilled')).toHaveLength(32)
    const refused = all.find((one) => one.status === 'rejected')
    expect(isDrawingQueueFull(refused?.reason)).toBe(true)
    await expect(inTurn(() => Promise.resolve('next'))).resolves.toBe('next')
  })

  it('that is cut short is refused', async () => {
    const whole = await sideways()
    const input = photograph({ jpeg: whole.slice(0, 4 * Math.floor(whole.length / 8)) })
    const kept = await keepPhotograph(database, setId, input, now)
    expect(!kept.ok && inEnglish(kept.problems)[0]?.fix).toContain('Send a complete picture')
  })

  it('that finds no room is refused; one that is there already is not', async () => {
    const input = photograph({ jpeg: await sideways(40, 30) })
    await keepPhotograph(database, setId, input, now)
    await database.query('update photograph set size_bytes = $1', [maxPhotoBytesTotal])
    const another = photograph({ jpeg: input.jpeg })
    const kept = await keepPhotograph(database, setId, another, now)
    expect(!kept.ok && inEnglish(kept.problems)[0]?.fix).toContain('Delete old ones')
    expect(await keepPhotograph(database, setId, input, now)).toMatchObject({ ok: true })
  })

  it('of long ago is thrown away with the others of its time, once somebody has seen how many that are', async () => {
    await database.query('delete from photograph')
    for (const days of [1, 40, 50])
      await keepPhotograph(
        database,
        setId,
        photograph({ jpeg: await sideways(40, 30), secondsAgo: days * 86_400 }),
        now,
      )
    const before = new Date(now.getTime() - 30 * 86_400_000)
    expect((await photographRoom(database)).count).toBe(3)
    const kept = await makePhotographRoom(database, before, 3)
    expect(!kept.ok && inEnglish(kept.problems)[0]?.found).toBe('2 photographs')
    expect((await photographRoom(database)).count).toBe(3)
    expect(await makePhotographRoom(database, before, 2)).toMatchObject({ ok: true })
    expect(await photographRoom(database)).toMatchObject({
      count: 1,
      oldestAt: new Date(now.getTime() - 86_400_000),
    })
    expect(await database.query('select 1 from photograph_file')).toHaveLength(2)
  })
})
