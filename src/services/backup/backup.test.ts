import { inEnglish } from '@/i18n/testEnglish'
import { createHash } from 'node:crypto'
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { strToU8, unzipSync, zipSync } from 'fflate'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import * as v from 'valibot'
import { starterCabinet } from '@/core/chemistry/starterCabinet'
import { wheelSetInput } from '@/contracts/wheelSet'
import { dump as dumpWith } from '@/data/backup/dump'
import { restore, sourceOf } from '@/data/backup/restore'
import { dumpInMemory } from '@/data/backup/testDump'
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
import { readBackup } from '@/pool/backup/readBackup'
import { unsealed } from '@/pool/backup/seal'
import { writeBackup } from '@/pool/backup/writeBackup'
import { listDue } from '../due/due'
import { backUp } from './backUp'
import { lookAtBackup, restoreBackup } from './restoreBackup'

const now = new Date('2026-11-20T09:00:00.123Z')
const dump = (database: Database) => dumpWith(database, dumpInMemory)
const folder = mkdtempSync(join(tmpdir(), 'even-spoke-backup-'))
const newPath = () => join(folder, `${crypto.randomUUID()}.zip`)
/** A file of its own with these bytes. */
const fileOf = (bytes: Uint8Array): string => {
  const path = newPath()
  writeFileSync(path, bytes)
  return path
}
/** Puts the right seal on a zip that was made by hand. */
function sealed(bytes: Uint8Array): Uint8Array {
  const digestAt = unsealed.length - 64
  const zip = Buffer.concat([bytes, Buffer.from(unsealed, 'latin1')])
  zip.writeUInt16LE(unsealed.length, bytes.length - 2)
  const until = bytes.length + digestAt
  zip.write(createHash('sha256').update(zip.subarray(0, until)).digest('hex'), until, 'latin1')
  return zip
}
let shop: Database
let zip: Uint8Array
let zipFile = ''

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
  zipFile = newPath()
  await backUp(shop, now, zipFile)
  zip = readFileSync(zipFile)
})
afterAll(async () => {
  await shop.close()
  rmSync(folder, { recursive: true, force: true })
})

describe('a backup', () => {
  it('comes back row by row, into an empty and into a full database, and is counted right', async () => {
    const wanted = await dump(shop)
    for (const isFull of [false, true]) {
      const other = await openInMemory()
      if (isFull) await addSet(other, 'Another car')
      await addPairedDevice(other, { name: 'Phone', role: 'bay', tokenHash: 'a'.repeat(64) })
      await listDue(other, now)
      expect(await restoreBackup(other, zipFile)).toEqual({ ok: true, value: null })
      expect(await dump(other)).toEqual(wanted)
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

  it('is restored picture by picture: what others ask is answered in between', async () => {
    const other = await openInMemory()
    const restoring = restoreBackup(other, zipFile)
    const waiting = async (): Promise<number> => {
      const [row] = await other.query<{ rows: number }>(
        `select coalesce((select n_live_tup from pg_stat_user_tables where relname = 'incoming_picture'), -1)::int as rows`,
      )
      return row?.rows ?? -1
    }
    const seen: number[] = []
    let isDone = false
    void restoring.finally(() => (isDone = true))
    while (!isDone) {
      seen.push(await waiting())
      await new Promise(setImmediate)
    }
    expect(await restoring).toEqual({ ok: true, value: null })
    expect(Math.max(...seen), 'somebody asked while pictures came in').toBeGreaterThanOrEqual(0)
    expect(await waiting()).toBe(-1)
    await other.close()
  })

  it('whose pictures cannot all be read changes nothing, and leaves nothing', async () => {
    const other = await openInMemory()
    await addSet(other, 'Another car')
    const before = await dump(other)
    const broken = dumpWith(shop, (reader) =>
      restore(other, readMigrations(), {
        ...sourceOf(reader),
        pictures: async function* () {
          const [first] = reader.pictures
          if (first) yield { ...first, jpeg: await reader.picture(first) }
          throw new Error('the disk went out')
        },
      }),
    )
    await expect(broken).rejects.toThrow('the disk went out')
    expect(await dump(other)).toEqual(before)
    expect(await other.query("select to_regclass('incoming_picture') as t")).toEqual([{ t: null }])
    await other.close()
  })

  it('that cannot be read or written to its end is no backup: the reason is thrown, and no file stays', async () => {
    const path = newPath()
    const unreadable = dumpWith(shop, (reader) =>
      writeBackup(path, {
        ...reader,
        madeAt: now.toISOString(),
        others: [{ name: 'log.csv', text: () => Promise.reject(new Error('the log cannot be read')) }],
      }),
    )
    await expect(unreadable).rejects.toThrow('the log cannot be read')
    await expect(backUp(shop, now, join(folder, 'missing', 'shop.zip'))).rejects.toThrow('ENOENT')
    expect(await countWheelSets(shop)).toBe(1)
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
    const look = await lookAtBackup(other, zipFile)
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
    const old = newPath()
    await dumpWith(earlier, (reader) =>
      writeBackup(old, { ...reader, madeAt: now.toISOString(), others: [] }),
    )
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
    return sealed(zipSync(all))
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
      () => sealed(lying(zipSync({ ...files(), 'a.json': new Uint8Array(80_000_000) }))),
    ],
    [
      'a bomb of names',
      () =>
        sealed(
          zipSync(Object.fromEntries(Array.from({ length: 500 }, (_, at) => [`${at}.json`, strToU8('[]')]))),
        ),
    ],
  ])('%s is refused with a fix, and nothing is changed', async (_what, make) => {
    const before = await dump(shop)
    const refused = await restoreBackup(shop, fileOf(make()))
    expect(refused.ok).toBe(false)
    expect(!refused.ok && inEnglish(refused.problems)[0]?.fix.length).toBeGreaterThan(20)
    expect(await dump(shop)).toEqual(before)
  })

  /** The backup with a table's rows changed, its manifest and seal right again. */
  function withRows(table: string, change: (rows: Record<string, unknown>[]) => unknown[]): string {
    const all = files()
    const text = (name: string) => new TextDecoder().decode(all[name])
    const rows = change(JSON.parse(text(`tables/${table}.json`)) as Record<string, unknown>[])
    const json = strToU8(JSON.stringify(rows))
    const read = JSON.parse(text('manifest.json')) as { tables: Record<string, unknown>[] }
    const listed = read.tables.find(({ name }) => name === table) ?? {}
    Object.assign(listed, { rows: rows.length, sha256: createHash('sha256').update(json).digest('hex') })
    return fileOf(
      sealed(
        zipSync({ ...all, [`tables/${table}.json`]: json, 'manifest.json': strToU8(JSON.stringify(read)) }),
      ),
    )
  }
  const first = (change: Record<string, unknown>) => (rows: Record<string, unknown>[]) =>
    rows.map((row, at) => (at === 0 ? { ...row, ...change } : row))

  it.each([
    ['rows that break a rule of the data', 'vehicle', () => [], 'file'],
    ['a number that is none', 'product', first({ stock_millilitres: 'NaN' }), 'tables/product.json'],
    ['a number without an end', 'product', first({ stock_millilitres: 'Infinity' }), 'tables/product.json'],
    ['a number as a text', 'wheel', first({ spoke_count: '10' }), 'tables/wheel.json'],
    ['half a spoke', 'wheel', first({ spoke_count: 10.5 }), 'tables/wheel.json'],
    ['a day that is none', 'visit', first({ finished_at: '2026-13-45T99:00:00Z' }), 'tables/visit.json'],
    ['rows that are none', 'vehicle', () => [[['nested']], 7, null], 'tables/vehicle.json'],
    ['a column that is none', 'vehicle', first({ password: 'x' }), 'tables/vehicle.json'],
    [
      'settings that are none',
      'setting',
      () => [{ name: 'shop', value: ['no settings'], changed_at: now.toISOString(), version: 1 }],
      'tables/setting.json',
    ],
    [
      'settings of which one is none',
      'setting',
      () => [{ name: 'shop', value: { currency: 7 }, changed_at: now.toISOString(), version: 1 }],
      'tables/setting.json',
    ],
  ] as const)('%s in it are refused by name, and nothing is changed', async (_what, table, change, path) => {
    const before = await dump(shop)
    expect(await restoreBackup(shop, withRows(table, change as never))).toMatchObject({
      ok: false,
      problems: [{ path }],
    })
    expect(await dump(shop)).toEqual(before)
  })

  it('a photograph without its picture is refused', async () => {
    const all = files()
    const read = JSON.parse(new TextDecoder().decode(all['manifest.json'])) as { pictures: unknown[] }
    read.pictures.pop()
    const file = fileOf(sealed(zipSync({ ...all, 'manifest.json': strToU8(JSON.stringify(read)) })))
    expect(inEnglish(await restoreBackup(shop, file))).toMatchObject({
      ok: false,
      problems: [{ found: expect.stringContaining('though its photo is') as string }],
    })
  })

  it('one changed byte anywhere in it is noticed', async () => {
    // Every place near the ends, where a zip keeps its lists, and some hundred between.
    const step = Math.max(1, Math.floor(zip.length / 300))
    const places = Array.from({ length: zip.length }, (_, at) => at).filter(
      (at) => at < 64 || at > zip.length - 400 || at % step === 0,
    )
    const path = newPath()
    const unnoticed: number[] = []
    for (const at of places) {
      const bytes = Buffer.from(zip)
      bytes[at] = (bytes[at] ?? 0) ^ (1 << (at % 8))
      writeFileSync(path, bytes)
      if ((await readBackup(path)).ok) unnoticed.push(at)
    }
    expect(unnoticed).toEqual([])
  })

  it('a backup of the earlier format, without a seal, is still read', async () => {
    const all = files()
    const read = JSON.parse(new TextDecoder().decode(all['manifest.json'])) as Record<string, unknown>
    read.format = 'even-spoke/backup/1'
    delete read.others
    const file = fileOf(zipSync({ ...all, 'manifest.json': strToU8(JSON.stringify(read)) }))
    const other = await openInMemory()
    expect(await restoreBackup(other, file)).toEqual({ ok: true, value: null })
    expect(await dump(other)).toEqual(await dump(shop))
    await other.close()
  })
})
