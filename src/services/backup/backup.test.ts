import { strToU8, unzipSync, zipSync } from 'fflate'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import * as v from 'valibot'
import { starterCabinet } from '@/core/chemistry/starterCabinet'
import { wheelSetInput } from '@/contracts/wheelSet'
import { dump } from '@/data/backup/dump'
import type { Database } from '@/data/database'
import { openInMemory } from '@/data/openInMemory'
import { readMigrations } from '@/data/migrate'
import { addProduct } from '@/data/queries/cabinet'
import { addLook } from '@/data/queries/looks'
import { addPairedDevice, listPairedDevices } from '@/data/queries/pairedDevices'
import { addPhotograph } from '@/data/queries/photographs'
import { addLayer } from '@/data/queries/protection'
import { addVisit } from '@/data/queries/visits'
import { addWheelSet, countWheelSets } from '@/data/queries/wheelSets'
import { readBackup, zipBackup } from '@/pool/zip'
import { listDue } from '../due'
import { backUp } from './backUp'
import { lookAtBackup, restoreBackup } from './restoreBackup'

const now = new Date('2026-11-20T09:00:00.123Z')
const nothing = () => Promise.resolve(null)
let shop: Database
let zip: Uint8Array

async function addSet(database: Database, vehicle: string): Promise<string> {
  return addWheelSet(
    database,
    v.parse(wheelSetInput, {
      vehicle: { name: vehicle, kind: 'car' },
      name: 'All year',
      wheels: (['frontLeft', 'rearLeft'] as const).map((position) => ({
        position,
        tyreCode: '225/45 R17',
        rimWidthInches: 7.5,
        spokeCount: 10,
        finishes: [{ zone: 'face', finish: 'paintedGloss' }],
      })),
    }),
  )
}

/** A shop with something in most tables, names and notes as people write them. */
async function fillShop(database: Database): Promise<void> {
  for (const product of starterCabinet.slice(0, 5)) await addProduct(database, product, 'EUR')
  const set = await addSet(database, 'Orlén “Tessaly” \\ 1')
  const visitId = await addVisit(database, {
    wheelSetId: set, jobId: null, finishedAt: now, headline: '=1+1', result: 'clean', note: 'line\nbreak', operatorSeconds: 1234.5,
    costMinor: 310, currency: 'EUR', products: [{ name: 'Rim; Wash', concentrateMillilitres: 12.3456789, costMinor: 40 }],
  }) // prettier-ignore
  await addLayer(
    database,
    set,
    { position: 'frontLeft', kind: 'spraySealant', productName: 'Wet Shield', appliedAt: now },
    visitId,
  )
  const jpeg = (text: string) => new Uint8Array([0xff, 0xd8, 0, 0xff, ...strToU8(text)])
  await database.transaction((transaction) =>
    addPhotograph(
      transaction,
      set,
      { id: crypto.randomUUID(), jobId: null, positions: ['rearLeft'], takenAt: now, widthPixels: 1280, heightPixels: 960 },
      { whole: jpeg('whole'), small: jpeg('small') },
    ),
  ) // prettier-ignore
  await addLook(database, set, {
    id: crypto.randomUUID(), positions: ['frontLeft'], at: new Date(now.getTime() + 1000), beading: 3, release: null, slickness: null,
    glossUnits: 81.25, afterReviving: false,
  }) // prettier-ignore
}

beforeAll(async () => {
  shop = await openInMemory()
  await fillShop(shop)
  zip = await backUp(shop, now)
})
afterAll(() => shop.close())

describe('a backup', () => {
  it('comes back row by row, into an empty and into a full database, and is counted right', async () => {
    const wanted = await dump(shop, nothing)
    for (const isFull of [false, true]) {
      const other = await openInMemory()
      if (isFull) await addSet(other, 'Another car')
      await addPairedDevice(other, { name: 'Phone', role: 'bay', tokenHash: 'a'.repeat(64) })
      await listDue(other, now)
      expect(await restoreBackup(other, zip)).toEqual({ ok: true, value: null })
      expect(await dump(other, nothing)).toEqual(wanted)
      // The machine keeps its own devices.
      expect((await listPairedDevices(other)).map(({ name }) => name)).toEqual(['Phone'])
      expect(await listDue(other, now)).toEqual(await listDue(shop, now))
      const counts = await other.query<{ name: string; rows: number }>(
        'select name, rows::int as rows from table_count',
      )
      for (const { name, rows } of counts) {
        const [found] = await other.query<{ rows: number }>(`select count(*)::int as rows from "${name}"`)
        expect(found?.rows, name).toBe(rows)
      }
      // And it goes on from there.
      await addSet(other, 'One more')
      expect(await countWheelSets(other)).toBe(2)
      await other.close()
    }
  })

  it('holds tables for people, in which nothing runs', () => {
    const files = unzipSync(zip)
    const text = (name: string) => new TextDecoder().decode(files[name])
    expect(text('log.csv')).toContain("'=1+1")
    expect(text('cabinet.csv').split('\n').length).toBeGreaterThan(5)
    expect(Object.keys(files)).not.toContain('tables/paired_device.json')
  })

  it('holds photographs as files that any program opens', () => {
    const names = Object.keys(unzipSync(zip)).filter((name) => name.endsWith('.jpg'))
    expect(names.map((name) => name.replace(/[0-9a-f-]{36}/, 'ID')).sort()).toEqual([
      'photographs/ID.jpg',
      'photographs/small/ID.jpg',
    ])
  })

  it('says first what it would replace', async () => {
    const other = await openInMemory()
    await addSet(other, 'Another car')
    await addSet(other, 'And another')
    const look = await lookAtBackup(other, zip)
    expect(look.ok && look.value.tables.find(({ name }) => name === 'wheel_set')).toEqual({
      name: 'wheel_set',
      inBackup: 1,
      here: 2,
    })
    await other.close()
  })

  it('of an earlier version is brought up to this one', async () => {
    const earlier = await openInMemory(readMigrations().slice(0, 10))
    await earlier.query(
      `insert into vehicle (id, name, kind) values (gen_random_uuid(), 'Old Faithful', 'car')`,
    )
    const { also: _, ...parts } = await dump(earlier, nothing)
    const old = zipBackup({ madeAt: now.toISOString(), ...parts, others: [] })
    const other = await openInMemory()
    expect(await restoreBackup(other, old)).toMatchObject({ ok: true })
    const rows = await other.query('select name, parked from vehicle')
    expect(rows).toEqual([{ name: 'Old Faithful', parked: null }])
    await Promise.all([earlier.close(), other.close()])
  })
})

describe('what is no backup', () => {
  const files = (): Record<string, Uint8Array> => unzipSync(zip)
  const changed = (change: (all: Record<string, Uint8Array>) => void): Uint8Array => {
    const all = files()
    change(all)
    return zipSync(all)
  }
  const pictureName = (all: Record<string, unknown>) =>
    Object.keys(all).find((name) => name.startsWith('photographs/small/')) ?? ''
  const manifest = (change: (read: Record<string, unknown>) => void) =>
    changed((all) => {
      const read = JSON.parse(new TextDecoder().decode(all['manifest.json'])) as Record<string, unknown>
      change(read)
      all['manifest.json'] = strToU8(JSON.stringify(read))
    })
  /** Every size before packing is said to be 100 bytes, in both places where a zip says it. */
  const lying = (whole: Uint8Array): Uint8Array => {
    const view = new DataView(whole.buffer, whole.byteOffset, whole.byteLength)
    for (let at = 0; at + 46 < whole.length; at += 1) {
      const mark = view.getUint32(at, true)
      if (mark === 0x04034b50) view.setUint32(at + 22, 100, true)
      if (mark === 0x02014b50) view.setUint32(at + 24, 100, true)
    }
    return whole
  }
  it.each([
    ['no zip', () => strToU8('not at all a zip')],
    ['nothing', () => new Uint8Array()],
    ['half a file', () => zip.slice(0, zip.length / 2)],
    ['names that lead out', () => changed((all) => (all['../evil.json'] = strToU8('[]')))],
    ['no manifest', () => changed((all) => delete all['manifest.json'])],
    ['another program’s', () => manifest((read) => (read.format = 'another/backup/1'))],
    ['a newer version', () => manifest((read) => (read.dataVersion = 999))],
    ['a table that is missing', () => changed((all) => delete all['tables/vehicle.json'])],
    ['a table that was touched', () => changed((all) => (all['tables/vehicle.json'] = strToU8('[]')))],
    ['a picture that was touched', () => changed((all) => (all[pictureName(all)] = strToU8('no picture')))],
    ['a picture that is gone', () => changed((all) => void delete all[pictureName(all)])],
    ['a bomb', () => changed((all) => (all['tables/look.json'] = new Uint8Array(80_000_000)))],
    [
      'a bomb that says it is small',
      () => lying(changed((all) => (all['a.json'] = new Uint8Array(80_000_000)))),
    ],
    [
      'a bomb of names',
      () =>
        zipSync(Object.fromEntries(Array.from({ length: 500 }, (_, at) => [`${at}.json`, strToU8('[]')]))),
    ],
  ])('%s is refused with a mend, and nothing is changed', async (_what, make) => {
    const before = await dump(shop, nothing)
    const refused = await restoreBackup(shop, make())
    expect(refused.ok).toBe(false)
    expect(!refused.ok && refused.problems[0]?.mend.length).toBeGreaterThan(20)
    expect(await dump(shop, nothing)).toEqual(before)
  })

  it('rows that break a rule of the data change nothing', async () => {
    const read = readBackup(zip)
    if (!read.ok) throw new Error('unreadable')
    const broken = zipBackup({
      madeAt: now.toISOString(),
      dataVersion: read.value.manifest.dataVersion,
      tables: read.value.tables.map(({ name, rows }) => {
        const kept = name === 'vehicle' ? [] : rows
        return { name, rows: kept.length, json: JSON.stringify(kept) }
      }),
      pictures: [],
      others: [],
    })
    const before = await dump(shop, nothing)
    expect(await restoreBackup(shop, broken)).toMatchObject({ ok: false })
    expect(await dump(shop, nothing)).toEqual(before)
  })
})
