import { says } from '@/core/message/testSays'
import { describe, expect, it } from 'vitest'
import { plainConditions } from '@/core/conditions/conditions'
import { defaultMethods } from '@/core/methods/methods'
import { fourCorners, testJob } from '@/core/job/testJob'
import { makePlan } from '@/core/planning/makePlan'
import { faultsOf } from '@/core/sequence/problem/verify'
import { betterOrders, orderPlan, planInOrder, takeOrder } from './orderPlan'
import { planProblem } from './planProblem'
import { walkSecondsBetween } from './walking'
import { isLong } from '@/core/job/testLong'

const loads = {
  face: { film: 2, freshDust: 3 },
  barrel: { film: 2, bondedDust: 3 },
  tyre: { tyreBrowning: 1 },
} as const
const job = testJob(fourCorners({ loads }))
const effort = 4000

describe('a plan in order', () => {
  it('has every step once, in order of time, and is no longer than wheel after wheel', () => {
    const plain = makePlan(job)
    const plan = orderPlan(job, plain, effort)
    expect(plan.steps.map(({ id }) => id).sort()).toEqual(plain.steps.map(({ id }) => id).sort())
    expect(plan.sequence?.entries.map(({ stepId }) => stepId)).toEqual(plan.steps.map(({ id }) => id))
    const { endSeconds, plainSeconds, lowerBoundSeconds } = plan.sequence as NonNullable<typeof plan.sequence>
    expect(endSeconds).toBeLessThanOrEqual(plainSeconds)
    expect(lowerBoundSeconds).toBeLessThanOrEqual(endSeconds)
  })

  it('holds against the verifier, for one person and for two', () => {
    for (const people of [1, 2]) {
      const crew = { ...job, crew: { people } }
      const plan = orderPlan(crew, makePlan(crew), effort)
      const made = planProblem(crew, plan)
      const byId = new Map(plan.sequence?.entries.map((entry) => [entry.stepId, entry]))
      const lead = Math.max(0, ...made.before.map(({ id }) => byId.get(id)?.endSeconds ?? 0))
      const startSeconds = made.steps.map(({ id }) => (byId.get(id)?.startSeconds ?? NaN) - lead)
      const person = made.steps.map(({ id }) => byId.get(id)?.person ?? -1)
      const ends = startSeconds.map(
        (start, id) => start + (made.problem.operations[id]?.durationSeconds ?? 0),
      )
      expect(faultsOf(made.problem, { makespanSeconds: Math.max(...ends), startSeconds, person })).toEqual([])
    }
  })

  it.each(
    (['maintain', 'decontaminate', 'restore'] as const).flatMap((service) =>
      [1, 2].flatMap((people) => [8, 24].map((airCelsius) => ({ service, people, airCelsius }))),
    ),
  )('is never longer than wheel after wheel: %o', ({ service, people, airCelsius }) => {
    const one = testJob(fourCorners({ loads }), {
      service,
      crew: { people },
      conditions: plainConditions({ airCelsius }),
    })
    const { sequence } = planInOrder(one, isLong ? undefined : effort)
    expect(sequence?.endSeconds).toBeLessThanOrEqual(sequence?.plainSeconds ?? 0)
    expect(new Set(sequence?.entries.map(({ person }) => person)).size).toBe(people)
  })

  it('gives the same order for the same job', () => {
    expect(planInOrder(job, effort)).toEqual(planInOrder(job, effort))
  })

  it('takes one wheel at a time where the shop wants it so', () => {
    const plan = planInOrder({ ...job, methods: { ...defaultMethods, sprayed: 'oneAtATime' } }, effort)
    expect(says(plan.sequence?.text, 'order.fewer.oneAtATime')).toBe(true)
    const corners = plan.steps.filter(({ corner }) => corner !== null).map(({ corner }) => corner)
    const changes = corners.filter((corner, at) => at > 0 && corner !== corners[at - 1]).length
    // Round once with chemistry and once more to dry and protect.
    expect(changes).toBe(7)
  })

  it('washes the body in between where the shop wants it so', () => {
    const plan = planInOrder({ ...job, methods: { ...defaultMethods, wheelsOrder: 'between' } }, effort)
    const at = plan.steps.flatMap(({ act }, index) => (act === 'body' ? [index] : []))
    expect(at).toHaveLength(4)
    const lastWheel = plan.steps.findLastIndex(({ corner }) => corner !== null)
    expect(at[0]).toBeLessThan(lastWheel)
  })

  it('lets a hot wheel cool before anything wet comes to it', () => {
    const hot = { position: 'frontLeft', firstCelsius: 200, secondCelsius: 160, minutesApart: 6 } as const
    const plan = planInOrder({ ...job, conditions: plainConditions({ brakes: [hot] }) }, effort)
    const starts = (corner: string) =>
      Math.min(
        ...(plan.sequence?.entries ?? []).flatMap((entry) =>
          entry.stepId.startsWith(`${corner}.`) ? [entry.startSeconds] : [],
        ),
      )
    expect(starts('frontLeft')).toBeGreaterThan(40 * 60)
    expect(starts('frontRight')).toBeLessThan(10 * 60)
  })

  it('keeps a step where it was put, and says when it cannot be there', () => {
    const plan = planInOrder(job, effort)
    const look = plan.sequence?.entries.findLast(({ stepId }) => stepId.endsWith('.lookAgain'))
    const later = (look?.startSeconds ?? 0) + 240
    const wished = (startSeconds: number, stepId: string) =>
      planInOrder({ ...job, wishes: { ...job.wishes, placed: [{ stepId, startSeconds }] } }, effort)
    const put = wished(later, look?.stepId ?? '').sequence?.entries.find(
      ({ stepId }) => stepId === look?.stepId,
    )
    expect(put?.startSeconds).toBeGreaterThanOrEqual(later)
    expect(put?.startSeconds).toBeLessThanOrEqual(later + 60)
    const rinse = plan.sequence?.entries.find(({ stepId }) => stepId.includes('.rinse'))
    expect(says(wished(0, rinse?.stepId ?? '').sequence?.text, 'order.misplaced')).toBe(true)
    const dry = plan.sequence?.entries.find(({ stepId }) => stepId.endsWith('.dry'))
    expect(says(wished(600, dry?.stepId ?? '').sequence?.text, 'order.misplaced')).toBe(true)
  })
})

it('walks round the vehicle: beside is near, across and along is far', () => {
  expect(walkSecondsBetween('frontLeft', 'frontRight', 6)).toBe(6)
  expect(walkSecondsBetween('frontLeft', 'rearRight', 6)).toBe(12)
  expect(walkSecondsBetween('rearLeft', 'rearLeftInner', 6)).toBe(1)
})

describe('looking on for a better order', () => {
  it('yields shorter and shorter plans of the same steps, or surer ones', () => {
    const first = planInOrder(job).sequence
    let end = first?.endSeconds ?? 0
    let bound = first?.lowerBoundSeconds ?? 0
    let found = 0
    for (const better of betterOrders(job, 60_000)) {
      if (!better?.sequence) continue
      found += 1
      const { endSeconds, lowerBoundSeconds, entries, plainSeconds } = better.sequence
      expect(endSeconds < end || (endSeconds === end && lowerBoundSeconds > bound)).toBe(true)
      expect(entries.map(({ stepId }) => stepId).sort()).toEqual(
        first?.entries.map(({ stepId }) => stepId).sort(),
      )
      expect(plainSeconds).toBe(first?.plainSeconds)
      end = endSeconds
      bound = lowerBoundSeconds
    }
    expect(found).toBeGreaterThan(0)
  })

  it('takes a better order from elsewhere as it stands, and refuses one that breaks something', () => {
    const better = [...betterOrders(job, 60_000)].findLast((one) => one !== null)?.sequence
    if (!better) throw new Error('nothing better')
    expect(takeOrder(job, better.entries)?.sequence?.endSeconds).toBe(better.endSeconds)
    const [dwelt] = better.entries.filter(({ stepId }) => stepId.includes('.agitate'))
    const early = better.entries.map((entry) =>
      entry === dwelt
        ? { ...entry, startSeconds: 0, endSeconds: entry.endSeconds - entry.startSeconds }
        : entry,
    )
    expect(takeOrder(job, early)).toBeNull()
    expect(
      takeOrder(
        job,
        better.entries.slice(1).filter(({ stepId }) => !stepId.includes('.spray')),
      ),
    ).toBeNull()
    const late = better.entries.map((entry) => ({ ...entry, startSeconds: entry.startSeconds + 4000 }))
    expect(takeOrder(job, late)).toBeNull()
  })
})
