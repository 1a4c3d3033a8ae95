import fc from 'fast-check'
import { describe, expect, it, vi } from 'vitest'
import { questionOf } from '@/core/cards/cardsOf'
import { finishes, type Finish } from '@/core/finishes/finish'
import type { Job } from '@/core/job/job'
import { fourCorners, testJob } from '@/core/job/testJob'
import { orderPlan } from '@/core/order/orderPlan'
import { remainingOf } from '@/core/rescheduling/remaining'
import { resume, urgentEffort } from '@/core/rescheduling/resume'
import { settledSteps, type SettledStep } from '@/core/rescheduling/settledSteps'
import { keepWhatCanBeKept } from '@/core/rescheduling/urgent'
import { makePlan } from '@/core/planning/makePlan'
import type { Plan, Step } from '@/core/plan/plan'
import { foams, ironSights, spotSights, type Answer } from '@/core/run/answer'
import { replay } from '@/core/run/runState'
import { Draws } from '@/core/sequence/problem/seededRandom'
import { serviceIds } from '@/core/visit-kinds/service'
import { soils, type Grade } from '@/core/soils/soil'
import { zones } from '@/core/wheel/zone'
import { jobOutcome } from './jobOutcome'
import { planAsSeen } from './planAsSeen'
import { foamAnswer } from './roundPlace'
import { workedThrough } from './testRun'
import { times } from '@/core/job/testLong'

const pick = <T>(draws: Draws, list: readonly T[]): T => list[draws.draw(list.length)] as T

/** A job of any kind of dirt and finish. */
function anyJob(draws: Draws) {
  const grade = (): Grade => draws.draw(5) as Grade
  const finish: Finish = pick(draws, finishes)
  const state = { finish, condition: 'sound' } as const
  const dirt = { film: grade(), freshDust: grade(), bondedDust: grade(), tar: draws.draw(3) as Grade }
  return testJob(
    fourCorners({
      loads: { face: dirt, barrel: dirt, tyre: { tyreBrowning: grade() }, arch: { film: grade() } },
      finishes: { face: state, barrel: state, lip: state, windows: state, cap: state },
    }),
    { service: pick(draws, serviceIds), crew: { people: 1 + draws.draw(2) } },
  )
}

/** Whatever somebody could say, most of it good. */
function anyAnswer(draws: Draws, step: Step): Answer | null {
  const question = questionOf(step)
  if (draws.draw(8) === 0) return null
  switch (question) {
    case 'foam':
      return { question, foam: pick(draws, foams), place: pick(draws, ['now', 'afterRinse'] as const) }
    case 'iron':
      return { question, iron: pick(draws, ironSights) }
    case 'look':
      return {
        question,
        stayed: Array.from({ length: Math.max(0, draws.draw(5) - 2) }, () => ({
          zone: pick(draws, zones),
          soil: pick(draws, soils),
        })),
      }
    case 'testSpot':
      return { question, spot: pick(draws, spotSights) }
    case null:
      return null
    default:
      return question satisfies never
  }
}

/** Limits that run now and are over before the order that the bay shows comes to them, and brush work it leaves out for them. */
function brokenWhenGoneOn(job: Job, plan: Plan, settled: readonly SettledStep[]): number {
  const { made, problem, done } = remainingOf(job, plan, settled)
  const { entries, dropped } = resume(job, plan, settled)
  const starts = new Map(entries.map(({ stepId, startSeconds }) => [stepId, startSeconds]))
  const late = problem.lags.filter(({ from, to, maxSeconds }) => {
    const [ended, start] = [done.get(from), starts.get(made.steps[to]?.id ?? '')]
    return maxSeconds !== null && ended !== undefined && start !== undefined && start - ended > maxSeconds
  })
  return late.length + dropped.length
}

vi.setConfig({ testTimeout: 240_000 * times })

describe('any run with any answers', () => {
  it('ends, with every step that was added worked, nothing left wet, and the same state from the same log', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 1e9 }), (seed) => {
        const draws = new Draws(seed)
        const job = anyJob(draws)
        const plan = makePlan(job)
        const { events, state } = workedThrough(job, plan, (step) => anyAnswer(draws, step))
        for (const { id } of state.plan.steps) expect(state.settled.has(id)).toBe(true)
        expect(state.clocks).toEqual([])
        expect(new Set(state.plan.steps.map(({ id }) => id)).size).toBe(state.plan.steps.length)
        for (const { id } of state.plan.steps) expect(id.length).toBeLessThanOrEqual(120)
        for (const stage of state.plan.stages) expect(stage.verdict).not.toBe('no')
        expect(replay(planAsSeen(job, plan), events)).toEqual(state)
        const { used, leftovers, clockSeconds } = jobOutcome(job, state)
        for (const { concentrateMillilitres } of used) expect(concentrateMillilitres).toBeGreaterThan(0)
        expect(new Set(leftovers.map((one) => JSON.stringify(one))).size).toBe(leftovers.length)
        if (plan.steps.length > 1) expect(clockSeconds).toBeGreaterThan(0)
      }),
      { numRuns: 40 * times },
    )
  })

  it('can be gone on with from any moment, nothing forgotten', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 1e9 }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (seed, share) => {
          const draws = new Draws(seed)
          const job = anyJob(draws)
          const plan = makePlan(job)
          const { events } = workedThrough(job, plan, (step) => anyAnswer(draws, step))
          const some = events.slice(0, Math.floor(share * events.length))
          const state = replay(planAsSeen(job, plan), some)
          const now = (some.at(-1)?.at.getTime() ?? 0) + 20_000
          const { entries, dropped } = resume(job, state.plan, settledSteps(state, now), [], 400)
          const open = state.plan.steps.filter(({ id }) => !state.settled.has(id)).map(({ id }) => id)
          expect([...entries.map(({ stepId }) => stepId), ...dropped].sort()).toEqual(open.sort())
        },
      ),
      { numRuns: 12 * times },
    )
  })
})

describe('a tyre round that is put in at once', () => {
  it('makes nothing late that a rinse before it would have kept', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 1e9 }), fc.integer({ min: 0, max: 120 }), (seed, late) => {
        const draws = new Draws(seed)
        const job = { ...anyJob(draws), service: 'maintain' as const }
        const plan = orderPlan(job, makePlan(job), 300)
        const seen = planAsSeen(job, plan)
        const { events } = workedThrough(job, plan, () => null)
        const at = events.findIndex(({ stepId }) =>
          plan.steps.some(({ id, asks }) => id === stepId && asks === 'foam'),
        )
        const scrub = events[at]
        if (!scrub) return
        const before = events.slice(0, at)
        const last = { stepId: scrub.stepId, at: new Date(scrub.at.getTime() + late * 1000) }
        const brokenBy = (answer: Answer): number => {
          const state = replay(seen, [...before, { ...last, kind: 'answered', answer }])
          return brokenWhenGoneOn(job, state.plan, settledSteps(state, last.at.getTime()))
        }
        const chosen = foamAnswer(job, seen, before, [], last, 'brown')
        const isKeepable = brokenBy({ question: 'foam', foam: 'brown', place: 'afterRinse' }) === 0
        if (isKeepable) expect(brokenBy(chosen)).toBe(0)
      }),
      { numRuns: 15 * times },
    )
  })
})

describe('taps in a burst', () => {
  it('lose no limit that honest times would have kept, nor do those that follow after a pause', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 1e9 }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        fc.integer({ min: 0, max: 15 }),
        (seed, share, more) => {
          const draws = new Draws(seed)
          const any = anyJob(draws)
          const job = {
            ...any,
            crew: { people: 1 },
            conditions: { ...any.conditions, airCelsius: 28, windKilometresPerHour: 12 },
          }
          const plan = orderPlan(job, makePlan(job), 300)
          const { events } = workedThrough(job, plan, () => null)
          const count = Math.floor(share * events.length)
          const some = events.slice(0, count + more)
          const last = some.at(-1)?.at.getTime() ?? 0
          const pause = 8000
          const quick = some.map((event, at) => ({
            ...event,
            at: new Date(last - (some.length - at) * 700 - (at < count ? pause : 0)),
          }))
          const lost = (taps: typeof some): number => {
            const state = replay(planAsSeen(job, plan), taps)
            const { problem } = remainingOf(job, state.plan, settledSteps(state, last + 1000))
            return keepWhatCanBeKept(problem, urgentEffort).lost.length
          }
          if (lost(some) === 0) expect(lost(quick)).toBe(0)
        },
      ),
      {
        numRuns: 25 * times,
        // A spray and its mist in one burst: the brush has to wait for the dwell longer than the film lasts.
        examples: [[365247160, 0, 11]],
      },
    )
  })
})
