import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import * as v from 'valibot'
import { makePlan } from '@/core/planning/makePlan'
import type { RunEvent } from '@/core/run/runEvent'
import { jobFormat, readJob } from '@/contracts/jobFile'
import { writePlan, type PlanFile } from '@/contracts/planFile'
import { wheelSetInput } from '@/contracts/wheelSet'
import type { Database } from '../database'
import { openInMemory } from '../openInMemory'
import {
  discardJob,
  findJob,
  latestJobFile,
  listFinishedJobs,
  listOpenJobs,
  markFinished,
  replacePlan,
  storeJob,
} from './jobs'
import { appendRunEvent, listRunEvents, storeRunEvents } from './runEvents'
import { addWheelSet } from './wheelSets'

const wheel = {
  position: 'frontLeft',
  tyreCode: '255/35 R19',
  rimWidthInches: 8.5,
  spokeCount: 10,
  finishes: [{ zone: 'face', finish: 'paintedGloss' }],
} as const
let database: Database
let wheelSetId = ''
const start = new Date('2026-05-01T08:00:00Z')
const at = (minutes: number) => new Date(start.getTime() + minutes * 60_000)

beforeAll(async () => {
  database = await openInMemory()
  wheelSetId = await addWheelSet(
    database,
    v.parse(wheelSetInput, {
      vehicle: { name: 'Orlen Tessaly', kind: 'car' },
      name: 'Summer set',
      wheels: [wheel],
    }),
  )
})
afterAll(() => database.close())

async function newJob(): Promise<{ id: string; steps: readonly string[] }> {
  const read = readJob({
    format: jobFormat,
    corners: [{ ...wheel, loads: [{ zone: 'barrel', soil: 'bondedDust', grade: 2 }] }],
  })
  if (!read.ok) throw new Error(JSON.stringify(read.problems))
  const planFile = JSON.parse(JSON.stringify(writePlan(makePlan(read.value.job)))) as PlanFile
  const id = await storeJob(database, { wheelSetId, jobFile: read.value.file, planFile, plannedFor: null })
  return { id, steps: planFile.steps.map((step) => step.id) }
}
const tap = (
  id: string,
  event: Partial<RunEvent> & { stepId: string },
  requestId: string = crypto.randomUUID(),
) => tapOver(id, { kind: 'done', at: start, ...event }, requestId)

/** As the program does: where another tap was quicker it looks at the job again. */
async function tapOver(id: string, event: RunEvent, requestId: string) {
  for (;;) {
    const rowVersion = (await findJob(database, id))?.rowVersion ?? ''
    const settledCount = (await listRunEvents(database, id)).length + 1
    const { kind } = await appendRunEvent(database, id, { event, requestId, rowVersion, settledCount })
    if (kind !== 'overtaken') return kind
  }
}

describe('taps', () => {
  it('come back as they were stored, in order, with who tapped where that was said', async () => {
    const { id, steps } = await newJob()
    const [one = '', two = ''] = steps
    const events: RunEvent[] = [
      { kind: 'done', stepId: one, at: at(1) },
      { kind: 'skipped', stepId: two, at: at(2), person: 1 },
      { kind: 'undone', stepId: two, at: at(3), person: 0 },
      { kind: 'misted', stepId: one, at: at(4) },
      { kind: 'mistUndone', stepId: one, at: at(5) },
    ]
    for (const event of events) await tap(id, event)
    expect(await listRunEvents(database, id)).toEqual(events)
  })

  it('begin the job with the first of them', async () => {
    const { id, steps } = await newJob()
    await tap(id, { stepId: steps[0] ?? '', at: at(7) })
    await tap(id, { stepId: steps[1] ?? '', at: at(9) })
    expect((await findJob(database, id))?.startedAt).toEqual(at(7))
  })

  it('sent again with the same id are stored once', async () => {
    const { id, steps } = await newJob()
    const requestId = crypto.randomUUID()
    for (let time = 0; time < 3; time += 1) await tap(id, { stepId: steps[0] ?? '' }, requestId)
    expect(await listRunEvents(database, id)).toHaveLength(1)
  })

  it('sent by two devices at once all get a place of their own', async () => {
    const { id, steps } = await newJob()
    await Promise.all(steps.slice(0, 8).map((stepId) => tap(id, { stepId })))
    const stored = await listRunEvents(database, id)
    expect(new Set(stored.map(({ stepId }) => stepId)).size).toBe(8)
  })

  it('over a job that was changed since it was read are not written', async () => {
    const { id, steps } = await newJob()
    const rowVersion = (await findJob(database, id))?.rowVersion ?? ''
    const over = (minutes: number) => {
      const event: RunEvent = { kind: 'done', stepId: steps[0] ?? '', at: at(minutes) }
      return appendRunEvent(database, id, {
        event,
        requestId: crypto.randomUUID(),
        rowVersion,
        settledCount: 1,
      })
    }
    const first = await over(1)
    expect(first).toEqual({ kind: 'stored', rowVersion: (await findJob(database, id))?.rowVersion })
    expect(await over(2)).toEqual({ kind: 'overtaken' })
    expect(await listRunEvents(database, id)).toHaveLength(1)
  })

  it('of a job that is gone are told so', async () => {
    expect(await tap(crypto.randomUUID(), { stepId: 'lookRound' })).toBe('gone')
  })

  it('are refused once the job is in the log', async () => {
    const { id, steps } = await newJob()
    expect(await markFinished(database, id, at(60))).toBe(true)
    expect(await tap(id, { stepId: steps[0] ?? '' })).toBe('closed')
    expect(await listRunEvents(database, id)).toEqual([])
  })

  it.each([
    ['of no kind', { kind: 'wiped' as never }],
    ['of a third person', { person: 2 }],
  ])('%s do not get past the table', async (_, changes) => {
    const { id, steps } = await newJob()
    await expect(tap(id, { stepId: steps[0] ?? '', ...changes })).rejects.toThrow(/violates check/)
    expect(await listRunEvents(database, id)).toEqual([])
  })
})

it('taps of a job worked elsewhere are written all at once and come back the same', async () => {
  const { id, steps } = await newJob()
  const events = steps.map((stepId, index): RunEvent => ({
    kind: 'done',
    stepId,
    at: at(index),
    ...(index % 2 ? { person: 1 } : {}),
  }))
  await storeRunEvents(database, id, events)
  expect(await listRunEvents(database, id)).toEqual(events)
  expect((await findJob(database, id))?.startedAt).toEqual(at(0))
})

describe('open jobs', () => {
  const progressOf = async (id: string) =>
    (await listOpenJobs(database)).find((job) => job.id === id)?.progress

  it('are as far as the count that is written with every tap says', async () => {
    const { id, steps } = await newJob()
    expect(await progressOf(id)).toBe(0)
    const [one = '', two = ''] = steps
    await tap(id, { stepId: one })
    await tap(id, { stepId: two, kind: 'skipped' })
    expect(await progressOf(id)).toBeCloseTo(2 / steps.length)
  })

  it('have those that run before those that wait, and none that are finished', async () => {
    const [running, waiting, finished] = [await newJob(), await newJob(), await newJob()]
    await tap(running.id, { stepId: running.steps[0] ?? '' })
    await markFinished(database, finished.id, at(10))
    const ids = (await listOpenJobs(database)).map(({ id }) => id)
    expect(ids.indexOf(running.id)).toBeLessThan(ids.indexOf(waiting.id))
    expect(ids).not.toContain(finished.id)
  })

  it('can be thrown away while nothing was done, and not after', async () => {
    const [fresh, begun] = [await newJob(), await newJob()]
    await tap(begun.id, { stepId: begun.steps[0] ?? '' })
    await discardJob(database, fresh.id)
    await discardJob(database, begun.id)
    expect(await findJob(database, fresh.id)).toBeNull()
    expect(await findJob(database, begun.id)).not.toBeNull()
  })

  it('take another plan while nothing was done, and not after', async () => {
    const { id, steps } = await newJob()
    const job = await findJob(database, id)
    if (!job) throw new Error('no job')
    const other = { ...job.plan, headline: 'Something else' }
    expect(await replacePlan(database, job, job.jobFile, other)).toBe(true)
    // It was read before the change: what it would write knows nothing of that.
    expect(await replacePlan(database, job, job.jobFile, job.plan)).toBe(false)
    const changed = await findJob(database, id)
    expect(changed?.plan.headline).toBe('Something else')
    await tap(id, { stepId: steps[0] ?? '' })
    expect(await replacePlan(database, changed!, job.jobFile, job.plan)).toBe(false)
    expect((await findJob(database, id))?.plan.headline).toBe('Something else')
  })
})

it('a request id belongs to its job: sent for another one it is refused, and that job is not begun', async () => {
  const [one, other] = [await newJob(), await newJob()]
  const requestId = crypto.randomUUID()
  expect(await tap(one.id, { stepId: one.steps[0] ?? '' }, requestId)).toBe('stored')
  expect(await tap(one.id, { stepId: one.steps[0] ?? '' }, requestId)).toBe('storedBefore')
  expect(await tap(other.id, { stepId: other.steps[0] ?? '' }, requestId)).toBe('ofAnotherJob')
  expect(await listRunEvents(database, one.id)).toHaveLength(1)
  expect((await findJob(database, other.id))?.startedAt).toBeNull()
})

describe('finished jobs', () => {
  it('are finished once, at the first time that is said', async () => {
    const { id } = await newJob()
    expect(await markFinished(database, id, at(30))).toBe(true)
    expect(await markFinished(database, id, at(90))).toBe(false)
    expect((await findJob(database, id))?.finishedAt).toEqual(at(30))
  })

  it('are listed with their taps, the newest first, and no more than asked for', async () => {
    const [older, newer] = [await newJob(), await newJob()]
    await tap(older.id, { stepId: older.steps[0] ?? '', at: at(200), person: 1 })
    await markFinished(database, older.id, at(210))
    await markFinished(database, newer.id, at(300))
    const listed = await listFinishedJobs(database, 2)
    expect(listed.map(({ job }) => job.id)).toEqual([newer.id, older.id])
    expect(listed.map(({ events }) => events)).toEqual([
      [],
      [{ kind: 'done', stepId: older.steps[0], at: at(200), person: 1 }],
    ])
    expect(await listFinishedJobs(database, 1)).toHaveLength(1)
  })
})

it('the next intake begins from the newest job of the set, and from nothing where there is none', async () => {
  const { id } = await newJob()
  expect(await latestJobFile(database, wheelSetId)).toEqual((await findJob(database, id))?.jobFile)
  expect(await latestJobFile(database, '00000000-0000-4000-8000-000000000000')).toBeNull()
})
