import { message, type Message, type Said } from '@/core/message/message'
import { currentTime } from '@/clock'
import { reasonOf } from '@/core/reasonOf'
import { accessSync, constants, existsSync } from 'node:fs'
import { join } from 'node:path'
import type { PGlite } from '@electric-sql/pglite'
import { forgetIncoming } from './backup/incomingPictures'
import { damageIn, dataVersionOf, keptCounts, recount } from './checkDatabase'
import { overEngine, type Database } from './database'
import { DataFailure, failureOfFileError, isDataFailure } from './dataFailure'
import { startEngine, type Engine } from './engine'
import { buildBeside, databaseFolderOf, stateOf } from './folder/databaseFolder'
import { damageText, describeCopy, lines } from './folder/damageText'
import { freeBytes, freeBytesAtStart, freeBytesToWrite, requireRoom } from './folder/room'
import { keepPrivate, tighten } from './folder/privateFolder'
import { lockFolder, type FolderLock } from './folder/folderLock'
import {
  copyClosed,
  copyWhileRunning,
  listCopies,
  restoreCopy,
  type GoodCopy,
  dropOldSnapshots,
  takeSnapshot,
} from './folder/goodCopies'
import { startKeeper } from './folder/keeper'
import { readPlace, readWatermark, wasShutDown } from './folder/watermark'
import { migrate, readMigrations, type Migration } from './migrate'

/** A database in a data folder. */
export interface StoredDatabase extends Database {
  /** Makes a good copy beside it, without stopping work. */
  copy(): Promise<GoodCopy>
}

export interface OpenOptions {
  /** Called when the folder was lost or cannot be written any more, with the text for the person; stop at once. */
  readonly onLost?: (said: Said) => void
  readonly migrations?: readonly Migration[]
  readonly takeOver?: boolean
  /** What to do with damaged data: put the last good copy in its place, or go on with what is left. */
  readonly recovery?: 'lastGood' | 'asItIs'
  /** Tidies up at the start, and makes good copies at the close and once a day; for the program, not for tools. */
  readonly upkeep?: boolean
  readonly say?: (said: Said) => void
}

/** Makes a first, empty database. Data without a whole database is never built over. */
async function ensureDatabase(folder: string, migrations: readonly Migration[]): Promise<void> {
  const place = databaseFolderOf(folder)
  const state = stateOf(place)
  if (state === 'whole') return
  const copies = listCopies(folder)
  if (state === 'broken')
    throw new DataFailure(
      'damaged',
      damageText(folder, [message('data.damaged.noVersion', { place })], copies, false),
    )
  if (copies.length > 0)
    throw new DataFailure(
      'damaged',
      damageText(folder, [message('data.damaged.missing', { place })], copies, false),
    )
  await buildBeside(place, async (beside) => {
    const engine = await startEngine(beside, () => true)
    await migrate(overEngine(engine.postgres, folder), migrations)
    await engine.postgres.close()
    tighten(beside)
  })
}

/** What was found of the log before the engine went over it. */
interface FoundLog {
  readonly reached: bigint | null
  readonly wasShutDown: boolean
}

async function lostLog(postgres: PGlite, folder: string, found: FoundLog): Promise<Message | null> {
  // After a kill the first thing written behind what was replayed is a checkpoint.
  const { rows } = await postgres.query<{ place: string }>(
    found.wasShutDown
      ? 'select pg_current_wal_insert_lsn()::text as place'
      : 'select checkpoint_lsn::text as place from pg_control_checkpoint()',
  )
  const place = readPlace(rows[0]?.place ?? '')
  if (found.reached === null || place === null || place >= found.reached) return null
  return message('data.lostLog', { folder, bytes: String(found.reached - place) })
}

interface Opened {
  readonly engine: Engine
  readonly problems: readonly Said[]
}

/** @throws DataFailure `unwritable` if the database can be read but not written: the engine would call it damaged */
function requireWritable(place: string, folder: string): void {
  try {
    for (const path of [place, join(place, 'global', 'pg_control'), join(place, 'pg_wal')])
      if (existsSync(path)) accessSync(path, constants.W_OK)
  } catch (error) {
    throw failureOfFileError(error, folder) ?? error
  }
}

/** Starts the engine and looks at what it opened. @throws DataFailure `damaged` where it does not start */
async function openAndCheck(folder: string, lock: FolderLock, say: (said: Said) => void): Promise<Opened> {
  const place = databaseFolderOf(folder)
  requireWritable(place, folder)
  const found: FoundLog = { reached: readWatermark(place), wasShutDown: wasShutDown(place) }
  let engine: Engine
  try {
    engine = await startEngine(place, lock.stillOwned)
  } catch (error) {
    const full = failureOfFileError(error, folder)
    throw (
      full ??
      new DataFailure('damaged', damageText(folder, [reasonOf(error)], listCopies(folder), false), {
        cause: error,
      })
    )
  }
  const lost = await lostLog(engine.postgres, folder, found)
  if (lost) say(lost)
  return { engine, problems: await damageIn(engine.postgres) }
}

/** Puts the newest good copy that opens in the place of the database. */
async function openLastGood(folder: string, lock: FolderLock, say: (said: Said) => void): Promise<Opened> {
  const copies = listCopies(folder)
  if (copies.length === 0) throw new DataFailure('damaged', message('data.noGoodCopy', { folder }))
  for (const copy of copies) {
    const aside = await restoreCopy(folder, copy, currentTime())
    say(message('data.restored', { copy: describeCopy(copy), aside: aside ?? 'none' }))
    const opened = await openAndCheck(folder, lock, say).catch((error: unknown) => {
      say(reasonOf(error))
      return null
    })
    if (opened?.problems.length === 0) return opened
    say(message('data.copyDamaged'))
    await opened?.engine.postgres.close().catch(() => undefined)
  }
  throw new DataFailure('damaged', message('data.noCopyOpens', { count: copies.length, folder }))
}

async function openWhole(folder: string, lock: FolderLock, options: OpenOptions): Promise<Engine> {
  const say = options.say ?? (() => undefined)
  if (options.recovery === 'lastGood') return (await openLastGood(folder, lock, say)).engine
  await ensureDatabase(folder, options.migrations ?? readMigrations())
  const { engine, problems } = await openAndCheck(folder, lock, say)
  if (problems.length === 0) return engine
  if (options.recovery === 'asItIs') {
    say(message('data.goingOn', { folder, problems: lines('', ...problems) }))
    await recount(engine.postgres)
    return engine
  }
  await engine.postgres.close().catch(() => undefined)
  throw new DataFailure('damaged', damageText(folder, problems, listCopies(folder), true))
}

/**
 * Migrates data of an earlier version and checks the result.
 * @throws DataFailure `damaged` if the migrated data is not whole
 */
async function bringUp(
  database: Database,
  engine: Engine,
  folder: string,
  migrations: readonly Migration[],
): Promise<void> {
  const before = await dataVersionOf(engine.postgres)
  await migrate(database, migrations)
  if (before === migrations.length) return
  const problems = await damageIn(engine.postgres)
  if (problems.length > 0)
    throw new DataFailure('damaged', damageText(folder, problems, listCopies(folder), true))
}

/**
 * Opens the database of a data folder: takes the lock, makes a first database or checks the one that is there, migrates.
 * What a query or transaction has written is on the disk when it resolves.
 * @throws DataFailure with its reason
 */
export async function openDatabase(folder: string, options: OpenOptions = {}): Promise<StoredDatabase> {
  const place = databaseFolderOf(folder)
  const lose = options.onLost ?? (() => undefined)
  const lock = await lockFolder(folder, {
    takeOver: options.takeOver,
    say: options.say,
    onLost: () =>
      lose(existsSync(place) ? message('data.takenOver', { folder }) : message('data.movedAway', { place })),
  })
  let engine: Engine | null = null
  try {
    requireRoom(folder, freeBytesAtStart)
    keepPrivate(folder)
    dropOldSnapshots(folder)
    engine = await openWhole(folder, lock, options)
    lock.needs(place)
    engine.files.commits.onFailure = (error) =>
      lose(message('data.diskRefused', { folder, reason: reasonOf(error) }))
    const database = overEngine(engine.postgres, folder, engine.files)
    await database.query("set time zone 'UTC'")
    await bringUp(database, engine, folder, options.migrations ?? readMigrations())
    await forgetIncoming(database)
    // The engine has no cleaner of its own: dead rows and old statistics would slow every query.
    if (options.upkeep) await database.query('vacuum analyze')
    return keptDatabase(folder, database, engine, lock, options)
  } catch (error) {
    await engine?.postgres.close().catch(() => undefined)
    await lock.release()
    if (isDataFailure(error)) throw error
    throw (
      failureOfFileError(error, folder) ??
      new DataFailure('engine', message('data.notOpened', { folder, reason: reasonOf(error) }), {
        cause: error,
      })
    )
  }
}

function keptDatabase(
  folder: string,
  database: Database,
  engine: Engine,
  lock: FolderLock,
  { upkeep = false, say = () => undefined }: OpenOptions,
): StoredDatabase {
  const countRows = () => keptCounts(engine.postgres)
  const keeper = startKeeper(folder, engine, countRows, { copies: upkeep, say })
  const bytesAtStart = engine.files.logBytes
  return {
    ...database,
    copy: () => keeper.inTurn(() => copyWhileRunning(folder, engine, countRows, currentTime())),
    snapshot: () => keeper.inTurn(() => takeSnapshot(folder, engine)),
    close: async () => {
      await keeper.stop()
      const changed = engine.files.logBytes > bytesAtStart || listCopies(folder).length === 0
      const hasRoom = freeBytes(folder) >= freeBytesToWrite
      const rows = upkeep && changed && hasRoom ? await countRows() : null
      if (hasRoom) await database.close()
      // The engine would put everything in order first, and never end without room. What was acknowledged is in its log.
      else await engine.files.commits.settled()
      if (rows) await copyClosed(folder, rows, engine.files.currentLog, currentTime())
      await lock.release()
    },
  }
}
