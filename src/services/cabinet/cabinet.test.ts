import { inEnglish } from '@/i18n/testEnglish'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import * as v from 'valibot'
import { starterCabinet } from '@/core/chemistry/starterCabinet'
import { intakeInput } from '@/contracts/intake'
import { writeCabinetCsv } from '@/contracts/cabinetCsv'
import { wishesFile } from '@/contracts/jobFile'
import { wheelSetInput } from '@/contracts/wheelSet'
import type { Database } from '@/data/database'
import { openInMemory } from '@/data/openInMemory'
import { findBottle, emptyBottle, listFullBottles } from '@/data/queries/bottles'
import { addProduct, findProduct, listProducts, updateProduct } from '@/data/queries/cabinet'
import { countStock } from '@/data/queries/stock'
import { findJob } from '@/data/queries/jobs'
import { appendRunEvent } from '@/data/queries/runEvents'
import { listTools } from '@/data/queries/tools'
import { addVisit } from '@/data/queries/visits'
import { addWheelSet, findWheelSet } from '@/data/queries/wheelSets'
import { exportCabinet, importCabinet, previewImport } from './cabinetFiles'
import { intakeOffer } from '../jobs/intakeOffer'
import { mixBottle } from './mixBottle'
import { planJob } from '../jobs/planJob'
import { replanJob } from '../jobs/replanJob'

let database: Database
const now = new Date('2026-06-10T08:00:00Z')
const daysAgo = (days: number) => new Date(now.getTime() - days * 86_400_000)
beforeAll(async () => {
  database = await openInMemory()
  for (const product of starterCabinet) await addProduct(database, product, 'EUR')
})
afterAll(() => database.close())

describe('importing a cabinet', () => {
  it('says first what it would change, and writes nothing', async () => {
    const before = await listProducts(database)
    const preview = await previewImport(
      database,
      'id,name,family\nfresh,Fresh,degreaser\ncarShampoo,Suds,carShampoo',
    )
    expect(preview).toMatchObject({ ok: true, value: { added: ['Fresh'], replaced: ['Suds'], tools: [] } })
    expect(await listProducts(database)).toEqual(before)
  })

  it('takes all or nothing', async () => {
    const before = await listProducts(database)
    const bad = await importCabinet(database, 'id,name,family\nfresh,Fresh,degreaser\nbad,,degreaser', null)
    expect(bad.ok).toBe(false)
    expect(await listProducts(database)).toEqual(before)
    const good = await importCabinet(database, 'id,name,family\nfresh,Fresh,degreaser', null)
    expect(good.ok).toBe(true)
    expect((await listProducts(database)).some(({ name }) => name === 'Fresh')).toBe(true)
  })

  it('an export comes back as the same cabinet', async () => {
    const before = await listProducts(database)
    const taken = await importCabinet(database, JSON.stringify(await exportCabinet(database)), null)
    expect(taken.ok).toBe(true)
    const after = await listProducts(database)
    expect(after.map(({ id, family, packPriceMinor }) => [id, family, packPriceMinor])).toEqual(
      before.map(({ id, family, packPriceMinor }) => [id, family, packPriceMinor]),
    )
    for (const product of after) {
      const original = before.find(({ id }) => id === product.id)
      expect(product.strength.to).toBeCloseTo(original?.strength.to ?? 0, 4)
    }
    expect(await listTools(database)).toEqual([])
  })

  it('leaves of a known product what the table says nothing about, and what points at it', async () => {
    const packs = [{ millilitres: 5000, priceMinor: 4000 }]
    const soap = (await findProduct(database, 'wheelShampoo'))!
    await updateProduct(database, soap.version, { ...soap, otherPacks: packs, ratings: { film: 3 } }, 'EUR')
    await countStock(database, soap.id, 77, now)
    const bottle = await mixBottle(
      database,
      { productId: 'wheelShampoo', fraction: 0.01, totalMillilitres: 100, mixedBy: '' },
      now,
    )
    const before = (await findProduct(database, 'wheelShampoo'))!
    const taken = await importCabinet(
      database,
      writeCabinetCsv([{ ...before, name: 'Renamed' }], 'EUR'),
      null,
    )
    expect(taken.ok).toBe(true)
    expect(await findProduct(database, 'wheelShampoo')).toEqual({
      ...before,
      name: 'Renamed',
      version: before.version + 1,
    })
    await importCabinet(database, 'id,name,family,rating tar\nwheelShampoo,Short,wheelShampoo,1', null)
    expect(await findProduct(database, 'wheelShampoo')).toMatchObject({
      name: 'Short',
      otherPacks: packs,
      stockMillilitres: 76,
      ratings: { film: 3, tar: 1 },
    })
    const linked = await database.query('select product_id from bottle where id = $1', [
      bottle.ok ? bottle.value : '',
    ])
    expect(linked).toEqual([{ product_id: 'wheelShampoo' }])
    if (bottle.ok) await emptyBottle(database, bottle.value, now)
  })

  it('is refused where something it replaces was changed since it was looked at', async () => {
    const text = 'id,name,family,note\ndegreaser,Looked At,degreaser,from a table'
    const looked = await previewImport(database, text)
    if (!looked.ok) throw new Error('refused')
    const product = (await findProduct(database, 'degreaser'))!
    await updateProduct(database, product.version, { ...product, note: 'of the other window' }, 'EUR')
    expect(await importCabinet(database, text, looked.value.seen)).toMatchObject({
      ok: false,
      problems: [{ found: { key: 'problems.cabinet.changes' } }],
    })
    expect((await findProduct(database, 'degreaser'))?.note).toBe('of the other window')
    const again = await previewImport(database, text)
    expect((await importCabinet(database, text, again.ok ? again.value.seen : '')).ok).toBe(true)
  })

  it('says at the door where a cabinet would hold more than a plan can weigh; archived ones do not count', async () => {
    const rows = (archived: string) =>
      [
        'id,name,family,archived',
        ...Array.from({ length: 501 }, (_, at) => `p${at},P ${at},degreaser,${archived}`),
      ].join('\n')
    const refused = await previewImport(database, rows(''))
    expect(refused).toMatchObject({ ok: false, problems: [{ path: 'products' }] })
    expect((await importCabinet(database, rows(''), null)).ok).toBe(false)
    expect((await previewImport(database, rows('yes'))).ok).toBe(true)
    const tools = Array.from({ length: 201 }, (_, at) => ({
      id: `t${at}`,
      name: `T ${at}`,
      kind: 'mitt',
      diameterMillimetres: 100,
    }))
    expect(
      await importCabinet(database, JSON.stringify({ format: 'even-spoke/cabinet/1', tools }), null),
    ).toMatchObject({
      ok: false,
      problems: [{ path: 'tools' }],
    })
    expect(await listTools(database)).toEqual([])
  })
})

describe('a product', () => {
  it('is saved only over the version the edit was made from', async () => {
    const product = (await findProduct(database, 'degreaser'))!
    expect(await updateProduct(database, product.version, { ...product, name: 'Cut' }, 'EUR')).toBe('saved')
    expect(await updateProduct(database, product.version, { ...product, name: 'Other' }, 'EUR')).toBe(
      'changedMeanwhile',
    )
    expect(await updateProduct(database, 1, { ...product, id: 'nobody' }, 'EUR')).toBe('gone')
    expect((await findProduct(database, 'degreaser'))?.name).toBe('Cut')
  })
})

it('stock that was used is not brought back by a form opened before, and refuses no other edit', async () => {
  const opened = (await findProduct(database, 'ironRemover'))!
  await mixBottle(database, { productId: opened.id, fraction: 1, totalMillilitres: 100, mixedBy: '' }, now)
  expect(await updateProduct(database, opened.version, { ...opened, note: 'Top shelf' }, 'EUR')).toBe('saved')
  expect((await findProduct(database, opened.id))?.stockMillilitres).toBe(opened.stockMillilitres - 100)
  for (const bottle of await listFullBottles(database)) await emptyBottle(database, bottle.id, now)
})

it('a bottle that is sent twice is mixed once', async () => {
  const requestId = crypto.randomUUID()
  const before = (await findProduct(database, 'degreaser'))!.stockMillilitres
  const input = { requestId, productId: 'degreaser', fraction: 0.1, totalMillilitres: 100, mixedBy: '' }
  const first = await mixBottle(database, input, now)
  expect(await mixBottle(database, input, now)).toEqual(first)
  expect((await findProduct(database, 'degreaser'))!.stockMillilitres).toBeCloseTo(before - 10, 6)
  await emptyBottle(database, requestId, now)
})

describe('mixing a bottle', () => {
  it('takes its concentrate off the stock and keeps who and when', async () => {
    const before = (await findProduct(database, 'allPurpose'))!.stockMillilitres
    const mixed = await mixBottle(
      database,
      { productId: 'allPurpose', fraction: 0.1, totalMillilitres: 500, mixedBy: 'Ada' },
      now,
    )
    if (!mixed.ok) throw new Error(inEnglish(mixed.problems)[0]?.fix)
    expect((await findProduct(database, 'allPurpose'))?.stockMillilitres).toBeCloseTo(before - 50, 6)
    expect(await findBottle(database, mixed.value)).toMatchObject({
      mixedBy: 'Ada',
      mixedAt: now,
      emptiedAt: null,
    })
    await emptyBottle(database, mixed.value, now)
    expect(await listFullBottles(database)).toEqual([])
  })

  it('is refused with fluoride or without the product, and nothing is written', async () => {
    const acid = (await findProduct(database, 'acidCleaner'))!
    await updateProduct(database, acid.version, { ...acid, containsFluoride: true }, 'EUR')
    for (const productId of ['acidCleaner', 'nothing']) {
      const mixed = await mixBottle(
        database,
        { productId, fraction: 0.1, totalMillilitres: 500, mixedBy: '' },
        now,
      )
      expect(mixed.ok).toBe(false)
    }
    expect(await listFullBottles(database)).toEqual([])
  })
})

describe('first visits and later ones', () => {
  const set = (name: string) =>
    v.parse(wheelSetInput, {
      vehicle: { name, kind: 'car', kilometresPerWeek: 350 },
      name: 'Set',
      wheels: (['frontLeft', 'rearLeft'] as const).map((position) => ({
        position,
        tyreCode: '205/55 R16',
        rimWidthInches: 6.5,
        spokeCount: 7,
      })),
    })
  const visit = (wheelSetId: string, finishedAt: Date) =>
    addVisit(database, {
      wheelSetId,
      jobId: null,
      finishedAt,
      headline: '',
      result: 'clean',
      note: '',
      operatorSeconds: 60,
      costMinor: 1,
      currency: 'EUR',
      products: [],
    })
  const seen = (grade: 0 | 1 | 2 | 3 | 4) =>
    v.parse(intakeInput, {
      corners: (['frontLeft', 'rearLeft'] as const).map((position) => ({
        position,
        loads: [{ zone: 'face', soil: 'freshDust', grade }],
      })),
    })

  it('offers decontamination first, then maintenance, and decontamination again after a long break', async () => {
    const id = await addWheelSet(database, set('Rhythm'))
    const offered = async () =>
      (await intakeOffer(database, (await findWheelSet(database, id))!, now)).service
    expect(await offered()).toBe('decontaminate')
    await visit(id, daysAgo(120))
    expect(await offered()).toBe('decontaminate')
    await visit(id, daysAgo(20))
    expect(await offered()).toBe('maintain')
  })

  it('a plan that is sent twice is one job', async () => {
    const id = await addWheelSet(database, set('Twice'))
    const sent = { ...seen(1), requestId: crypto.randomUUID() }
    const first = await planJob(database, id, sent, now)
    const second = await planJob(database, id, sent, now)
    expect(first.ok && second.ok && first.value.jobId === second.value.jobId).toBe(true)
  })

  it('learns how a vehicle differs from what was expected', async () => {
    const id = await addWheelSet(database, set('Dusty'))
    await planJob(database, id, seen(4), now)
    expect((await findWheelSet(database, id))?.dustFactor).toBe(1)
    await visit(id, daysAgo(20))
    await planJob(database, id, seen(4), now)
    const dustier = (await findWheelSet(database, id))!.dustFactor
    expect(dustier).toBeGreaterThan(1)
    await planJob(database, id, seen(0), now)
    expect((await findWheelSet(database, id))?.dustFactor).toBeLessThan(dustier)
  })

  it('keeps what two windows changed at the same time, whichever is the quicker', async () => {
    const id = await addWheelSet(database, set('Two windows'))
    const planned = await planJob(database, id, seen(3), now)
    if (!planned.ok) throw new Error(inEnglish(planned.problems)[0]?.fix)
    const { jobId } = planned.value
    const knownWishes = (await findJob(database, jobId))!.jobFile.wishes
    const changes = [{ prefer: 'fastest' as const }, { minutesAllowed: 200 }, { forbidden: ['hub-wax'] }]
    const kept = await Promise.all(
      changes.map((change) =>
        replanJob(database, jobId, { wishes: { ...knownWishes, ...change }, knownWishes }),
      ),
    )
    expect(kept.map(({ ok }) => ok)).toEqual([true, true, true])
    const stored = await findJob(database, jobId)
    expect(stored?.jobFile.wishes).toMatchObject({ ...changes[0], ...changes[1], ...changes[2] })
    expect(stored?.plan.chosen).toBe('fastest')
  })

  it('plans anew with other wishes until the work has begun', async () => {
    const id = await addWheelSet(database, set('Wishes'))
    const planned = await planJob(database, id, seen(3), now)
    if (!planned.ok) throw new Error(inEnglish(planned.problems)[0]?.fix)
    const { jobId } = planned.value
    const fast = await replanJob(database, jobId, { wishes: v.parse(wishesFile, { prefer: 'fastest' }) })
    expect(fast.ok && fast.value.plan.chosen).toBe('fastest')
    expect((await findJob(database, jobId))?.plan.chosen).toBe('fastest')
    const tapped = { kind: 'done', stepId: 'lookRound', at: now } as const
    const { rowVersion } = (await findJob(database, jobId))!
    await appendRunEvent(database, jobId, {
      event: tapped,
      requestId: crypto.randomUUID(),
      rowVersion,
      settledCount: 1,
    })
    const late = await replanJob(database, jobId, { wishes: v.parse(wishesFile, {}) })
    expect(late.ok).toBe(false)
    expect((await findJob(database, jobId))?.plan.chosen).toBe('fastest')
  })
})
