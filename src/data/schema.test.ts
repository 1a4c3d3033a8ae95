import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { familyIds } from '@/core/chemistry/families'
import { deliveries } from '@/core/chemistry/family'
import { conditions, finishes } from '@/core/finishes/finish'
import { protectionKinds } from '@/core/protection/kinds'
import { toolKinds } from '@/core/tools/tool'
import { positions, vehicleKinds } from '@/core/wheel/position'
import { finishZones } from '@/core/wheel/zone'
import { starterCabinet } from '@/core/chemistry/starterCabinet'
import { starterTools } from '@/core/tools/starterTools'
import type { Database } from './database'
import { openInMemory } from './openInMemory'
import { addProduct, listProducts } from './queries/cabinet'
import { moveStock } from './queries/stock'
import { listTools, putTool } from './queries/tools'

let database: Database
beforeAll(async () => {
  database = await openInMemory()
})
afterAll(() => database.close())

/** Makes rows inside a transaction that is thrown away. */
async function tried(work: (query: Database['query']) => Promise<unknown>): Promise<'taken' | 'refused'> {
  const undo = new Error('undo')
  try {
    await database.transaction(async (transaction) => {
      await work((text, parameters) => transaction.query(text, parameters))
      throw undo
    })
  } catch (error) {
    return error === undo ? 'taken' : 'refused'
  }
  return 'taken'
}

const wheelSet = `with v as (insert into vehicle (name, kind) values ('V', 'car') returning id)
  insert into wheel_set (vehicle_id, name) select id, 'S' from v returning id`
const insertWheel = `insert into wheel (wheel_set_id, position, tyre_code, rim_width_inches, spoke_count,
  spoke_width_millimetres, spoke_depth_millimetres) values ($1, $2, $3, $4, $5, 30, 45)`

describe('the schema and the core speak of the same things', () => {
  it('takes every position and finish the core knows', async () => {
    expect(
      await tried(async (query) => {
        for (const kind of vehicleKinds)
          await query('insert into vehicle (name, kind) values ($1, $1)', [kind])
        const [set] = await query<{ id: string }>(wheelSet)
        for (const position of positions) await query(insertWheel, [set!.id, position, '205/55 R16', 7, 5])
        for (const zone of finishZones)
          await query("insert into wheel_finish values ($1, 'front', $2, 'matte', 'sound')", [set!.id, zone])
        for (const finish of finishes)
          await query('update wheel_finish set finish = $2 where wheel_set_id = $1', [set!.id, finish])
        for (const condition of conditions)
          await query('update wheel_finish set condition = $2 where wheel_set_id = $1', [set!.id, condition])
        for (const kind of protectionKinds)
          await query(
            `insert into protection_layer (wheel_set_id, position, kind, product_name, applied_at)
             values ($1, 'front', $2, 'x', now())`,
            [set!.id, kind],
          )
      }),
    ).toBe('taken')
  })

  it.each([
    ['a wheel of no width', ['front', '205/55 R16', 0, 5]],
    ['a wheel of 400 spokes', ['front', '205/55 R16', 7, 400]],
    ['a place that is none', ['middle', '205/55 R16', 7, 5]],
    ['an empty tyre code', ['front', '', 7, 5]],
  ])('refuses %s', async (_, values) => {
    expect(
      await tried(async (query) => {
        const [set] = await query<{ id: string }>(wheelSet)
        await query(insertWheel, [set!.id, ...values])
      }),
    ).toBe('refused')
  })

  it.each([
    ['a vehicle without a name', "insert into vehicle (name, kind) values ('  ', 'car')"],
    ['a wheel set of no vehicle', "insert into wheel_set (vehicle_id, name) values (gen_random_uuid(), 'S')"],
    ['a job finished before it started', `with s as (${wheelSet})
      insert into job (wheel_set_id, job_file, plan_file, finished_at) select id, '{}', '{}', now() from s`],
    ['a currency in words', `with s as (${wheelSet}) insert into visit (wheel_set_id, finished_at, headline, result,
      operator_seconds, cost_minor, currency) select id, now(), '', 'clean', 1, 1, 'euro' from s`],
    ['money below nothing', `with s as (${wheelSet}) insert into visit (wheel_set_id, finished_at, headline, result,
      operator_seconds, cost_minor, currency) select id, now(), '', 'clean', 1, -1, 'EUR' from s`],
  ])('refuses %s', async (_, text) => {
    expect(await tried((query) => query(text))).toBe('refused')
  }) // prettier-ignore

  it('refuses a product whose strength or dwell runs backwards', async () => {
    const [product] = starterCabinet
    const wrong = [
      { strength: { from: 0.5, to: 0.1 } },
      { strength: { from: 0, to: 0.1 } },
      { dwellSeconds: { min: 90, max: 10 } },
      { packMillilitres: 0 },
      { packPriceMinor: -1 },
      { stockMillilitres: -5 },
    ]
    for (const changes of wrong) {
      const outcome = await tried((query) => addProduct({ query }, { ...product!, ...changes }, 'EUR'))
      expect([changes, outcome]).toEqual([changes, 'refused'])
    }
  })

  it('no instant is stored without its time zone', async () => {
    const rows = await database.query(
      "select table_name, column_name from information_schema.columns where table_schema = 'public' and data_type = 'timestamp without time zone'",
    )
    expect(rows).toEqual([])
  })
})

describe('cabinet and kit', () => {
  it('come back as they were put in, over every family, delivery and kind', async () => {
    for (const product of starterCabinet)
      await addProduct(database, { ...product, ratings: { film: 2, tar: 0 } }, 'EUR')
    const stored = await listProducts(database)
    expect(stored.map(({ family }) => family).sort()).toEqual([...familyIds].sort())
    for (const product of stored) {
      const original = starterCabinet.find(({ id }) => id === product.id)
      expect(product).toEqual({ ...original, ratings: { film: 2, tar: 0 }, version: 1 })
      expect(deliveries).toContain(product.delivery)
    }
    for (const tool of starterTools) await putTool(database, tool)
    const kit = await listTools(database)
    expect(kit).toHaveLength(starterTools.length)
    for (const tool of kit) {
      expect(starterTools).toContainEqual(tool)
      expect(toolKinds).toContain(tool.kind)
    }
  })

  it('stock never goes below nothing', async () => {
    await moveStock(database, 'carShampoo', 'used', -400, new Date())
    await moveStock(database, 'carShampoo', 'used', -5000, new Date())
    const left = (await listProducts(database)).find(({ id }) => id === 'carShampoo')
    expect(left?.stockMillilitres).toBe(0)
  })
})

describe('rows are counted by the tables themselves', () => {
  it('in every table there is', async () => {
    const tables = await database.query<{ name: string }>(
      `select tablename as name from pg_tables where schemaname = 'public'
         and tablename not in ('schema_migration', 'table_count') order by 1`,
    )
    const counted = await database.query<{ name: string }>('select name from table_count order by 1')
    expect(counted).toEqual(tables)
    const triggers = await database.query<{ name: string }>(
      `select relname::text as name from pg_trigger t join pg_class c on c.oid = t.tgrelid
       where tgname in ('count_inserted', 'count_deleted', 'count_truncated') group by 1 having count(*) = 3 order by 1`,
    )
    expect(triggers).toEqual(tables)
  })

  it('through inserts, conflicts, cascades and rollbacks', async () => {
    const kept = async (name: string) =>
      (
        await database.query<{ rows: number }>('select rows::int as rows from table_count where name = $1', [
          name,
        ])
      )[0]?.rows
    const there = async (name: string) =>
      (await database.query<{ rows: number }>(`select count(*)::int as rows from ${name}`))[0]?.rows
    const [set] = await database.query<{ id: string }>(wheelSet)
    for (const position of ['frontLeft', 'rearLeft'])
      await database.query(insertWheel, [set?.id ?? '', position, '205/55 R16', 7, 5])
    await database.query(`${insertWheel} on conflict do nothing`, [
      set?.id ?? '',
      'rearLeft',
      '205/55 R16',
      7,
      5,
    ])
    await tried((query) => query(insertWheel, [set?.id ?? '', 'frontRight', '205/55 R16', 7, 5]))
    expect(await kept('wheel')).toBe(await there('wheel'))
    await database.query('delete from wheel_set')
    for (const name of ['wheel', 'wheel_set', 'vehicle']) expect(await kept(name)).toBe(await there(name))
    await database.query('truncate vehicle cascade')
    for (const name of ['vehicle', 'visit', 'job']) expect(await kept(name)).toBe(0)
  })
})
