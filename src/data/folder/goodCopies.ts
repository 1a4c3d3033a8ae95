import { constants, existsSync, mkdirSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { randomUUID } from 'node:crypto'
import { copyFile, mkdir, readdir, rm } from 'node:fs/promises'
import { join } from 'node:path'
import * as v from 'valibot'
import type { Snapshot } from '../database'
import type { Engine } from '../engine'
import { buildBeside, databaseFolderOf, setAside } from './databaseFolder'
import { renameDurably, syncTree } from './durableFiles'

/** How many copies are kept, the newest. */
const keptCopies = 3
const aboutFormat = 'even-spoke/copy/1'

const aboutSchema = v.object({
  format: v.literal(aboutFormat),
  madeAt: v.string(),
  rows: v.record(v.string(), v.number()),
})
/** What a copy holds: rows by table. */
export type About = v.InferOutput<typeof aboutSchema>

export interface GoodCopy extends About {
  readonly path: string
}

const copiesFolder = (folder: string): string => join(folder, 'copies')
const unfinished = /\.part$/
const logFile = /^[0-9A-F]{24}$/

const namesIn = (folder: string): string[] =>
  existsSync(copiesFolder(folder)) ? readdirSync(copiesFolder(folder)) : []

/** Counts up with every copy, whatever the clock says; copies of earlier versions have only a date in their name, and 0 here. */
const counterOf = (name: string): number => Number(/^(\d{6})-\d{4}-/.exec(name)?.[1] ?? 0)
const counterDigits = 6

/** Copies that are whole, the newest first: by counter, because a clock may have been wrong. */
export function listCopies(folder: string): GoodCopy[] {
  return namesIn(folder)
    .filter((name) => !unfinished.test(name))
    .sort((a, b) => counterOf(b) - counterOf(a) || (a < b ? 1 : -1))
    .flatMap((name) => {
      const path = join(copiesFolder(folder), name)
      try {
        const read = v.safeParse(aboutSchema, JSON.parse(readFileSync(join(path, 'about.json'), 'utf8')))
        return read.success ? [{ ...read.output, path }] : []
      } catch {
        return []
      }
    })
}

const isGone = (error: unknown): boolean => (error as { code?: string }).code === 'ENOENT'

/** Copies a folder without stopping anything; what vanishes meanwhile was not needed. */
async function copyTree(
  from: string,
  to: string,
  wanted: (relative: string) => boolean,
  below = '',
): Promise<void> {
  await mkdir(join(to, below), { recursive: true })
  const entries = await readdir(join(from, below), { withFileTypes: true }).catch((error: unknown) => {
    if (isGone(error)) return []
    throw error
  })
  for (const entry of entries) {
    const relative = below ? `${below}/${entry.name}` : entry.name
    if (!wanted(relative)) continue
    if (entry.isDirectory()) await copyTree(from, to, wanted, relative)
    else if (entry.isFile()) {
      await copyFile(join(from, relative), join(to, relative), constants.COPYFILE_FICLONE).catch(
        (error: unknown) => {
          if (!isGone(error)) throw error
        },
      )
    }
  }
}

/** The log is copied file by file, the mark of how far it reached says nothing of a copy. */
const isData = (relative: string): boolean =>
  !logFile.test(relative.replace(/^pg_wal\//, '')) &&
  relative !== 'postmaster.pid' &&
  relative !== 'log-reached'

async function copyLog(from: string, to: string, wanted: (name: string) => boolean): Promise<void> {
  for (const name of (await readdir(join(from, 'pg_wal'))).filter(
    (file) => logFile.test(file) && wanted(file),
  ))
    await copyFile(join(from, 'pg_wal', name), join(to, 'pg_wal', name))
}

/** Makes one copy: `fill` writes the database into the folder it is given and tells what is in it. */
async function makeCopy(
  folder: string,
  now: Date,
  fill: (database: string) => Promise<About['rows']>,
): Promise<GoodCopy> {
  const counter = 1 + Math.max(0, ...namesIn(folder).map(counterOf))
  const name = `${String(counter).padStart(counterDigits, '0')}-${now.toISOString().replaceAll(':', '-')}`
  const path = join(copiesFolder(folder), name)
  const part = `${path}.part`
  for (const old of namesIn(folder))
    if (unfinished.test(old)) rmSync(join(copiesFolder(folder), old), { recursive: true, force: true })
  mkdirSync(part, { recursive: true, mode: 0o700 })
  const about: About = {
    format: aboutFormat,
    madeAt: now.toISOString(),
    rows: await fill(join(part, 'database')),
  }
  writeFileSync(join(part, 'about.json'), JSON.stringify(about))
  await syncTree(part)
  renameDurably(part, path)
  for (const old of listCopies(folder).slice(keptCopies)) rmSync(old.path, { recursive: true, force: true })
  return { ...about, path }
}

/**
 * Writes the database into a folder while it is worked on, by the engine's own way to back up: everything changed meanwhile is in the
 * log that goes along, and is put right when the copy is opened. One at a time.
 */
async function copyInto(
  to: string,
  folder: string,
  { postgres, files }: Engine,
  countRows: () => Promise<About['rows']>,
): Promise<About['rows']> {
  const from = databaseFolderOf(folder)
  const begun = await postgres.query<{ log: string }>(
    "select pg_walfile_name(pg_backup_start('a good copy', true)) as log",
  )
  const stop = () =>
    postgres.query<{ label: string; log: string }>(
      'select labelfile as label, pg_walfile_name(lsn) as log from pg_backup_stop(false)',
    )
  let rows: About['rows']
  try {
    await copyTree(from, to, (relative) => isData(relative) && relative !== 'global/pg_control')
    // Last, as the engine's manual asks for.
    await copyFile(join(from, 'global', 'pg_control'), join(to, 'global', 'pg_control'))
    rows = await countRows()
  } catch (error) {
    await stop()
    throw error
  }
  const [first, last] = [begun.rows[0], (await stop()).rows[0]]
  if (!first || !last) throw new Error('The engine did not tell which log belongs to the copy.')
  await files.commits.settled()
  await copyLog(from, to, (name) => name >= first.log && name <= last.log)
  writeFileSync(join(to, 'backup_label'), last.label)
  return rows
}

/** A good copy, made while the database is worked on. */
export const copyWhileRunning = (
  folder: string,
  engine: Engine,
  countRows: () => Promise<About['rows']>,
  now: Date,
): Promise<GoodCopy> => makeCopy(folder, now, (to) => copyInto(to, folder, engine, countRows))

const snapshotsFolder = (folder: string): string => join(folder, 'snapshots')

/** Everything as of one instant, for a thread that reads it; made while the database is worked on. */
export async function takeSnapshot(folder: string, engine: Engine): Promise<Snapshot> {
  const path = join(snapshotsFolder(folder), randomUUID())
  await copyInto(path, folder, engine, () => Promise.resolve({}))
  return { folder: path, drop: () => rm(path, { recursive: true, force: true }) }
}

/** Those that were being read when the program was ended. */
export const dropOldSnapshots = (folder: string): void =>
  rmSync(snapshotsFolder(folder), { recursive: true, force: true })

/** Copies a database that was closed; `lastLog` is the log file that was written last. */
export const copyClosed = (
  folder: string,
  rows: About['rows'],
  lastLog: string | null,
  now: Date,
): Promise<GoodCopy> =>
  makeCopy(folder, now, async (to) => {
    const from = databaseFolderOf(folder)
    await copyTree(from, to, isData)
    // Files after the last one are only kept to be written over.
    await copyLog(from, to, (name) => lastLog === null || name <= lastLog)
    return rows
  })

/** Puts a copy in the place of the database, which is set aside; the copy itself stays. Gives where the damaged one is. */
export async function restoreCopy(folder: string, copy: GoodCopy, now: Date): Promise<string | null> {
  const place = databaseFolderOf(folder)
  const aside = existsSync(place) && readdirSync(place).length > 0 ? setAside(place, now) : null
  await buildBeside(place, (beside) => copyTree(join(copy.path, 'database'), beside, () => true))
  return aside
}
