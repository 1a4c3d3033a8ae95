import { PGlite } from '@electric-sql/pglite'
import { createHash } from 'node:crypto'
import { existsSync, mkdirSync, mkdtempSync, readFileSync, renameSync, rmSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { binaryColumns } from '@/data/binaryColumns'
import { overEngine } from '@/data/database'
import { migrate, readMigrations } from '@/data/migrate'
import { openDatabase } from '@/data/openDatabase'

/** Of what the snapshots are made; others are made anew. */
const madeOf = (): string => {
  const hash = createHash('sha256').update(readFileSync('package-lock.json'))
  for (const { checksum } of readMigrations()) hash.update(checksum)
  return hash.digest('hex').slice(0, 16)
}

/** Makes a file or folder beside and puts it in its place: another run may be making the same. */
async function makeOnce(path: string, make: (beside: string) => Promise<void>): Promise<string> {
  if (existsSync(path)) return path
  const folder = mkdtempSync(`${path}-`)
  const beside = join(folder, 'made')
  await make(beside)
  try {
    renameSync(beside, path)
  } catch {
    // The other run was first.
  }
  rmSync(folder, { recursive: true, force: true })
  return path
}

async function dump(engine: PGlite, path: string): Promise<void> {
  writeFileSync(path, Buffer.from(await (await engine.dumpDataDir('none')).arrayBuffer()))
  await engine.close()
}

/** Databases that tests begin from: none of them makes and migrates one of its own, which takes seconds. */
export default async function setup(): Promise<void> {
  const folder = join('node_modules', '.cache', 'even-spoke', madeOf())
  mkdirSync(folder, { recursive: true })
  const empty = await makeOnce(join(folder, 'empty.tar'), async (path) => dump(await PGlite.create(), path))
  await makeOnce(join(folder, 'migrated.tar'), async (path) => {
    const engine = await PGlite.create({ ...binaryColumns, loadDataDir: new Blob([readFileSync(empty)]) })
    await migrate(overEngine(engine, 'memory'), readMigrations())
    await dump(engine, path)
  })
  await makeOnce(join(folder, 'data'), async (path) => (await openDatabase(path)).close())
  await makeOnce(join(folder, 'unmigrated'), async (path) =>
    (await openDatabase(path, { migrations: [] })).close(),
  )
  process.env.EVEN_SPOKE_TEST_SNAPSHOTS = folder
}
