// Writes with and without syncs, and power cuts at random moments of a run. Prints one line of JSON.
import type { Said } from '@/core/message/message'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { chances, writeDiskAfterCut } from '@/data/powerCut/diskAfterCut'
import { missingIn, recordWork } from '@/data/powerCut/recordedWork'

const newFolder = () => mkdtempSync(join(tmpdir(), 'even-spoke-bench-'))

interface Cost {
  readonly alone: number
  readonly eight: number
}

/** Milliseconds a write, alone and of eight that write at once. */
async function costOf(write: () => Promise<unknown>): Promise<Cost> {
  const each = 200
  const timed = async (writers: number): Promise<number> => {
    const before = performance.now()
    await Promise.all(
      Array.from({ length: writers }, async () => {
        for (let at = 0; at < each; at += 1) await write()
      }),
    )
    return (performance.now() - before) / (each * writers)
  }
  await timed(1)
  return { alone: await timed(1), eight: await timed(8) }
}

const insert = "insert into vehicle (name, kind) values ('Cost', 'car')"

async function costs() {
  const { PGlite } = await import('@electric-sql/pglite')
  const { startEngine } = await import('@/data/engine')
  const { overEngine } = await import('@/data/database')
  const { openDatabase } = await import('@/data/openDatabase')
  const folder = newFolder()
  await (await openDatabase(folder)).close()
  const engine = await startEngine(join(folder, 'database'), () => true)
  const database = overEngine(engine.postgres, folder, engine.files)
  const before = engine.files.commits.syncs
  const synced = await costOf(() => database.query(insert))
  const writesPerSync = (200 * 10) / (engine.files.commits.syncs - before)
  await database.close()
  const plain = await PGlite.create(join(folder, 'database'))
  const unsynced = await costOf(() => plain.query(insert))
  await plain.close()
  rmSync(folder, { recursive: true, force: true })
  return { synced: { ...synced, writesPerSync }, unsynced }
}

async function powerCuts(count: number) {
  const folder = newFolder()
  const work = await recordWork(folder, 120, 8)
  const { openDatabase } = await import('@/data/openDatabase')
  const random = chances(count)
  let cutsLost = 0
  let cutsFailed = 0
  for (let number = 0; number < count; number += 1) {
    // A quarter each in the first start and around the good copy, the rest anywhere.
    const [from, to] =
      number % 4 === 0
        ? [0, work.startedAt]
        : number % 4 === 1
          ? [work.copyBegunAt, work.copyBegunAt + 3000]
          : [work.startedAt, work.events.length]
    const cut = Math.floor(from + random() * (Math.min(to, work.events.length) - from))
    const after = newFolder()
    try {
      const marks = writeDiskAfterCut(work, cut, number + 1, after)
      const said: Said[] = []
      const database = await openDatabase(after, { say: (text) => said.push(text) })
      if (said.length > 0 || (marks.length > 0 && (await missingIn(database, marks)).length > 0))
        cutsLost += 1
      await database.close()
    } catch (error) {
      cutsFailed += 1
      process.stderr.write(`Cut ${cut}: ${String(error)}\n`)
    }
    rmSync(after, { recursive: true, force: true })
    if (number % 20 === 19) process.stdout.write(`  ${number + 1} cuts\n`)
  }
  rmSync(folder, { recursive: true, force: true })
  return { cutsLost, cutsFailed }
}

// The recording wants the program loaded after it began, so it comes first.
const cuts = await powerCuts(Number(process.argv[2] ?? 100))
process.stdout.write(`${JSON.stringify({ ...(await costs()), ...cuts })}\n`)
