import { describe, expect, it } from 'vitest'
import { fourCorners, testJob } from '@/core/job/testJob'
import type { Step } from '@/core/plan/plan'
import type { Lag, SequenceProblem } from '@/core/sequence/problem/problem'
import { scheduleOf } from '@/core/sequence/problem/schedule'
import { faultsOf } from '@/core/sequence/problem/verify'
import { mistedOrder, waitingFor, withSpareMists } from './spareMists'

const job = testJob(fourCorners({}))
const filmSeconds = 64
const brushSeconds = 20

/** A spray that is over and the brush that has to wait for it. */
function sprayedAgo(seconds: number, dwellSeconds: number): { problem: SequenceProblem; lags: Lag[] } {
  const lags: Lag[] = [
    { from: 0, to: 1, minSeconds: dwellSeconds, maxSeconds: null, why: 'dwell' },
    { from: 0, to: 1, minSeconds: 0, maxSeconds: filmSeconds - brushSeconds, why: 'wet' },
  ]
  const operations = [
    { id: 0, place: 0, name: 'Spray', durationSeconds: 10, tool: 'sprayer' },
    { id: 1, place: 0, name: 'Brush', durationSeconds: brushSeconds, tool: 'brush' },
  ]
  return {
    lags,
    problem: {
      places: ['front left'],
      operations,
      lags,
      people: 1,
      peoplePerPlace: 2,
      singleTools: [],
      walkSeconds: [[0]],
      toolChangeSeconds: 4,
      done: new Map([[0, -seconds]]),
    },
  }
}

const steps = [{ wetLimitSeconds: filmSeconds }, {}] as unknown as Step[]

describe('mists beyond the plan', () => {
  it.each([
    { ago: 1, dwell: 40, count: 0, of: 'a dwell shorter than the film' },
    { ago: 1, dwell: 90, count: 1, of: 'a dwell longer than the film' },
    { ago: 1, dwell: 170, count: 2, of: 'a dwell of more than two films' },
    { ago: 60, dwell: 90, count: 0, of: 'a film that is dry before anybody is there' },
  ])('$count for $of', ({ ago, dwell, count }) => {
    const { problem, lags } = sprayedAgo(ago, dwell)
    const { mists, problem: misted } = withSpareMists(job, problem, steps, lags)
    expect(mists).toHaveLength(count)
    for (const { id } of mists) expect(waitingFor(id, mists)).toBe(1)
    const operations = mistedOrder([1], mists)
    const schedule = scheduleOf(misted, { operations, people: operations.map(() => 0) })
    if (count > 0) expect(schedule && faultsOf(misted, schedule)).toEqual([])
  })

  it('leave a problem without films as it is', () => {
    const { problem } = sprayedAgo(1, 90)
    const dry = { ...problem, lags: problem.lags.slice(0, 1) }
    expect(withSpareMists(job, dry, steps, dry.lags)).toEqual({ problem: dry, mists: [] })
  })
})
