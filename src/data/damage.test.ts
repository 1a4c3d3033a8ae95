import { sayInEnglish } from '@/i18n/testEnglish'
import {
  cpSync,
  existsSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  statSync,
  truncateSync,
  writeFileSync,
} from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterAll, afterEach, beforeAll, beforeEach, describe, expect, it } from 'vitest'
import { openDatabase, type OpenOptions } from './openDatabase'
import { newDataFolder } from './testSnapshots'

let whole = ''
let folder = ''
const files: Record<string, string> = {}
const vehicles = 40

beforeAll(async () => {
  whole = newDataFolder()
  const database = await openDatabase(whole, { upkeep: true })
  for (let at = 0; at < vehicles; at += 1)
    await database.query("insert into vehicle (name, kind) values ($1, 'car')", [`Vehicle ${at}`])
  const long = JSON.stringify(Array.from({ length: 3000 }, (_, at) => Math.sin(at).toString(36)))
  await database.query("insert into setting (name, value) values ('long', $1::jsonb)", [long])
  const paths = await database.query<{ name: string; path: string }>(
    `select case when relkind = 't' then 'long values' else relname::text end as name, pg_relation_filepath(oid) as path from pg_class
     where relname in ('vehicle', 'vehicle_pkey', 'pg_class', 'pg_attribute')
        or oid = (select reltoastrelid from pg_class where relname = 'setting')`,
  )
  for (const { name, path } of paths) files[name] = join('database', path)
  await database.close()
  const log = readdirSync(join(whole, 'database', 'pg_wal')).filter((name) => /^[0-9A-F]{24}$/.test(name))
  files.log = join('database', 'pg_wal', log.sort()[0] ?? '')
}, 120_000)
afterAll(() => rmSync(whole, { recursive: true, force: true }))

beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'even-spoke-damage-'))
  cpSync(whole, folder, { recursive: true })
})
afterEach(() => rmSync(folder, { recursive: true, force: true }))

const ways = {
  gone: (path: string) => rmSync(path),
  empty: (path: string) => truncateSync(path, 0),
  zeros: (path: string) => writeFileSync(path, Buffer.alloc(statSync(path).size)),
} as const

async function countVehicles(options: OpenOptions): Promise<number> {
  const database = await openDatabase(folder, options)
  const [row] = await database.query<{ rows: number }>('select count(*)::int as rows from vehicle')
  await database.close()
  return row?.rows ?? 0
}

describe('damage is noticed, said in plain words, and the last good copy opens', () => {
  it.each<[string, keyof typeof ways]>([
    ['vehicle', 'empty'],
    ['vehicle_pkey', 'zeros'],
    ['long values', 'empty'],
    ['log', 'zeros'],
    ['database/global/pg_control', 'empty'],
    ['database/pg_xact/0000', 'gone'],
  ])('%s, %s', async (name, way) => {
    ways[way](join(folder, files[name] ?? name))
    const refused = await openDatabase(folder).then(
      () => null,
      (error: Error & { reason?: string }) => error,
    )
    expect(refused).toMatchObject({ reason: 'damaged', exitCode: 65 })
    expect(refused?.message).toMatch(/damaged[^]*last good copy is from [^]*40 vehicles[^]*--last-good/)
    const said: string[] = []
    expect(await countVehicles({ recovery: 'lastGood', say: (one) => said.push(sayInEnglish(one)) })).toBe(
      vehicles,
    )
    expect(said.join()).toMatch(/Restored the good copy from /)
    const aside = readdirSync(folder).filter((entry) => entry.startsWith('database-damaged-'))
    expect(aside).toHaveLength(1)
    // The copy itself stays, and the next start is an ordinary one.
    expect(await countVehicles({})).toBe(vehicles)
    expect(readdirSync(join(folder, 'copies'))).toHaveLength(1)
  })

  it('a person can go on with what is left', async () => {
    ways.empty(join(folder, files.vehicle ?? ''))
    await expect(openDatabase(folder)).rejects.toMatchObject({
      message: expect.stringContaining('0 of 40 rows'),
    })
    const said: string[] = []
    expect(
      await countVehicles({ recovery: 'asItIs', say: (one) => said.push(sayInEnglish(one)) }).catch(String),
    ).toBe(0)
    expect(said.join()).toContain('Going on with what is left')
  })

  it('the next older copy is taken where the newest is damaged, too', async () => {
    const database = await openDatabase(folder, { upkeep: true })
    await database.query("insert into vehicle (name, kind) values ('One more', 'car')")
    await database.close()
    const [newest] = readdirSync(join(folder, 'copies')).sort().reverse()
    for (const place of [folder, join(folder, 'copies', newest ?? '')])
      ways.empty(join(place, 'database', 'global', 'pg_control'))
    const said: string[] = []
    expect(await countVehicles({ recovery: 'lastGood', say: (one) => said.push(sayInEnglish(one)) })).toBe(
      vehicles,
    )
    expect(said.join('\n')).toContain('That copy is damaged, too.')
  })

  it('where there is no copy, that is said and nothing is touched', async () => {
    rmSync(join(folder, 'copies'), { recursive: true })
    ways.empty(join(folder, 'database', 'global', 'pg_control'))
    await expect(openDatabase(folder)).rejects.toMatchObject({
      message: expect.stringContaining('There is no good copy of it yet'),
    })
    await expect(openDatabase(folder, { recovery: 'lastGood' })).rejects.toMatchObject({ reason: 'damaged' })
    expect(existsSync(join(folder, 'database', 'PG_VERSION'))).toBe(true)
  })

  it('a log that ends before what was acknowledged is said, and the rest is there', async () => {
    const { startEngine } = await import('./engine')
    const engine = await startEngine(join(folder, 'database'), () => true)
    await engine.postgres.query("insert into vehicle (name, kind) values ('Lost', 'car')")
    await engine.files.commits.settled()
    // The folder as a kill leaves it, then with the end of its log cut off.
    const killed = mkdtempSync(join(tmpdir(), 'even-spoke-damage-'))
    cpSync(folder, killed, { recursive: true })
    await engine.postgres.close()
    const log = join(killed, 'database', 'pg_wal', engine.files.currentLog ?? '')
    const bytes = readFileSync(log)
    const end = bytes.findLastIndex((byte) => byte !== 0)
    writeFileSync(log, Buffer.concat([bytes.subarray(0, end - 200), Buffer.alloc(bytes.length - end + 200)]))
    const said: string[] = []
    const database = await openDatabase(killed, { say: (one) => said.push(sayInEnglish(one)) })
    expect(said.join()).toMatch(/end of the log in .* is damaged\. The last \d+ bytes/)
    expect(await database.query('select count(*)::int as rows from vehicle')).toEqual([{ rows: vehicles }])
    await database.close()
    rmSync(killed, { recursive: true })
  })
})

describe('a folder that holds data is never built over', () => {
  it.each<[string, () => void]>([
    ['without its version', () => rmSync(join(folder, 'database', 'PG_VERSION'))],
    ['with an empty version', () => truncateSync(join(folder, 'database', 'PG_VERSION'), 0)],
    [
      'when the database is gone and copies are there',
      () => rmSync(join(folder, 'database'), { recursive: true }),
    ],
  ])('%s', async (_, damage) => {
    damage()
    const before = readdirSync(folder, { recursive: true })
      .filter((name) => !String(name).startsWith('owners'))
      .sort()
    await expect(openDatabase(folder)).rejects.toMatchObject({ reason: 'damaged' })
    const after = readdirSync(folder, { recursive: true })
      .filter((name) => !String(name).startsWith('owners'))
      .sort()
    expect(after).toEqual(before)
  })

  it('what a killed first start left is cleared, and an empty place is built in', async () => {
    for (const old of ['database', 'copies']) rmSync(join(folder, old), { recursive: true })
    const { mkdirSync } = await import('node:fs')
    mkdirSync(join(folder, 'database'))
    mkdirSync(join(folder, 'database.new', 'base'), { recursive: true })
    writeFileSync(join(folder, 'database.new', 'PG_VERSION'), '18\n')
    expect(await countVehicles({})).toBe(0)
    expect(existsSync(join(folder, 'database.new'))).toBe(false)
  })

  it('an empty or stale note of who runs the engine does not stop a start', async () => {
    for (const text of ['', '4711\nelsewhere\n']) {
      writeFileSync(join(folder, 'database', 'postmaster.pid'), text)
      expect(await countVehicles({})).toBe(vehicles)
    }
  })
})

it('a database folder that vanishes while it is open is said before the next write', async () => {
  const lost: string[] = []
  const database = await openDatabase(folder, { onLost: (one) => lost.push(sayInEnglish(one)) })
  rmSync(join(folder, 'database'), { recursive: true })
  await expect(database.query("insert into vehicle (name, kind) values ('A', 'car')")).rejects.toThrow()
  expect(lost).toEqual([expect.stringContaining('was moved or deleted while Even Spoke was running')])
})

it('a copy is made while work goes on, is whole, and the newest three are kept', async () => {
  const database = await openDatabase(folder, { upkeep: true })
  let written = 0
  for (let round = 0; round < 4; round += 1) {
    const copied = database.copy()
    let done = false
    void copied.finally(() => (done = true))
    while (!done) {
      await database.query("insert into vehicle (name, kind) values ('During', 'car')")
      written += 1
    }
    await copied
  }
  await database.close()
  const copies = readdirSync(join(folder, 'copies'))
  expect(copies).toHaveLength(3)
  expect(written).toBeGreaterThan(8)
  expect(await countVehicles({ recovery: 'lastGood' })).toBe(vehicles + written)
})
