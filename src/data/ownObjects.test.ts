import { randomUUID } from 'node:crypto'
import pg from 'pg'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { dump } from './backup/dump'
import { dumpInMemory, sourceInMemory } from './backup/testDump'
import { restore } from './backup/restore'
import { openInMemory } from './openInMemory'
import { readMigrations } from './migrate'
import { foreignObjects, holdsOwnData, ownObjects } from './ownObjects'
import { lookAtServer, openServer } from './server'

const server = process.env.EVEN_SPOKE_TEST_POSTGRES ?? ''

describe('what is the program’s own', () => {
  it('is every table, sequence and function its migrations create', async () => {
    const database = await openInMemory()
    expect(await foreignObjects(database)).toEqual([])
    expect(await holdsOwnData(database)).toBe(true)
    const functions = await database.query<{ name: string }>(
      `select proname::text as name from pg_proc p where pronamespace = 'public'::regnamespace
         and not exists (select 1 from pg_depend d where d.objid = p.oid and d.deptype = 'e')`,
    )
    expect(
      functions.map(({ name }) => name).filter((name) => !ownObjects().functions.includes(name)),
    ).toEqual([])
    await database.close()
  })

  it('is all that a restore replaces: tables of others in the same database keep their rows', async () => {
    const database = await openInMemory()
    await database.query("insert into vehicle (name, kind) values ('Ours', 'car')")
    await database.query('create table customers (name text)')
    await database.query("insert into customers values ('Theirs')")
    const dumped = await dump(database, dumpInMemory)
    expect(dumped.tables.map(({ name }) => name)).not.toContain('customers')
    await restore(database, readMigrations(), sourceInMemory(dumped))
    expect(await database.query('select name from customers')).toEqual([{ name: 'Theirs' }])
    expect(await database.query('select name from vehicle')).toEqual([{ name: 'Ours' }])
    expect(await database.query("select 1 from table_count where name = 'customers'")).toEqual([])
    await database.close()
  })

  it('is not replaced where something of others depends on it', async () => {
    const database = await openInMemory()
    await database.query("insert into vehicle (name, kind) values ('Ours', 'car')")
    await database.query('create view names_of_cars as select name from vehicle')
    const dumped = await dump(database, dumpInMemory)
    await expect(restore(database, readMigrations(), sourceInMemory(dumped))).rejects.toThrow(/depend/)
    expect(await database.query('select name from names_of_cars')).toEqual([{ name: 'Ours' }])
    await database.close()
  })
})

describe.skipIf(server === '')('a database on a server', () => {
  let name = ''
  let url = ''
  const ask = async (database: string, text: string): Promise<unknown[]> => {
    const client = new pg.Client({
      connectionString: Object.assign(new URL(server), { pathname: `/${database}` }).href,
    })
    await client.connect()
    const { rows } = await client.query(text)
    await client.end()
    return rows as unknown[]
  }
  beforeEach(async () => {
    name = `even_spoke_test_${randomUUID().replaceAll('-', '')}`
    url = Object.assign(new URL(server), { pathname: `/${name}` }).href
    await ask('postgres', `create database ${name}`)
  })
  afterEach(() => ask('postgres', `drop database ${name} with (force)`))

  it.each([
    ['a table', 'create table customers (name text)', 'customers'],
    ['a table with one of our names', 'create table vehicle (plate text)', 'vehicle'],
    ['a list of migrations of its own', 'create table schema_migration (version text)', 'schema_migration'],
    ['a view', 'create view everybody as select 1 as one', 'everybody'],
  ])('with %s of another program is refused and left as it is', async (_, create, named) => {
    await ask(name, create)
    for (const open of [openServer, lookAtServer])
      await expect(open(url)).rejects.toMatchObject({
        reason: 'foreignData',
        message: expect.stringContaining(named) as string,
      })
    const tables =
      "select relname from pg_class where relnamespace = 'public'::regnamespace and relkind in ('r', 'v')"
    expect(await ask(name, tables)).toEqual([{ relname: named }])
  })

  it('that is empty is not changed by looking into it', async () => {
    expect(await lookAtServer(url)).toMatchObject({ isOwn: false, others: [], rows: new Map() })
    expect(await ask(name, "select 1 from pg_class where relnamespace = 'public'::regnamespace")).toEqual([])
  })

  it('of ours tells its rows, and the tables of others beside it', async () => {
    const database = await openServer(url)
    await database.query("insert into vehicle (name, kind) values ('Ours', 'car')")
    await database.close()
    await ask(name, 'create table customers (name text)')
    const found = await lookAtServer(url)
    expect(found).toMatchObject({ isOwn: true, others: ['customers'] })
    expect(found.rows.get('vehicle')).toBe(1)
    await (await openServer(url)).close()
  })
})
