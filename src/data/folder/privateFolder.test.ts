import { chmodSync, mkdirSync, readdirSync, rmSync, statSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { afterEach, beforeEach, expect, it } from 'vitest'
import { openDatabase } from '../openDatabase'
import { newDataFolder } from '../testSnapshots'

let folder = ''
beforeEach(() => {
  folder = newDataFolder()
})
afterEach(() => rmSync(folder, { recursive: true, force: true }))

/** Paths that somebody else could read; into a folder that is the owner's alone nobody else gets. */
function readableByOthers(path: string): string[] {
  const { mode } = statSync(path)
  const isOpen = statSync(path).isDirectory() && (mode & 0o077) !== 0
  const inside = isOpen ? readdirSync(path).map((name) => join(path, name)) : []
  return [...((mode & 0o077) === 0 ? [] : [path]), ...inside.flatMap(readableByOthers)]
}

it('a folder that others could read is for its owner alone once it was opened', async () => {
  await (await openDatabase(folder, { upkeep: true })).close()
  mkdirSync(join(folder, 'logs'))
  writeFileSync(join(folder, 'logs', 'even-spoke.log'), '')
  for (const name of readdirSync(folder, { recursive: true, encoding: 'utf8' })) {
    const path = join(folder, name)
    chmodSync(path, statSync(path).isDirectory() ? 0o755 : 0o644)
  }
  chmodSync(folder, 0o755)
  await (await openDatabase(folder, { upkeep: true })).close()
  expect(readableByOthers(folder)).toEqual([])
})

it('what is not the program’s in the folder keeps its rights', async () => {
  const other = join(folder, 'letters')
  mkdirSync(other)
  chmodSync(other, 0o755)
  chmodSync(folder, 0o755)
  await (await openDatabase(folder)).close()
  expect(statSync(other).mode & 0o777).toBe(0o755)
  expect(statSync(folder).mode & 0o777).toBe(0o755)
  expect(readableByOthers(join(folder, 'database'))).toEqual([])
})
