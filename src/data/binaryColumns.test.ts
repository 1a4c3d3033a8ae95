import type { PGlite } from '@electric-sql/pglite'
import { expect, it } from 'vitest'
import { binaryColumns } from './binaryColumns'
import { emptyEngine } from './testSnapshots'

it('keeps every byte, also of a part of a larger buffer and of nothing', async () => {
  const engine = await emptyEngine(binaryColumns)
  const all = Uint8Array.from({ length: 256 }, (_, value) => value)
  for (const bytes of [all, all.subarray(7, 90), new Uint8Array(0), Buffer.from(all)]) {
    const { rows } = await engine.query<{ bytes: Uint8Array; size: number }>(
      'select $1::bytea as bytes, octet_length($1::bytea) as size',
      [bytes],
    )
    expect(rows[0]?.size).toBe(bytes.length)
    expect([...(rows[0]?.bytes ?? [])]).toEqual([...bytes])
  }
  await engine.close()
})

it('works the same for a picture as the way of the engine', async () => {
  const picture = Uint8Array.from({ length: 50_000 }, (_, at) => (at * 7919) % 256)
  const [ours, theirs] = await Promise.all([emptyEngine(binaryColumns), emptyEngine()])
  const digest = async (engine: PGlite) =>
    (await engine.query<{ digest: string }>('select md5($1::bytea) as digest', [picture])).rows[0]?.digest
  expect(await digest(ours)).toBe(await digest(theirs))
  await Promise.all([ours.close(), theirs.close()])
})
