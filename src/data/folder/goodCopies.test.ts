import { mkdirSync, rmSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { afterEach, beforeEach, expect, it } from 'vitest'
import { openDatabase } from '../openDatabase'
import { listCopies } from './goodCopies'
import { newDataFolder } from '../testSnapshots'

let folder = ''
beforeEach(() => {
  folder = newDataFolder()
})
afterEach(() => rmSync(folder, { recursive: true, force: true }))

/** A copy as it was left by a clock that was ahead, by this version or an earlier one. */
function leave(name: string, madeAt: string): void {
  const path = join(folder, 'copies', name)
  mkdirSync(path, { recursive: true })
  writeFileSync(join(path, 'about.json'), JSON.stringify({ format: 'even-spoke/copy/1', madeAt, rows: {} }))
}

it('a copy made after a clock was a year ahead is the newest, and the third-newest of the future goes', async () => {
  await (await openDatabase(folder)).close()
  leave('2027-11-27T10-00-00.000Z', '2027-11-27T10:00:00.000Z')
  leave('000001-2027-11-28T10-00-00.000Z', '2027-11-28T10:00:00.000Z')
  leave('000002-2027-11-29T10-00-00.000Z', '2027-11-29T10:00:00.000Z')
  const database = await openDatabase(folder, { upkeep: true })
  await database.query("insert into vehicle (name, kind) values ('New work', 'car')")
  await database.close()
  const copies = listCopies(folder)
  expect(copies.map(({ path }) => path.slice(folder.length + 8, folder.length + 14))).toEqual([
    '000003',
    '000002',
    '000001',
  ])
  expect(copies[0]?.rows.vehicle).toBe(1)
  const restored = await openDatabase(folder, { recovery: 'lastGood' })
  expect(await restored.query('select name from vehicle')).toEqual([{ name: 'New work' }])
  await restored.close()
})
