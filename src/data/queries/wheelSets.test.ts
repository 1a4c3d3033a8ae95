import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import * as v from 'valibot'
import { wheelSetInput } from '@/contracts/wheelSet'
import { openInMemory, type Database } from '../database'
import { createWheelSet, findWheelSet, listVehicles, listWheelSets, updateWheelSet } from './wheelSets'
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

describe('wheel sets', () => {
  it('come back as they were saved, and share their vehicle', async () => {
    const summer = await createWheelSet(database, input('Orlen', 'Summer'))
    await createWheelSet(database, input('orlen', 'Winter'))
    expect(await listVehicles(database)).toHaveLength(1)
    const stored = await findWheelSet(database, summer)
    expect(stored?.wheels).toEqual(input('Orlen', 'Summer').wheels)
    expect(stored).toMatchObject({ vehicleName: 'Orlen', version: 1, lastVisitAt: null })
  })

  it('are found by text that looks like a pattern, and only by it', async () => {
    await createWheelSet(database, input('Percent', '100%_set'))
    expect((await listWheelSets(database, '0%_')).map(({ name }) => name)).toEqual(['100%_set'])
    expect(await listWheelSets(database, '%%%')).toEqual([])
    expect(await listWheelSets(database, `'; drop table wheel_set; --`)).toEqual([])
    expect((await listWheelSets(database)).length).toBe(3)
  })

  it('are saved only over the version the edit was made from', async () => {
    const id = await createWheelSet(database, input('Twice', 'A'))
    expect(await updateWheelSet(database, id, 1, input('Twice', 'B'))).toBe('saved')
    expect(await updateWheelSet(database, id, 1, input('Twice', 'C'))).toBe('changedMeanwhile')
    expect((await findWheelSet(database, id))?.name).toBe('B')
    expect(await updateWheelSet(database, '00000000-0000-4000-8000-000000000000', 1, input('X', 'Y'))).toBe(
      'gone',
    )
  })

  it('keep the protection of wheels that stay, and lose it with the wheel', async () => {
    const id = await createWheelSet(database, input('Layered', 'A'))
    const appliedAt = new Date('2026-01-01T00:00:00Z')
    for (const position of ['frontLeft', 'rearLeft'] as const)
      await addLayer(database, id, { position, kind: 'sprayWax', appliedAt, productName: 'Wax' }, null)
    await updateWheelSet(database, id, 1, input('Layered', 'A', ['frontLeft']))
    expect((await listLiveLayers(database, id)).map(({ positions }) => positions)).toEqual([['frontLeft']])
  })
})

describe('layers of protection', () => {
  it('end those they replace; a topper leaves the coating alone', async () => {
    const id = await createWheelSet(database, input('Coated', 'A', ['front']))
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
