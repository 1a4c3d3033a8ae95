import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import fc from 'fast-check'
import { starterCabinet } from '@/core/chemistry/starterCabinet'
import type { Database } from '@/data/database'
import { openInMemory } from '@/data/openInMemory'
import { addProduct, findProduct, putProduct } from '@/data/queries/cabinet'
import { emptyOpenPack, listMovements, moveStock } from '@/data/queries/stock'
import { enterStock } from './enterStock'

const now = new Date('2026-05-04T08:00:00Z')
const [soap] = starterCabinet
const id = soap!.id
let database: Database

beforeAll(async () => {
  database = await openInMemory()
  await addProduct(database, { ...soap!, stockMillilitres: 1500, packMillilitres: 1000 }, 'EUR')
})
afterAll(() => database.close())

const stock = async () => (await findProduct(database, id))!.stockMillilitres
const enter = (
  kind: 'bought' | 'counted' | 'corrected',
  millilitres: number,
  requestId = crypto.randomUUID(),
) => enterStock(database, id, { requestId, kind, millilitres, note: '' }, now)

describe('the stock ledger', () => {
  it('adds up to what is there, whatever moves it, and never goes below nothing', async () => {
    const amount = fc.integer({ min: 1, max: 3000 })
    const movement = fc.oneof(
      fc.record({ kind: fc.constant('used' as const), amount }),
      fc.record({ kind: fc.constantFrom('bought' as const, 'counted' as const), amount }),
      fc.record({ kind: fc.constant('corrected' as const), amount: fc.integer({ min: -3000, max: 3000 }) }),
      fc.record({ kind: fc.constantFrom('emptied' as const, 'imported' as const), amount }),
    )
    await fc.assert(
      fc.asyncProperty(fc.array(movement, { maxLength: 8 }), async (movements) => {
        for (const { kind, amount: millilitres } of movements) {
          if (kind === 'used') await moveStock(database, id, 'used', -millilitres, now)
          else if (kind === 'emptied') await emptyOpenPack(database, id, now)
          else if (kind === 'imported')
            await putProduct(
              database,
              { ...(await findProduct(database, id))!, stockMillilitres: millilitres },
              'EUR',
            )
          else await enter(kind, millilitres)
          const all = await listMovements(database, id, 10_000)
          const left = await stock()
          expect(all.reduce((sum, one) => sum + one.millilitres, 0)).toBeCloseTo(left, 6)
          expect(all[0]?.leftMillilitres).toBeCloseTo(left, 6)
          expect(left).toBeGreaterThanOrEqual(0)
        }
      }),
      { numRuns: 25 },
    )
  })

  it('takes down once what is sent twice', async () => {
    const before = await stock()
    const requestId = crypto.randomUUID()
    for (let round = 0; round < 3; round += 1) await enter('bought', 250, requestId)
    expect(await stock()).toBe(before + 250)
  })

  it('refuses to take off more than is on record by a correction, and a product that is gone', async () => {
    const before = await stock()
    expect(await enter('corrected', -before - 1)).toMatchObject({
      ok: false,
      problems: [{ path: 'millilitres' }],
    })
    expect(await stock()).toBe(before)
    const gone = { requestId: crypto.randomUUID(), kind: 'bought' as const, millilitres: 1, note: '' }
    expect(await enterStock(database, 'gone', gone, now)).toMatchObject({ ok: false })
  })
})
