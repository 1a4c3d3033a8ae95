import { statfs } from 'node:fs/promises'
import { join } from 'node:path'
import { PGlite, type Transaction } from '@electric-sql/pglite'
import { DataFailure, isDataFailure, failureOfFileError } from './dataFailure'
import { lockFolder } from './folderLock'
import { migrate, readMigrations, type Migration } from './migrate'

export type Parameter = string | number | boolean | Date | null | readonly string[] | readonly number[]

/** What queries are written against: plain PostgreSQL with bound parameters, whatever engine runs it. */
export interface Queryable {
  query<Row>(text: string, parameters?: readonly Parameter[]): Promise<Row[]>
}

export interface DatabaseTransaction extends Queryable {
  /** Runs a script of several statements; for migrations only. */
  script(text: string): Promise<void>
}

export interface Database extends Queryable {
  /** Commits when `fn` resolves, rolls everything back when it throws. */
  transaction<T>(fn: (transaction: DatabaseTransaction) => Promise<T>): Promise<T>
  close(): Promise<void>
}

/** Less room than this and the engine could stop in the middle of a write. */
const leastFreeBytes = 32 * 1024 * 1024

function overEngine(engine: PGlite, folder: string, release: () => Promise<void>): Database {
  const named = async <T>(work: () => Promise<T>): Promise<T> => {
    try {
      return await work()
    } catch (error) {
      throw failureOfFileError(error, folder) ?? error
    }
  }
  const over = (target: PGlite | Transaction): DatabaseTransaction => ({
    query: async <Row>(text: string, parameters: readonly Parameter[] = []) =>
      (await target.query<Row>(text, [...parameters])).rows,
    script: async (text) => {
      await target.exec(text)
    },
  })
  return {
    query: (text, parameters) => named(() => over(engine).query(text, parameters)),
    transaction: (fn) => named(() => engine.transaction((transaction) => fn(over(transaction)))),
    close: async () => {
      await engine.close()
      await release()
    },
  }
}

/** A database that lives in memory only, migrated; for tests. */
export async function openInMemory(migrations: readonly Migration[] = readMigrations()): Promise<Database> {
  const database = overEngine(await PGlite.create(), 'memory', () => Promise.resolve())
  await migrate(database, migrations)
  return database
}

/**
 * Opens the database of a data folder: takes the lock, starts the engine, migrates.
 * @param onLost called when another process took the folder away; stop writing at once
 * @throws DataFailure with its reason
 */
export async function openDatabase(
  folder: string,
  onLost: () => void = () => undefined,
  migrations: readonly Migration[] = readMigrations(),
): Promise<Database> {
  const lock = await lockFolder(folder, onLost)
  try {
    const { bavail, bsize } = await statfs(folder)
    if (bavail * bsize < leastFreeBytes) {
      throw new DataFailure(
        'diskFull',
        `The disk with ${folder} has less than ${leastFreeBytes / 1024 / 1024} MB left. Nothing was changed; free some space and start again.`,
      )
    }
    const engine = await PGlite.create(join(folder, 'database'))
    const database = overEngine(engine, folder, lock.release)
    await database.query("set time zone 'UTC'")
    await migrate(database, migrations)
    return database
  } catch (error) {
    await lock.release().catch(() => undefined)
    if (isDataFailure(error)) throw error
    throw (
      failureOfFileError(error, folder) ??
      new DataFailure(
        'engine',
        `The data in ${folder} could not be opened: ${error instanceof Error ? error.message : String(error)}`,
        {
          cause: error,
        },
      )
    )
  }
}
