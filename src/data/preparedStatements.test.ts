import type { PGlite } from '@electric-sql/pglite'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { overEngine, type Database } from './database'
import { emptyEngine } from './testSnapshots'

let engine: PGlite
let database: Database

beforeAll(async () => {
  engine = await emptyEngine()
  database = overEngine(engine, '')
  await engine.exec(
    'create table drawer (id int primary key, content text not null, at timestamptz, tags text[], bytes bytea, note jsonb)',
  )
})
afterAll(() => database.close())

const kept = async (): Promise<number> =>
  (await engine.query<{ count: number }>('select count(*)::int as count from pg_prepared_statements')).rows[0]
    ?.count ?? 0

describe('kept statements', () => {
  it('read and write every kind of value as often as wanted', async () => {
    const at = new Date('2026-06-10T09:30:00Z')
    for (const id of [1, 2, 3, 4, 5, 6, 7])
      await database.query('insert into drawer values ($1, $2, $3, $4, $5, $6)', [
        id,
        'brush',
        id % 2 ? at : null,
        ['a', 'b, "c"'],
        new Uint8Array([0, 255]),
        JSON.stringify({ id }),
      ])
    for (let round = 0; round < 7; round += 1) {
      expect(await database.query('select * from drawer where id = $1', [3])).toEqual([
        {
          id: 3,
          content: 'brush',
          at,
          tags: ['a', 'b, "c"'],
          bytes: new Uint8Array([0, 255]),
          note: { id: 3 },
        },
      ])
      expect(await database.query('select at from drawer where id = $1', [2])).toEqual([{ at: null }])
    }
    const read = 'select count(*)::int as rows from drawer where content = $1'
    const before = await kept()
    for (const content of ['brush', 'mitt', 'brush'])
      expect(await database.query(read, [content])).toEqual([{ rows: content === 'brush' ? 7 : 0 }])
    expect(await kept()).toBe(before + 1)
  })

  it('go on after a refusal, outside and inside a transaction', async () => {
    const insert = 'insert into drawer (id, content) values ($1, $2)'
    await database.query(insert, [20, 'sponge'])
    await expect(database.query(insert, [20, 'sponge'])).rejects.toMatchObject({ code: '23505' })
    await expect(database.query('select nothing_of_this from drawer')).rejects.toMatchObject({
      code: '42703',
    })
    await expect(database.query(insert, [21, null])).rejects.toMatchObject({ code: '23502' })
    await expect(
      database.transaction(async (transaction) => {
        await transaction.query(insert, [22, 'mitt'])
        await transaction.query(insert, [22, 'mitt'])
      }),
    ).rejects.toMatchObject({ code: '23505' })
    expect(await database.query('select id from drawer where id in (20, 21, 22)')).toEqual([{ id: 20 }])
    await database.transaction((transaction) => transaction.query(insert, [22, 'mitt']))
    expect(await database.query('select id from drawer where id = $1', [22])).toEqual([{ id: 22 }])
  })

  it('follow tables that change', async () => {
    const read = 'select * from drawer where id = $1'
    const [before] = await database.query<object>(read, [1])
    await database.transaction((transaction) =>
      transaction.script("alter table drawer add column place text default 'left'"),
    )
    expect(await database.query(read, [1])).toEqual([{ ...before, place: 'left' }])
    // Behind the back of the kept statements, as a tool on the engine would.
    await engine.exec('alter table drawer drop column place')
    expect(await database.query(read, [1])).toEqual([before])
    await database.query("alter table drawer add column place text default 'right'")
    await database.transaction(async (transaction) => {
      expect(await transaction.query(read, [1])).toEqual([{ ...before, place: 'right' }])
    })
  })

  it('work in turn, and transactions see nothing of others', async () => {
    const count = 'select count(*)::int as rows from drawer'
    const [before] = await database.query<{ rows: number }>(count)
    const seen = database.transaction(async (transaction) => {
      await transaction.query("insert into drawer (id, content) values (40, 'x')")
      await Promise.resolve()
      return transaction.query<{ rows: number }>(count)
    })
    const outside = Promise.all(Array.from({ length: 20 }, () => database.query<{ rows: number }>(count)))
    expect(await seen).toEqual([{ rows: (before?.rows ?? 0) + 1 }])
    for (const rows of await outside) expect(rows).toEqual([{ rows: (before?.rows ?? 0) + 1 }])
  })

  it('are no more than a few hundred', async () => {
    for (let at = 0; at < 350; at += 1)
      expect(await database.query(`select ${at} as it`)).toEqual([{ it: at }])
    expect(await kept()).toBeLessThanOrEqual(301)
    expect(await database.query('select 0 as it')).toEqual([{ it: 0 }])
  })
})
