import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import * as v from 'valibot'
import { familyIds } from '@/core/chemistry/families'
import { runState } from '@/core/run/runState'
import { intakeInput } from '@/contracts/intake'
import { readJob } from '@/contracts/jobFile'
import { planInOrder } from '@/core/order/orderPlan'
import type { Database } from '@/data/database'
import { openInMemory } from '@/data/openInMemory'
import { listProducts } from '@/data/queries/cabinet'
import { listTools } from '@/data/queries/tools'
import { listFinishedJobs, listOpenJobs } from '@/data/queries/jobs'
import { listVisits } from '@/data/queries/visits'
import { listWheelSets } from '@/data/queries/wheelSets'
import { listDue } from '@/services/due'
import { askForecast, productsCompared } from '@/services/forecast'
import { intakeOffer } from '@/services/jobs/intakeOffer'
import { learntPace } from '@/services/jobs/learntPace'
import { jobFileFor } from '@/services/jobs/planJob'
import { fillDemo } from './fillDemo'
import { isLong } from '@/core/job/testLong'

const now = new Date('2027-02-10T09:00:00Z')
let database: Database
beforeAll(async () => {
  database = await openInMemory()
  await fillDemo(database, now, () => undefined)
  // Two years of a shop, on a machine that has other work as well.
}, 240_000)
afterAll(() => database.close())

describe('the demo shop', () => {
  it('has a set for every kind of wheel people ask about', async () => {
    const sets = (await listWheelSets(database, { size: 99 })).rows
    expect(sets.length).toBeGreaterThanOrEqual(12)
    const finishes = new Set(
      sets.flatMap(({ wheels }) => wheels.flatMap((one) => one.finishes.map((f) => f.finish))),
    )
    for (const finish of [
      'glossBlack',
      'matte',
      'diamondCut',
      'polishedBare',
      'paintedSteel',
      'chrome',
    ] as const)
      expect(finishes).toContain(finish)
    const kinds = new Set(sets.map(({ vehicleKind }) => vehicleKind))
    for (const kind of ['car', 'van', 'trailer', 'motorcycle']) expect(kinds).toContain(kind)
    expect(sets.some(({ wheels }) => wheels.some(({ position }) => position === 'rearLeftInner'))).toBe(true)
  })

  it('has chemicals over all families, tools, and some that run out', async () => {
    const products = await listProducts(database)
    const there = new Set(products.map(({ family }) => family))
    // Whoever answers for the brakes decides on an inhibitor; the demo shop has none.
    expect(familyIds.filter((id) => !there.has(id))).toEqual(['discInhibitor'])
    expect(products.some((one) => one.stockMillilitres < one.packMillilitres / 4)).toBe(true)
    expect((await listTools(database)).length).toBeGreaterThanOrEqual(20)
    for (const { family } of products) expect(familyIds).toContain(family)
  })

  it('has no vehicle that two people take longer for than wheel after wheel, or that one of them does alone', async () => {
    for (const set of (await listWheelSets(database, { size: 99 })).rows)
      for (const service of [(await intakeOffer(database, set, now)).service, 'decontaminate'] as const) {
        const { loads } = await intakeOffer(database, set, now)
        const corners = loads.map(({ position, loads: zones }) => ({
          position,
          loads: Object.entries(zones).flatMap(([zone, soils]) =>
            Object.entries(soils).map(([soil, grade]) => ({ zone, soil, grade })),
          ),
        }))
        const intake = v.parse(intakeInput, { service, people: 2, corners, conditions: { airCelsius: 7 } })
        const read = readJob(await jobFileFor(database, set, intake, now))
        if (!read.ok) throw new Error(JSON.stringify(read.problems))
        const { sequence } = planInOrder(read.value.job, isLong ? undefined : 6_000)
        const name = `${set.vehicleName}, ${set.name}, ${service}`
        expect(sequence?.endSeconds, name).toBeLessThanOrEqual(sequence?.plainSeconds ?? 0)
        if (corners.length > 1)
          expect(new Set(sequence?.entries.map(({ person }) => person)).size, name).toBe(2)
      }
  }, 600_000)

  it('has worked jobs whose taps say how fast the shop works', async () => {
    const pace = await learntPace(database, {})
    expect(pace.agitate?.factor).toBeGreaterThan(1.08)
    expect(pace.rinse?.factor).toBeLessThan(0.95)
    expect(pace.agitate?.times).toBeGreaterThan(20)
    for (const { job, events } of await listFinishedJobs(database, 50)) {
      const state = runState(job.plan, events)
      expect(state.settledCount).toBe(job.plan.steps.length)
      expect(state.clocks).toEqual([])
    }
  })

  it('has two years of records up to today, some protection overdue and some jobs planned', async () => {
    const { rows: visits } = await listVisits(database, { size: 1000 })
    const total = visits.length
    expect(total).toBeGreaterThan(100)
    const days = visits.map(({ finishedAt }) => (now.getTime() - finishedAt.getTime()) / 86_400_000)
    expect(Math.min(...days)).toBeGreaterThan(0)
    expect(Math.min(...days)).toBeLessThan(14)
    expect(Math.max(...days)).toBeGreaterThan(600)
    const kinds = new Set((await listDue(database, now)).map(({ kind }) => kind))
    for (const kind of [
      'topUp',
      'renewal',
      'reviving',
      'decontamination',
      'wheelsOff',
      'torqueCheck',
      'tyreDressing',
      'resin',
      'tool',
      'seasonChange',
      'reminder',
    ])
      expect(kinds).toContain(kind)
    expect((await listOpenJobs(database)).length).toBeGreaterThan(0)
  })

  it('shows a pattern: one product that lasts, one car that eats everything, one clogged coating', async () => {
    const { products, calibration } = await productsCompared(database, now)
    const lasting = products.find(({ name }) => name === 'Wet Shield')!
    const short = products.find(({ name }) => name === 'Rinse Glass')!
    expect(lasting.lifeDays.p50).toBeGreaterThan(short.lifeDays.p50 * 1.4)
    expect(lasting.beatsNext).toBeGreaterThan(0.9)
    expect(calibration.looks).toBeGreaterThan(10)
    const hardness = await Promise.all(
      (await listWheelSets(database, { size: 99 })).rows.map(async ({ id, vehicleName }) => {
        const layers = await askForecast(database, now, 'layersOfSet', { wheelSetId: id, at: now })
        const hard = layers.flatMap(({ why }) => why.weights.filter(({ kind }) => kind === 'hardSet'))
        return { vehicleName, times: Math.max(1, ...hard.map(({ amount }) => amount)) }
      }),
    )
    const [hardest] = hardness.sort((one, other) => other.times - one.times)
    expect(hardest?.vehicleName).toBe('Sorrel Vantana')
    const clogged = (await listDue(database, now)).find(({ kind }) => kind === 'reviving')
    expect(clogged?.vehicleName).toBe('Aldery Coupe')
  })
})
