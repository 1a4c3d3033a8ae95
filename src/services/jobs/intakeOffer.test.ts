import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import * as v from 'valibot'
import { soils } from '@/core/soils/soil'
import { wheelSetInput } from '@/contracts/wheelSet'
import type { Database } from '@/data/database'
import { openInMemory } from '@/data/openInMemory'
import { addLayer } from '@/data/queries/protection'
import { addVisit } from '@/data/queries/visits'
import { addWheelSet, findWheelSet, type WheelSet } from '@/data/queries/wheelSets'
import { listDue, liveProtection } from '../due/due'
import { intakeOffer } from './intakeOffer'

let database: Database
const visitedAt = new Date('2026-05-01T08:00:00Z')
const daysLater = (days: number) => new Date(visitedAt.getTime() + days * 86_400_000)
const positions = ['frontLeft', 'frontRight', 'rearLeft', 'rearRight'] as const

beforeAll(async () => {
  database = await openInMemory()
})
afterAll(() => database.close())

async function newSet(name: string, changes: object = {}): Promise<string> {
  return addWheelSet(
    database,
    v.parse(wheelSetInput, {
      vehicle: { name, kind: 'car', ...changes },
      name: 'Summer set',
      wheels: positions.map((position) => ({
        position,
        tyreCode: '255/35 R19',
        rimWidthInches: 8.5,
        spokeCount: 10,
      })),
    }),
  )
}
const visit = (wheelSetId: string, finishedAt = visitedAt) =>
  addVisit(database, {
    wheelSetId,
    jobId: null,
    finishedAt,
    headline: 'Washed',
    result: 'clean',
    note: '',
    operatorSeconds: 3600,
    costMinor: 400,
    currency: 'EUR',
    products: [],
  })
const read = async (id: string): Promise<WheelSet> => {
  const set = await findWheelSet(database, id)
  if (!set) throw new Error('no set')
  return set
}
const dirtOf = (offer: Awaited<ReturnType<typeof intakeOffer>>, position: string): number =>
  Object.values(offer.loads.find((one) => one.position === position)?.loads ?? {})
    .flatMap((bySoil) => soils.map((soil) => (bySoil as Partial<Record<string, number>>)[soil] ?? 0))
    .reduce((sum, grade) => sum + grade, 0)

describe('what an intake starts from', () => {
  it('is a decontamination for wheels nobody has cleaned on record', async () => {
    const offer = await intakeOffer(database, await read(await newSet('Orlen Tessaly')), daysLater(10))
    expect(offer).toMatchObject({ service: 'decontaminate', lastVisitAt: null })
    expect(offer.loads.map(({ position }) => position).sort()).toEqual([...positions].sort())
    expect(offer.since.days).toBeGreaterThan(30)
  })

  it('grows with the days, and is more in front than behind', async () => {
    const id = await newSet('Halden Corvane')
    await visit(id)
    const [soon, late] = [
      await intakeOffer(database, await read(id), daysLater(5)),
      await intakeOffer(database, await read(id), daysLater(60)),
    ]
    expect(soon.service).toBe('maintain')
    expect(soon.since.days).toBe(5)
    expect(late.since.kilometres).toBeGreaterThan(soon.since.kilometres)
    expect(dirtOf(late, 'frontLeft')).toBeGreaterThan(dirtOf(soon, 'frontLeft'))
    expect(dirtOf(late, 'frontLeft')).toBeGreaterThanOrEqual(dirtOf(late, 'rearLeft'))
  })

  it('counts a visit of today as one day, not none', async () => {
    const id = await newSet('Mossen Volta')
    await visit(id)
    expect((await intakeOffer(database, await read(id), visitedAt)).since.days).toBe(1)
  })

  it('is the mild service where a coating is on', async () => {
    const id = await newSet('Aldery Coupe')
    const visitId = await visit(id)
    for (const position of positions)
      await addLayer(
        database,
        id,
        { position, kind: 'ceramicCoating', appliedAt: visitedAt, productName: 'House coating' },
        visitId,
      )
    expect((await intakeOffer(database, await read(id), daysLater(20))).service).toBe('coatedMaintenance')
  })

  it('is the winter wash in winter, and counts its salt', async () => {
    const id = await newSet('Sorrel Vantana')
    await visit(id)
    const spring = await intakeOffer(database, await read(id), new Date('2026-05-20T08:00:00Z'))
    expect(spring.since.winter).toBe(false)
    await visit(id, new Date('2026-12-01T08:00:00Z'))
    const offer = await intakeOffer(database, await read(id), new Date('2026-12-15T08:00:00Z'))
    expect(offer).toMatchObject({ service: 'winter', since: { winter: true, days: 14 } })
  })
})

describe('what is due', () => {
  it('is a line per set and product, the fronts sooner', async () => {
    const id = await newSet('Quillon Vant')
    const visitId = await visit(id)
    for (const [kind, productName] of [
      ['tyreDressingWater', 'House dressing'],
      ['sprayRinseSilica', 'House silica'],
    ] as const)
      for (const position of positions)
        await addLayer(database, id, { position, kind, appliedAt: visitedAt, productName }, visitId)
    const due = await listDue(database, daysLater(1), id)
    expect(due.map(({ kind }) => kind)).toEqual(['tyreDressing', 'topUp', 'decontamination'])
    const left = await liveProtection(database, id, daysLater(9))
    const at = (position: string) =>
      left.find((one) => one.position === position && one.kind === 'sprayRinseSilica')!.leftShare
    expect(at('frontLeft')).toBeLessThan(at('rearLeft'))
  })

  it('is nothing for a set without protection and visits', async () => {
    expect(await listDue(database, daysLater(1), await newSet('Iverna Grand'))).toEqual([])
  })
})
