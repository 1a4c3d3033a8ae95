import { execFileSync } from 'node:child_process'
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { openDatabase } from './openDatabase'

const size = 160
let folder = ''

/** A small disk of its own, in memory; only the system's administrator may make one. */
function mounted(): string | null {
  const at = mkdtempSync(join(tmpdir(), 'even-spoke-disk-'))
  try {
    execFileSync('mount', ['-t', 'tmpfs', '-o', `size=${size}m`, 'tmpfs', at], { stdio: 'ignore' })
    return at
  } catch {
    rmSync(at, { recursive: true, force: true })
    return null
  }
}
const disk = mounted()
const ballast = () => join(disk ?? '', 'ballast')
/** Leaves no more than a megabyte. */
function fill(): void {
  try {
    writeFileSync(ballast(), Buffer.alloc(size * 1024 * 1024))
  } catch {
    // Full, as wanted.
  }
}

describe.skipIf(disk === null)('a disk that gets full while the program runs', () => {
  beforeAll(() => {
    folder = join(disk ?? '', 'data')
  })
  afterAll(() => {
    execFileSync('umount', ['-l', disk ?? ''])
    rmSync(disk ?? '', { recursive: true, force: true })
  })

  it('refuses to write in words, answers what is read, goes on once there is room, and stops when asked', async () => {
    const database = await openDatabase(folder, { upkeep: true })
    const add = (name: string) =>
      database.query("insert into vehicle (name, kind) values ($1, 'car')", [name])
    const names = () => database.query('select name from vehicle order by name')
    await add('before')
    fill()
    await expect(add('without room')).rejects.toMatchObject({ reason: 'diskFull' })
    await expect(database.transaction((transaction) => transaction.query('select 1'))).rejects.toMatchObject({
      reason: 'diskFull',
    })
    await expect(database.copy()).rejects.toMatchObject({ reason: 'diskFull' })
    await expect(database.snapshot?.()).rejects.toMatchObject({ reason: 'diskFull' })
    expect(await names()).toEqual([{ name: 'before' }])
    rmSync(ballast())
    await add('then')
    fill()
    await database.close()
    rmSync(ballast())
    const again = await openDatabase(folder)
    expect(await again.query('select name from vehicle order by name')).toEqual([
      { name: 'before' },
      { name: 'then' },
    ])
    await again.close()
  })
})
