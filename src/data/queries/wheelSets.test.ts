import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import * as v from 'valibot'
import { wheelSetInput } from '@/contracts/wheelSet'
import type { Database } from '../database'
import { openInMemory } from '../openInMemory'
import {
  addWheelSet,
  createWheelSet,
  findWheelSet,
  countWheelSets,
  listWheelSets,
  updateWheelSet,
} from './wheelSets'
import { listVehicles } from './vehicles'
import { addLayer, listLiveLayers } from './protection'

let database: Database
beforeAll(async () => {
  database = await openInMemory()
})
afterAll(() => database.close())

const input = (vehicle: string, name: string, positions: readonly string[] = ['frontLeft', 'rearLeft']) =>
  v.parse(wheelSetInput, {
    vehicle: { name: vehicle, kind: 'car' },
    name,
    wheels: positions.map((position) => ({
      position,
      tyreCode: '255/35 R19',
      rimWidthInches: 8.5,
      spokeCount: 10,
      finishes: [{ zone: 'face', finish: 'matte', condition: 'chipped' }],
    })),
  })

const withKilometres = (vehicle: string, name: string, kilometresPerWeek: number) => {
  const plain = input(vehicle, name)
  return { ...plain, vehicle: { ...plain.vehicle, kilometresPerWeek } }
}
const first = { version: 1, vehicleVersion: 1 }

describe('wheel sets', () => {
  it('come back as they were saved, and share their vehicle where it is said', async () => {
    const summer = await addWheelSet(database, input('Orlen', 'Summer'))
    const [orlen] = await listVehicles(database, { name: '', most: 99 })
    await addWheelSet(database, input('Orlen', 'Winter'), orlen)
    expect((await listVehicles(database, { name: '', most: 99 })).map(({ setNames }) => setNames)).toEqual([
      ['Summer', 'Winter'],
    ])
    const stored = await findWheelSet(database, summer)
    expect(stored?.wheels).toEqual(input('Orlen', 'Summer').wheels)
    expect(stored).toMatchObject({ vehicleName: 'Orlen', version: 1, lastVisitAt: null })
  })

  it('are found by text that looks like a pattern, and only by it', async () => {
    await addWheelSet(database, input('Percent', '100%_set'))
    expect((await listWheelSets(database, { search: '0%_', size: 9 })).rows.map(({ name }) => name)).toEqual([
      '100%_set',
    ])
    expect((await listWheelSets(database, { search: '%%%', size: 9 })).rows).toEqual([])
    expect((await listWheelSets(database, { search: `'; drop table wheel_set; --`, size: 9 })).rows).toEqual(
      [],
    )
    expect(await countWheelSets(database)).toBe(3)
  })

  it('are read page by page in their order, forwards and backwards, each once', async () => {
    const all = (await listWheelSets(database, { size: 99 })).rows.map(({ id }) => id)
    for (const size of [1, 2, all.length - 1, all.length]) {
      const seen: string[] = []
      let page = await listWheelSets(database, { size })
      expect(page.hasEarlier).toBe(false)
      for (;;) {
        seen.push(...page.rows.map(({ id }) => id))
        if (!page.hasLater) break
        page = await listWheelSets(database, { size, after: seen.at(-1) })
      }
      expect(seen).toEqual(all)
      const back: string[] = []
      while (page.hasEarlier) {
        page = await listWheelSets(database, { size, before: page.rows[0]?.id })
        back.unshift(...page.rows.map(({ id }) => id))
      }
      expect(back).toEqual(all.slice(0, back.length))
      expect(back.length + (all.length % size || size)).toBe(all.length)
    }
    // A page that hangs on a row that is gone is the first.
    const lost = await listWheelSets(database, { size: 2, after: crypto.randomUUID() })
    expect(lost.rows.map(({ id }) => id)).toEqual(all.slice(0, 2))
  })

  it('are saved only over the version the edit was made from', async () => {
    const id = await addWheelSet(database, input('Twice', 'A'))
    expect(await updateWheelSet(database, id, first, input('Twice', 'B'))).toBe('saved')
    expect(await updateWheelSet(database, id, first, input('Twice', 'C'))).toBe('changedMeanwhile')
    expect((await findWheelSet(database, id))?.name).toBe('B')
    const nobody = '00000000-0000-4000-8000-000000000000'
    expect(await updateWheelSet(database, nobody, first, input('X', 'Y'))).toBe('gone')
  })

  it('are saved only over the state of the vehicle they were made from, and nothing of them otherwise', async () => {
    const one = await addWheelSet(database, withKilometres('Shared', 'A', 100))
    const [seen] = (await listVehicles(database, { name: '', most: 99 })).filter(
      ({ vehicle }) => vehicle.name === 'Shared',
    )
    const other = await addWheelSet(database, withKilometres('Shared', 'B', 200), seen)
    // The form of the first was opened before the second set came.
    expect(await updateWheelSet(database, one, first, withKilometres('Shared', 'C', 300))).toBe(
      'changedMeanwhile',
    )
    expect(await findWheelSet(database, one)).toMatchObject({ name: 'A', kilometresPerWeek: 200, version: 1 })
    await expect(addWheelSet(database, withKilometres('Shared', 'D', 1), seen)).rejects.toThrow(
      'changedMeanwhile',
    )
    expect(await findWheelSet(database, other)).toMatchObject({ name: 'B', vehicleVersion: 2 })
  })

  it('of two vehicles of one name stay apart', async () => {
    await addWheelSet(database, withKilometres('Twin', 'A', 100))
    await addWheelSet(database, withKilometres('Twin', 'A', 900))
    const twins = (await listVehicles(database, { name: '', most: 99 })).filter(
      ({ vehicle }) => vehicle.name === 'Twin',
    )
    expect(twins.map(({ vehicle }) => vehicle.kilometresPerWeek).sort()).toEqual([100, 900])
  })

  it('sent twice are stored once', async () => {
    const id = crypto.randomUUID()
    for (let round = 0; round < 2; round += 1)
      expect(await createWheelSet(database, id, input('Resent', 'A'))).toBe('saved')
    expect((await listWheelSets(database, { search: 'Resent', size: 9 })).rows).toHaveLength(1)
  })

  it('keep the protection of wheels that stay, and lose it with the wheel', async () => {
    const id = await addWheelSet(database, input('Layered', 'A'))
    const appliedAt = new Date('2026-01-01T00:00:00Z')
    for (const position of ['frontLeft', 'rearLeft'] as const)
      await addLayer(database, id, { position, kind: 'sprayWax', appliedAt, productName: 'Wax' }, null)
    await updateWheelSet(database, id, first, input('Layered', 'A', ['frontLeft']))
    expect((await listLiveLayers(database, id)).map(({ positions }) => positions)).toEqual([['frontLeft']])
  })
})

describe('layers of protection', () => {
  it('end those they replace; a topper leaves the coating alone', async () => {
    const id = await addWheelSet(database, input('Coated', 'A', ['front']))
    const put = (
      kind: 'ceramicCoating' | 'sprayWax' | 'coatingTopper' | 'tyreDressingWater',
      month: number,
    ) =>
      addLayer(
        database,
        id,
        { position: 'front', kind, appliedAt: new Date(Date.UTC(2026, month, 1)), productName: kind },
        null,
      )
    await put('sprayWax', 0)
    await put('ceramicCoating', 1)
    await put('coatingTopper', 2)
    await put('tyreDressingWater', 3)
    expect((await listLiveLayers(database, id)).map(({ kind }) => kind).sort()).toEqual([
      'ceramicCoating',
      'coatingTopper',
      'tyreDressingWater',
    ])
  })
})
