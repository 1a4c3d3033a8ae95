import { sayInEnglish } from '@/i18n/testEnglish'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { writeDiskAfterCut } from './diskAfterCut'
import { recordRestore, tapsIn, type RecordedRestore } from './recordedRestore'

let folder = ''
let work: RecordedRestore
beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'even-spoke-cut-'))
  work = await recordRestore(folder, 20)
}, 120_000)
afterAll(() => rmSync(folder, { recursive: true, force: true }))

/** What a start after a cut finds: the taps, and what it says of damage. */
async function startAfter(cut: number): Promise<{ taps: string[]; said: string[] }> {
  const { openDatabase } = await import('../openDatabase')
  const after = mkdtempSync(join(tmpdir(), 'even-spoke-after-'))
  const said: string[] = []
  try {
    writeDiskAfterCut(work, cut, cut, after)
    const database = await openDatabase(after, { say: (one) => said.push(sayInEnglish(one)) })
    const taps = await tapsIn(database)
    await database.close()
    return { taps, said }
  } finally {
    rmSync(after, { recursive: true, force: true })
  }
}

describe('after a power cut during a restore', () => {
  it.each([0.2, 0.6, 0.9, 0.99])(
    'at %d of it there is all as before, or all of the backup',
    async (share) => {
      const { taps, said } = await startAfter(
        Math.floor(work.begunAt + share * (work.restoredAt - work.begunAt)),
      )
      expect(said).toEqual([])
      expect([work.taps.ofAll, work.taps.ofBackup]).toContainEqual(taps)
    },
  )

  it('there is the backup once it was said to be there, and was everything before it began', async () => {
    expect(work.taps.ofAll.length).toBe(2 * work.taps.ofBackup.length)
    expect((await startAfter(work.begunAt)).taps).toEqual(work.taps.ofAll)
    for (const cut of [work.restoredAt, work.events.length])
      expect(await startAfter(cut)).toEqual({ taps: work.taps.ofBackup, said: [] })
  })
})
