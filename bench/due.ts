// How long the due list takes with many wheel sets and three years of records: from nothing, and after a look at one of them. Prints
// JSON last.
import { randomUUID } from 'node:crypto'
import type { Database } from '@/data/database'
import { openInMemory } from '@/data/openInMemory'
import { addLook } from '@/data/queries/looks'
import { listDue } from '@/services/dueList'

const now = new Date('2026-07-15T09:00:00Z')
const changes = 7

/** Sets with a visit every six weeks, a sealant every third of them, tyres dressed at each, and a look at every other. */
async function filled(sets: number): Promise<Database> {
  const database = await openInMemory()
  const counted = ['vehicle', 'wheel_set', 'wheel', 'visit', 'protection_layer', 'look']
  for (const table of counted) await database.query(`alter table ${table} disable trigger user`)
  const at = `timestamptz '${now.toISOString()}'`
  await database.query(
    `insert into vehicle (id, name, kind, kilometres_per_week, created_at)
     select md5('v' || i)::uuid, 'Car ' || i, 'car', 80 + (i * 37) % 420, ${at} - interval '3 years' from generate_series(1, ${sets}) i`,
  )
  await database.query(
    `insert into wheel_set (id, vehicle_id, name) select md5('s' || i)::uuid, md5('v' || i)::uuid, 'All year'
     from generate_series(1, ${sets}) i`,
  )
  await database.query(
    `insert into wheel (wheel_set_id, position, tyre_code, rim_width_inches, spoke_count, spoke_width_millimetres,
       spoke_depth_millimetres)
     select md5('s' || i)::uuid, p, '225/45 R18', 8, 10, 30, 45
     from generate_series(1, ${sets}) i, unnest(array['frontLeft', 'frontRight', 'rearLeft', 'rearRight']) p`,
  )
  const when = (visit: string): string =>
    `${at} - make_interval(days => 1095 - 42 * ${visit} - (i * 13) % 30)`
  await database.query(
    `insert into visit (wheel_set_id, finished_at, headline, result, operator_seconds, cost_minor, currency, service, wear)
     select md5('s' || i)::uuid, ${when('j')}, 'Washed', 'clean', 3000, 300, 'EUR',
       case when j % 5 = 0 then 'decontaminate' else 'maintain' end, 0.03
     from generate_series(1, ${sets}) i, generate_series(0, 24) j`,
  )
  for (const [kind, name, every] of [
    ['spraySealant', "'Sealant ' || (i + j) % 6", 3],
    ['tyreDressingWater', "'Dressing'", 1],
  ] as const)
    await database.query(
      `insert into protection_layer (wheel_set_id, position, kind, product_name, applied_at, ended_at)
       select md5('s' || i)::uuid, p, '${kind}', ${name}, ${when('j')},
         case when j + ${every} <= 24 then ${when(`(j + ${every})`)} end
       from generate_series(1, ${sets}) i, generate_series(0, 24, ${every}) j,
         unnest(array['frontLeft', 'frontRight', 'rearLeft', 'rearRight']) p`,
    )
  await database.query(
    `insert into look (id, wheel_set_id, positions, seen_at, beading, is_after_reviving)
     select md5(i || ' ' || j || ' ' || a)::uuid, md5('s' || i)::uuid,
       case when a = 0 then array['frontLeft', 'frontRight'] else array['rearLeft', 'rearRight'] end,
       ${when('j')} - interval '1 hour', greatest(0, round(4 - (case when j % 3 = 0 then 3 else j % 3 end) * (0.7 + (i % 7) * 0.1) * (1.2 - a * 0.4)))::int, false
     from generate_series(1, ${sets}) i, generate_series(1, 24, 2) j, generate_series(0, 1) a`,
  )
  for (const table of counted) await database.query(`alter table ${table} enable trigger user`)
  return database
}

async function timed(work: () => Promise<unknown>): Promise<number> {
  const began = performance.now()
  await work()
  return performance.now() - began
}

const median = (times: readonly number[]): number => [...times].sort((a, b) => a - b)[times.length >> 1] ?? 0

async function measured(sets: number) {
  const database = await filled(sets)
  const fromNothing = await timed(() => listDue(database, now))
  const afterChange: number[] = []
  for (let change = 1; change <= changes; change += 1) {
    const [set] = await database.query<{ id: string }>(`select md5('s' || ${change * 17})::uuid as id`)
    await addLook(database, set?.id ?? '', {
      id: randomUUID(), positions: ['frontLeft', 'frontRight'], at: new Date(now.getTime() - change * 1000), beading: 2, release: null,
      slickness: null, glossUnits: null, afterReviving: true,
    }) // prettier-ignore
    afterChange.push(await timed(() => listDue(database, now)))
  }
  const items = (await listDue(database, now)).length
  await database.close()
  const change = median(afterChange)
  console.log(
    `${sets} sets, ${items} due: ${Math.round(fromNothing)} ms from nothing, ${Math.round(change)} ms after a look at one`,
  )
  return { fromNothing, change }
}

await measured(150)
const [some, many] = [await measured(500), await measured(2000)]
console.log(JSON.stringify({ some, many }))
