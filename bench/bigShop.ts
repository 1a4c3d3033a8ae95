// A shop of many wheel sets with three years of records, written straight into the tables.
import type { Database } from '@/data/database'

const counted = [
  'vehicle',
  'wheel_set',
  'wheel',
  'wheel_finish',
  'visit',
  'visit_product',
  'protection_layer',
  'look',
]
const positions = "unnest(array['frontLeft', 'frontRight', 'rearLeft', 'rearRight']) p"

/** Sets with a visit every six weeks, a sealant every third of them, tyres dressed at each, and a look at every other. */
export async function fillBigShop(database: Database, sets: number, now: Date): Promise<void> {
  // Triggers by row cost more than the rows; what they would have counted and noted is made up for at the end.
  for (const table of counted) await database.query(`alter table ${table} disable trigger user`)
  const at = `timestamptz '${now.toISOString()}'`
  const numbers = `generate_series(1, ${sets}) i`
  const when = (visit: string): string =>
    `${at} - make_interval(days => 1095 - 42 * ${visit} - (i * 13) % 30)`
  await database.query(
    `insert into vehicle (id, name, kind, kilometres_per_week, created_at)
     select md5('v' || i)::uuid, 'Car ' || i, 'car', 80 + (i * 37) % 420, ${at} - interval '3 years' from ${numbers}`,
  )
  await database.query(
    `insert into wheel_set (id, vehicle_id, name) select md5('s' || i)::uuid, md5('v' || i)::uuid, 'All year' from ${numbers}`,
  )
  await database.query(
    `insert into wheel (wheel_set_id, position, tyre_code, rim_width_inches, spoke_count, spoke_width_millimetres,
       spoke_depth_millimetres)
     select md5('s' || i)::uuid, p, '225/45 R18', 8, 5 + i % 20, 30, 45 from ${numbers}, ${positions}`,
  )
  await database.query(
    `insert into wheel_finish (wheel_set_id, position, zone, finish, condition)
     select md5('s' || i)::uuid, p, z, (array['paintedGloss', 'glossBlack', 'diamondCut', 'matte'])[1 + i % 4], 'sound'
     from ${numbers}, ${positions}, unnest(array['face', 'lip', 'barrel', 'windows', 'cap']) z`,
  )
  await database.query(
    `insert into visit (id, wheel_set_id, finished_at, headline, result, operator_seconds, cost_minor, currency, service, wear)
     select md5('t' || i || ' ' || j)::uuid, md5('s' || i)::uuid, ${when('j')}, 'Washed', 'clean', 3000, 300, 'EUR',
       case when j % 5 = 0 then 'decontaminate' else 'maintain' end, 0.03
     from ${numbers}, generate_series(0, 24) j`,
  )
  await database.query(
    `insert into visit_product (visit_id, product_name, concentrate_millilitres, cost_minor)
     select md5('t' || i || ' ' || j)::uuid, 'Cleaner ' || c, 40, 60 from ${numbers}, generate_series(0, 24) j,
       generate_series(1, 3) c`,
  )
  for (const [kind, name, every] of [
    ['spraySealant', "'Sealant ' || (i + j) % 6", 3],
    ['tyreDressingWater', "'Dressing'", 1],
  ] as const)
    await database.query(
      `insert into protection_layer (wheel_set_id, position, kind, product_name, applied_at, ended_at)
       select md5('s' || i)::uuid, p, '${kind}', ${name}, ${when('j')},
         case when j + ${every} <= 24 then ${when(`(j + ${every})`)} end
       from ${numbers}, generate_series(0, 24, ${every}) j, ${positions}`,
    )
  await database.query(
    `insert into look (id, wheel_set_id, positions, seen_at, beading, is_after_reviving)
     select md5(i || ' ' || j || ' ' || a)::uuid, md5('s' || i)::uuid,
       case when a = 0 then array['frontLeft', 'frontRight'] else array['rearLeft', 'rearRight'] end,
       ${when('j')} - interval '1 hour',
       greatest(0, round(4 - (case when j % 3 = 0 then 3 else j % 3 end) * (0.7 + (i % 7) * 0.1) * (1.2 - a * 0.4)))::int, false
     from ${numbers}, generate_series(1, 24, 2) j, generate_series(0, 1) a`,
  )
  for (const table of counted) {
    await database.query(`alter table ${table} enable trigger user`)
    await database.query(
      `update table_count set rows = (select count(*) from ${table}) where name = '${table}'`,
    )
  }
}
