import type { PGlite, Transaction } from '@electric-sql/pglite'
import { failureOfFileError } from './dataFailure'
import { freeBytesToWrite, requireRoom } from './folder/room'
import type { SyncedFiles } from './folder/syncedFiles'
import { PreparedStatements } from './preparedStatements'

export type Parameter =
  string | number | boolean | Date | null | Uint8Array | readonly string[] | readonly number[]

/** What queries are written against: plain PostgreSQL with bound parameters, whatever engine runs it. */
export interface Queryable {
  query<Row>(text: string, parameters?: readonly Parameter[]): Promise<Row[]>
}

export interface DatabaseTransaction extends Queryable {
  /** Runs a script of several statements; for migrations only. */
  script(text: string): Promise<void>
}

/** Where the database says what has changed. */
export const changesChannel = 'even_spoke'

/** All the data as of one instant, in a folder that another thread can read. */
export interface Snapshot {
  readonly folder: string
  drop(): Promise<void>
}

export interface Database extends Queryable {
  /** Calls with everything that is said of changes from now on, by whatever process, until the database is closed; `all` where something may have been missed. */
  listen(hear: (said: string) => void): Promise<void>
  /** Commits when `fn` resolves, rolls everything back when it throws. */
  transaction<T>(fn: (transaction: DatabaseTransaction) => Promise<T>): Promise<T>
  /** Makes a snapshot while work goes on; absent where many can read at once anyhow. */
  snapshot?(): Promise<Snapshot>
  close(): Promise<void>
}

/** Statements that change something; what only reads goes on with a full disk. */
const writes = /\b(insert|update|delete|create|alter|drop|truncate|vacuum|checkpoint|setval|nextval)\b/i

/**
 * @param files whose changes must be on the disk before an answer is given; none for a database in memory
 */
export function overEngine(engine: PGlite, folder: string, files?: SyncedFiles): Database {
  const named = async <T>(work: () => Promise<T>): Promise<T> => {
    try {
      return await work()
    } catch (error) {
      files?.mayWrite()
      throw failureOfFileError(error, folder) ?? error
    } finally {
      // Also after a read or a refusal: what it tells must not be lost again.
      await files?.commits.settled()
    }
  }
  /** Before the engine writes: there it could not be refused any more. */
  const mayWrite = (): void => {
    if (files) requireRoom(folder, freeBytesToWrite)
  }
  const statements = new PreparedStatements(engine)
  const within = (transaction: Transaction): DatabaseTransaction => ({
    query: async <Row>(text: string, parameters: readonly Parameter[] = []) => {
      if (!transaction.closed && statements.takes(text)) return statements.queryWithin<Row>(text, parameters)
      statements.forget()
      return (await transaction.query<Row>(text, [...parameters])).rows
    },
    script: async (text) => {
      statements.forget()
      await transaction.exec(text)
    },
  })
  return {
    query: (text, parameters) =>
      named(async () => {
        if (writes.test(text)) mayWrite()
        return statements.query(text, parameters ?? [])
      }),
    transaction: (fn) =>
      named(async () => {
        mayWrite()
        return engine.transaction((transaction) => fn(within(transaction)))
      }),
    listen: async (hear) => {
      await engine.listen(changesChannel, hear)
    },
    close: () => engine.close(),
  }
}
