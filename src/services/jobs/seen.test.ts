import { inEnglish } from '@/i18n/testEnglish'
import { sayInEnglish } from '@/i18n/testEnglish'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import * as v from 'valibot'
import { starterCabinet } from '@/core/chemistry/starterCabinet'
import type { Answer } from '@/core/run/answer'
import { replay } from '@/core/run/runState'
import { intakeInput } from '@/contracts/intake'
import { wheelSetInput } from '@/contracts/wheelSet'
import type { Database } from '@/data/database'
import { openInMemory } from '@/data/openInMemory'
import { addProduct, listProducts } from '@/data/queries/cabinet'
import { findJob } from '@/data/queries/jobs'
import { listRunEvents, storeRunEvents } from '@/data/queries/runEvents'
import { listLooks } from '@/data/queries/looks'
import { addLayer } from '@/data/queries/protection'
import { listTestSpots } from '@/data/queries/testSpots'
import { listVisits } from '@/data/queries/visits'
import { addWheelSet, findWheelSet } from '@/data/queries/wheelSets'
import { finishJob } from './finishJob'
import { intakeOffer } from './intakeOffer'
import { planJob } from './planJob'
import { recordRunEvent } from './recordRunEvent'
import { seenAt } from './seenAt'

let database: Database
let wheelSetId = ''
const now = new Date('2026-05-01T08:00:00Z')
const at = (seconds: number) => new Date(now.getTime() + seconds * 1000)
const corners = ['frontLeft', 'frontRight'] as const

beforeAll(async () => {
  database = await openInMemory()
  for (const product of starterCabinet)
    await addProduct(database, { ...product, stockMillilitres: 1234 }, 'EUR')
  wheelSetId = await addWheelSet(
    database,
    v.parse(wheelSetInput, {
      vehicle: { name: 'Orlen Tessaly', kind: 'car' },
      name: 'Show set',
      wheels: corners.map((position) => ({
        position,
        tyreCode: '255/35 R19',
        rimWidthInches: 8.5,
        spokeCount: 10,
        finishes: (['face', 'lip', 'windows', 'barrel', 'cap'] as const).map((zone) => ({
          zone,
          finish: 'polishedBare' as const,
        })),
      })),
    }),
  )
})
afterAll(() => database.close())

async function planned() {
  const made = await planJob(
    database,
    wheelSetId,
    v.parse(intakeInput, {
      corners: corners.map((position) => ({
        position,
        loads: [
          { zone: 'barrel', soil: 'bondedDust', grade: 2 },
          { zone: 'tyre', soil: 'tyreBrowning', grade: 1 },
        ],
      })),
    }),
    now,
  )
  if (!made.ok) throw new Error(JSON.stringify(made.problems))
  const job = await findJob(database, made.value.jobId)
  if (!job) throw new Error('no job')
  return job
}
const tell = (jobId: string, stepId: string, seconds: number, answer?: Answer) =>
  recordRunEvent(
    database,
    jobId,
    {
      kind: answer ? 'answered' : 'done',
      stepId,
      at: at(seconds).toISOString(),
      requestId: crypto.randomUUID(),
      ...(answer ? { answer: answer as never } : {}),
    },
    at(seconds),
  )

describe('what was seen', () => {
  it('is stored as it was said, and the steps it brings may be worked', async () => {
    const job = await planned()
    const look = job.plan.steps.find(({ asks }) => asks === 'look')
    const stayed: Answer = { question: 'look', stayed: [{ zone: 'barrel', soil: 'bondedDust' }] }
    expect(await tell(job.id, look!.id, 10, stayed)).toMatchObject({ ok: true })
    const events = await listRunEvents(database, job.id)
    expect(events[0]).toMatchObject({ kind: 'answered', answer: stayed })
    const added = replay(seenAt(job), events).plan.steps.find(({ addedBecause }) => addedBecause)
    expect(await tell(job.id, added!.id, 60)).toMatchObject({ ok: true })
    const rows = await database.query<{ settled_count: number }>(
      'select settled_count from job where id = $1',
      [job.id],
    )
    expect(rows[0]?.settled_count).toBe(2)
  })

  it('is refused at a step that asks something else, and so is a step that nothing has brought', async () => {
    const job = await planned()
    const look = job.plan.steps.find(({ asks }) => asks === 'look')!
    expect(inEnglish(await tell(job.id, look.id, 10, { question: 'foam', foam: 'brown' }))).toMatchObject({
      ok: false,
      problems: [{ path: 'answer', fix: expect.stringContaining('asks what was left') as string }],
    })
    expect(await tell(job.id, `${look.corner}.wash-${look.corner}-look1-1.spray`, 11)).toMatchObject({
      ok: false,
      problems: [{ path: 'stepId' }],
    })
    expect(await listRunEvents(database, job.id)).toEqual([])
  })

  it('ends somewhere: thousands of taps are no job', async () => {
    const job = await planned()
    const many = Array.from({ length: 5000 }, (_, index) => ({
      kind: 'misted' as const,
      stepId: 'lookRound',
      at: at(index),
    }))
    await storeRunEvents(database, job.id, many)
    expect(inEnglish(await tell(job.id, 'lookRound', 6000))).toMatchObject({
      ok: false,
      problems: [{ found: '5,000 taps' }],
    })
  })
})

describe('the end of a job', () => {
  it('keeps what stayed, corrects the stock, and remembers what marked and how the tyres gave way', async () => {
    const job = await planned()
    const planAsSeen = seenAt(job)
    let marked = ''
    for (let seconds = 10; ; seconds += 10) {
      const { plan, settled } = replay(planAsSeen, await listRunEvents(database, job.id))
      const step = plan.steps.find(({ id }) => !settled.has(id))
      if (!step) break
      const isFirst = step.corner === 'frontLeft' && !step.addedBecause
      const answer: Record<string, Answer | undefined> = {
        foam: { question: 'foam', foam: isFirst ? 'brown' : 'white' },
        look: {
          question: 'look',
          stayed: step.corner === 'frontLeft' ? [{ zone: 'face', soil: 'mineral' }] : [],
        },
        testSpot: { question: 'testSpot', spot: isFirst ? 'marked' : 'fine' },
        iron: { question: 'iron', iron: 'done' },
      }
      if (step.asks === 'testSpot' && isFirst) marked = sayInEnglish(step.title).split(': ')[1] ?? ''
      expect(await tell(job.id, step.id, seconds, answer[step.asks ?? ''])).toMatchObject({ ok: true })
      expect(seconds).toBeLessThan(2000)
    }
    const before = await listProducts(database)
    const used = before.find(({ family }) => family === 'allPurpose') ?? before[0]!
    const ended = await finishJob(
      database,
      job.id,
      { result: 'someLeft', note: '', used: [{ productId: used.id, isEmptied: true }] },
      at(3000),
    )
    expect(ended).toMatchObject({ ok: true })
    const [visit] = (await listVisits(database, { wheelSetId, size: 5 })).rows
    expect(visit?.leftovers).toEqual([{ position: 'frontLeft', zone: 'face', soil: 'mineral' }])
    expect(visit?.clockSeconds).toBeGreaterThan(60)
    const after = (await listProducts(database)).find(({ id }) => id === used.id)!
    expect(after.stockMillilitres % after.packMillilitres).toBe(0)
    const spots = await listTestSpots(database, wheelSetId)
    expect(marked).not.toBe('')
    expect(spots.some(({ result, productName }) => result === 'marked' && marked.includes(productName))).toBe(
      true,
    )
    const set = await findWheelSet(database, wheelSetId)
    expect(set?.browningFactor).toBeGreaterThan(1)
    // What stayed is offered at the next intake, and what marked is not planned.
    const offer = await intakeOffer(database, set!, at(86_400))
    expect(offer.loads.find(({ position }) => position === 'frontLeft')?.loads.face?.mineral).toBe(2)
    const next = await planned()
    expect(next.jobFile.testSpots.length).toBe(spots.length)
    for (const { productId } of spots.filter(({ result }) => result === 'marked'))
      expect(
        next.plan.stages.filter(({ kind }) => kind !== 'tyre' && kind !== 'arch').map((one) => one.productId),
      ).not.toContain(productId)
  })

  it('takes the correction of the person for what stayed and what was used', async () => {
    const job = await planned()
    const spray = job.plan.stages[0]!
    const steps = job.plan.steps.filter(({ stageId }) => stageId === spray.id)
    let seconds = 10
    for (const { id } of steps) await tell(job.id, id, (seconds += 10))
    const off = job.plan.steps.filter(({ act, corner }) => act === 'rinse' && corner !== null)
    for (const { id } of off) await tell(job.id, id, (seconds += 10))
    const before = (await listProducts(database)).find(({ id }) => id === spray.productId)!.stockMillilitres
    const ended = await finishJob(
      database,
      job.id,
      {
        result: 'notClean',
        note: '',
        leftovers: [{ position: 'frontRight', zone: 'barrel', soil: 'tar' }],
        used: [{ productId: spray.productId, concentrateMillilitres: 77 }],
      },
      at(4000),
    )
    expect(ended).toMatchObject({ ok: true })
    const [visit] = (await listVisits(database, { wheelSetId, size: 5 })).rows
    expect(visit?.leftovers).toEqual([{ position: 'frontRight', zone: 'barrel', soil: 'tar' }])
    expect(visit?.products.find(({ name }) => name === spray.productName)?.concentrateMillilitres).toBe(77)
    const after = (await listProducts(database)).find(({ id }) => id === spray.productId)!.stockMillilitres
    expect(after).toBeCloseTo(before - 77, 6)
  })

  it('keeps how the rinse beaded on what was on, where somebody looked', async () => {
    for (const position of corners)
      await addLayer(
        database,
        wheelSetId,
        { position, kind: 'spraySealant', productName: 'Rinse Glass', appliedAt: at(-40 * 86_400) },
        null,
      )
    const job = await planned()
    let seconds = 10
    for (const { id, asks, corner } of job.plan.steps) {
      const answer: Answer | undefined =
        asks === 'look'
          ? { question: 'look', stayed: [], ...(corner === 'frontLeft' ? { beading: 1 } : {}) }
          : undefined
      await tell(job.id, id, (seconds += 10), answer)
    }
    expect(await finishJob(database, job.id, { result: 'clean', note: '' }, at(6000))).toMatchObject({
      ok: true,
    })
    expect(await listLooks(database, wheelSetId)).toMatchObject([{ positions: ['frontLeft'], beading: 1 }])
  })
})
