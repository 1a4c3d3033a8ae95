import { withTexts } from '@/contracts/saidText'
import { sayInEnglish } from '@/i18n/testEnglish'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import * as v from 'valibot'
import { starterCabinet } from '@/core/chemistry/starterCabinet'
import { finishInput, intakeInput } from '@/contracts/intake'
import { wheelSetInput } from '@/contracts/wheelSet'
import type { Database } from '@/data/database'
import { openInMemory } from '@/data/openInMemory'
import { addProduct, listProducts } from '@/data/queries/cabinet'
import { findJob, listOpenJobs } from '@/data/queries/jobs'
import { listRunEvents } from '@/data/queries/runEvents'
import { countVisitsUpTo, listVisits } from '@/data/queries/visits'
import { addWheelSet } from '@/data/queries/wheelSets'
import { listDue } from '../due/due'
import { correctVisit } from './correctVisit'
import { finishJob } from './finishJob'
import { defaultSettings } from '@/contracts/settings'
import { usualRegion, type English } from '@/core/units/region'
import { withoutTexts } from '@/contracts/saidText'
import { writeSettings } from '@/data/queries/settings'
import { planJob } from './planJob'
import { replanJob } from './replanJob'
import { recordRunEvent } from './recordRunEvent'

let database: Database
let wheelSetId = ''
const now = new Date('2026-05-01T08:00:00Z')
const minutesLater = (minutes: number) => new Date(now.getTime() + minutes * 60_000)

beforeAll(async () => {
  database = await openInMemory()
  for (const product of starterCabinet) await addProduct(database, product, 'EUR')
  wheelSetId = await addWheelSet(
    database,
    v.parse(wheelSetInput, {
      vehicle: { name: 'Orlen Tessaly', kind: 'car' },
      name: 'Summer set',
      wheels: (['frontLeft', 'frontRight', 'rearLeft', 'rearRight'] as const).map((position) => ({
        position,
        tyreCode: '255/35 R19',
        rimWidthInches: 8.5,
        spokeCount: 10,
        finishes: (['face', 'lip', 'windows', 'barrel', 'cap', 'caliper'] as const).map((zone) => ({
          zone,
          finish: 'paintedGloss' as const,
        })),
      })),
    }),
  )
})
afterAll(() => database.close())

const intake = v.parse(intakeInput, {
  corners: (['frontLeft', 'frontRight', 'rearLeft', 'rearRight'] as const).map((position) => ({
    position,
    loads: [{ zone: 'barrel', soil: 'bondedDust', grade: 3 }],
  })),
})

it('a job stored by an earlier version is read with the defaults of today', async () => {
  const jobId = await planned()
  await database.query(
    `update job set job_file = job_file #- '{wishes,placed}' #- '{conditions,humidityPercent}',
       plan_file = plan_file - 'sequence' - 'timings' where id = $1`,
    [jobId],
  )
  const job = await findJob(database, jobId)
  expect(job?.jobFile.wishes.placed).toEqual([])
  expect(job?.jobFile.conditions.humidityPercent).toBe(55)
  expect([job?.plan.sequence, job?.plan.timings]).toEqual([null, []])
  await database.query('delete from job where id = $1', [jobId])
})

it('a shop in American units gets the same plan, to the second and the millilitre', async () => {
  const planIn = async (english: English) => {
    await writeSettings(database, { ...defaultSettings, region: usualRegion(english) })
    const jobId = await planned()
    const job = await findJob(database, jobId)
    await database.query('delete from job where id = $1', [jobId])
    return withoutTexts(job?.plan, () => true)
  }
  const metric = await planIn('en')
  expect(await planIn('en-US')).toEqual(metric)
  expect(await planIn('en-GB')).toEqual(metric)
  await writeSettings(database, defaultSettings)
})

async function planned(): Promise<string> {
  const made = await planJob(database, wheelSetId, intake, now)
  if (!made.ok) throw new Error(JSON.stringify(made.problems))
  return made.value.jobId
}
const tap = (jobId: string, stepId: string, minutes: number, requestId: string = crypto.randomUUID()) =>
  recordRunEvent(
    database,
    jobId,
    { kind: 'done', stepId, at: minutesLater(minutes).toISOString(), requestId },
    minutesLater(minutes),
  )

describe('a job from plan to log', () => {
  it('writes the visit, takes the stock and starts the protection, all at once', async () => {
    const jobId = await planned()
    const job = await findJob(database, jobId)
    for (const [index, step] of job!.plan.steps.entries()) {
      // So quick that no pace is learnt from it.
      expect((await tap(jobId, step.id, index / 60)).ok).toBe(true)
    }
    const stockBefore = await listProducts(database)
    const ended = await finishJob(
      database,
      jobId,
      { result: 'someLeft', note: 'left front' },
      minutesLater(90),
    )
    expect(ended.ok).toBe(true)

    const { rows: visits } = await listVisits(database, { wheelSetId, size: 5 })
    expect(visits[0]).toMatchObject({
      result: 'someLeft',
      note: 'left front',
      costMinor: job!.plan.costMinor,
    })
    // Kept as a message, with the text of today beside it.
    expect(visits[0]?.headline).toEqual(withTexts(job!.plan.headline, sayInEnglish))
    expect(visits[0]?.operatorSeconds).toBe(job!.plan.operatorSeconds)
    const stockAfter = await listProducts(database)
    for (const { productId, concentrateMillilitres } of job!.plan.amounts) {
      const stock = (list: typeof stockAfter) =>
        list.find(({ id }) => id === productId)?.stockMillilitres ?? 0
      expect(stock(stockAfter)).toBeCloseTo(Math.max(0, stock(stockBefore) - concentrateMillilitres), 6)
    }
    const [wash] = await database.query<{ service: string; wear: number; is_reviving: boolean }>(
      'select service, wear, is_reviving from visit where wheel_set_id = $1',
      [wheelSetId],
    )
    expect(wash!.service).toBe(job!.plan.service)
    // What the chemistry took, and a little for every pass of mitt and wand.
    expect(wash!.wear).toBeGreaterThan(0)
    expect(wash!.wear).toBeLessThanOrEqual(1)
    const due = await listDue(database, minutesLater(100), wheelSetId)
    expect(due.map(({ kind }) => kind)).toEqual(expect.arrayContaining(['topUp', 'tyreDressing']))
    expect(await listOpenJobs(database)).toEqual([])

    const again = await finishJob(database, jobId, { result: 'clean', note: '' }, minutesLater(95))
    expect(again.ok).toBe(false)
    expect(await countVisitsUpTo(database, 100, { wheelSetId })).toBe(1)
    expect((await tap(jobId, job!.plan.steps[0]!.id, 96)).ok).toBe(false)
  })

  it('cannot end while chemistry is on a wheel, and then nothing is written', async () => {
    const jobId = await planned()
    const job = await findJob(database, jobId)
    const spray = job!.plan.steps.find((step) => step.startsDwell)!
    await tap(jobId, spray.id, 1)
    const before = await countVisitsUpTo(database, 100, { wheelSetId })
    const ended = await finishJob(database, jobId, { result: 'clean', note: '' }, minutesLater(2))
    expect(ended.ok).toBe(false)
    expect(await countVisitsUpTo(database, 100, { wheelSetId })).toBe(before)
    expect((await findJob(database, jobId))?.finishedAt).toBeNull()
  })

  it('a tap sent twice counts once', async () => {
    const jobId = await planned()
    const requestId = crypto.randomUUID()
    await tap(jobId, 'lookRound', 1, requestId)
    await tap(jobId, 'lookRound', 1, requestId)
    expect(await listRunEvents(database, jobId)).toHaveLength(1)
  })

  it('a wheel set that is gone is said, not planned', async () => {
    const outcome = await planJob(database, '00000000-0000-4000-8000-000000000000', intake, now)
    expect(outcome.ok).toBe(false)
  })
})

it('the next plan follows the times that were logged', async () => {
  const jobId = await planned()
  const before = (await findJob(database, jobId))?.plan
  if (!before) throw new Error('no plan')
  let seconds = 0
  for (const step of before.steps) {
    seconds += step.operatorSeconds * 2 + (step.startsDwell?.minSeconds ?? 0)
    await tap(jobId, step.id, seconds / 60)
  }
  await finishJob(database, jobId, { result: 'clean', note: '' }, minutesLater(seconds / 60))
  const next = await findJob(database, await planned())
  // A few rinses in one job move it part of the way.
  expect(next?.jobFile.pace.rinse?.factor).toBeGreaterThan(1.15)
  expect(next?.plan.operatorSeconds).toBeGreaterThan(before.operatorSeconds * 1.1)
})

it('keeps an order that was found by looking longer, and refuses one that breaks a limit', async () => {
  const jobId = await planned()
  const before = await findJob(database, jobId)
  if (!before?.plan.sequence) throw new Error('no order')
  const order = before.plan.sequence.entries.map((entry) => ({ ...entry }))
  expect(await replanJob(database, jobId, { order })).toMatchObject({ ok: true })
  const rushed = order.map((entry) => ({ ...entry, startSeconds: 0 }))
  expect(await replanJob(database, jobId, { order: rushed })).toMatchObject({
    ok: false,
    problems: [{ path: 'order' }],
  })
  expect((await findJob(database, jobId))?.plan.sequence?.entries).toEqual(before.plan.sequence.entries)
})

it('taps that came after the end are added to the note of the visit, once', async () => {
  const jobId = await planned()
  const first = (await findJob(database, jobId))?.plan.steps[0]
  const tap = { kind: 'done' as const, stepId: first?.id ?? '', at: minutesLater(90).toISOString() }
  expect(await correctVisit(database, jobId, { taps: [tap] })).toMatchObject({ ok: false })
  await recordRunEvent(
    database,
    jobId,
    { ...tap, at: now.toISOString(), requestId: crypto.randomUUID() },
    now,
  )
  expect(await finishJob(database, jobId, v.parse(finishInput, { result: 'clean', note: 'All well' }), minutesLater(60))).toMatchObject({ ok: true }) // prettier-ignore
  const late = await recordRunEvent(
    database,
    jobId,
    { ...tap, requestId: crypto.randomUUID() },
    minutesLater(90),
  )
  expect(late).toMatchObject({ ok: false, problems: [{ path: 'jobEnded' }] })
  for (let time = 0; time < 2; time += 1)
    expect(await correctVisit(database, jobId, { taps: [tap] })).toEqual({ ok: true, value: null })
  const visit = (await listVisits(database, { size: 50 })).rows.find((one) => one.jobId === jobId)
  expect(visit?.note.split('\n')).toEqual([
    'All well',
    `After the end, 2026-05-01 09:30 UTC: ${sayInEnglish(first?.title ?? '')}, done`,
  ])
  const full = {
    taps: Array.from({ length: 80 }, (_, at) => ({ ...tap, at: minutesLater(100 + at).toISOString() })),
  }
  expect(await correctVisit(database, jobId, full)).toMatchObject({ ok: false, problems: [{ path: 'note' }] })
})
