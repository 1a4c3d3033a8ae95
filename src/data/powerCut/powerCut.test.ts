import { sayInEnglish } from '@/i18n/testEnglish'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { chances, writeDiskAfterCut } from './diskAfterCut'
import { missingIn, recordWork, type RecordedWork } from './recordedWork'

let folder = ''
let work: RecordedWork
beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'even-spoke-cut-'))
  work = await recordWork(folder, 60, 8)
}, 120_000)
afterAll(() => rmSync(folder, { recursive: true, force: true }))

/** What a start after a cut finds: everything that was acknowledged, and no damage. */
async function startAfter(
  cut: number,
  seed: number,
): Promise<{ marks: number; missing: string[]; said: string[] }> {
  const { openDatabase } = await import('../openDatabase')
  const after = mkdtempSync(join(tmpdir(), 'even-spoke-after-'))
  const said: string[] = []
  try {
    const marks = writeDiskAfterCut(work, cut, seed, after)
    const database = await openDatabase(after, { say: (one) => said.push(sayInEnglish(one)) })
    const missing = marks.length > 0 ? await missingIn(database, marks) : []
    await database.close()
    return { marks: marks.length, missing, said }
  } finally {
    rmSync(after, { recursive: true, force: true })
  }
}

// The bench tries a hundred moments; these few are in every run of the tests.
describe('after a power cut the program starts and has all that was acknowledged', () => {
  it.each([
    ['early in the first start', 0.2, 'start'],
    ['late in the first start', 0.97, 'start'],
    ['during work', 0.35, 'work'],
    ['while the good copy is made', 0.02, 'copy'],
    ['after much work', 0.8, 'work'],
  ] as const)('%s', async (_, share, when) => {
    const ranges = {
      start: [0, work.startedAt],
      work: [work.startedAt, work.events.length],
      copy: [work.copyBegunAt, work.events.length],
    } as const
    const [from, to] = ranges[when]
    const outcome = await startAfter(Math.floor(from + share * (to - from)), Math.round(share * 1000))
    expect(outcome).toMatchObject({ missing: [], said: [] })
    if (when !== 'start') expect(outcome.marks).toBeGreaterThan(20)
  })
})

describe('the recorded disk', () => {
  it('forgets what was not synced: a disk on which nothing was is empty', () => {
    const unsynced = { root: work.root, events: work.events.filter(({ kind }) => kind !== 'sync') }
    const after = mkdtempSync(join(tmpdir(), 'even-spoke-after-'))
    const marks = writeDiskAfterCut(unsynced, unsynced.events.length, 3, after)
    expect(marks.length).toBeGreaterThan(100)
    rmSync(after, { recursive: true, force: true })
  })

  it('draws the same chances from the same seed', () => {
    const draw = (seed: number) => Array.from({ length: 5 }, chances(seed))
    expect(draw(7)).toEqual(draw(7))
    expect(draw(7)).not.toEqual(draw(8))
    for (const one of draw(9)) expect(one).toBeGreaterThanOrEqual(0)
  })
})
