import { message } from '@/core/message/message'
import { createHash } from 'node:crypto'
import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { DataFailure } from './dataFailure'
import type { Database, DatabaseTransaction, Queryable } from './database'

export interface Migration {
  readonly number: number
  readonly name: string
  readonly sql: string
  readonly checksum: string
}

/** Reads the numbered .sql files of a folder in order; a gap or a double number is a bug and throws. */
export function readMigrations(
  folder = join(/* turbopackIgnore: true */ process.cwd(), 'src', 'data', 'migrations'),
): Migration[] {
  const migrations = readdirSync(folder)
    .filter((name) => name.endsWith('.sql'))
    .sort()
    .map((name) => {
      const sql = readFileSync(join(folder, name), 'utf8').replaceAll('\r\n', '\n')
      return {
        number: Number(name.slice(0, 4)),
        name,
        sql,
        checksum: createHash('sha256').update(sql).digest('hex'),
      }
    })
  migrations.forEach(({ number, name }, index) => {
    if (number !== index + 1) throw new Error(`Migration ${name} should have number ${index + 1}`)
  })
  return migrations
}

interface Applied {
  readonly number: number
  readonly name: string
  readonly checksum: string
}

/** Where it stands which migrations a database has had. */
export async function createMigrationTable(database: Queryable): Promise<void> {
  await database.query(`create table if not exists schema_migration (
    number integer primary key,
    name text not null,
    checksum text not null,
    applied_at timestamptz not null default now()
  )`)
}

export async function applyMigration(
  transaction: DatabaseTransaction,
  { number, name, sql, checksum }: Migration,
): Promise<void> {
  await transaction.script(sql)
  await transaction.query('insert into schema_migration (number, name, checksum) values ($1, $2, $3)', [
    number,
    name,
    checksum,
  ])
}

/**
 * Brings a database up to the code, each migration in its own transaction.
 * @throws DataFailure `newerDatabase` when the code is older than the data, `changedMigration` when a released file was edited
 */
export async function migrate(database: Database, migrations: readonly Migration[]): Promise<void> {
  await createMigrationTable(database)
  const applied = await database.query<Applied>(
    'select number, name, checksum from schema_migration order by number',
  )
  const newest = applied.at(-1)
  if (newest && newest.number > migrations.length) {
    throw new DataFailure(
      'newerDatabase',
      message('data.newer', { version: newest.number, known: migrations.length }),
    )
  }
  for (const { number, checksum } of applied) {
    const migration = migrations[number - 1]
    if (migration && migration.checksum !== checksum) {
      throw new DataFailure('changedMigration', message('data.otherMigration', { name: migration.name }))
    }
  }
  for (const migration of migrations.slice(applied.length)) {
    await database.transaction((transaction) => applyMigration(transaction, migration))
  }
}
