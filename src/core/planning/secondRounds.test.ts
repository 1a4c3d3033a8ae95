import { describe, expect, it } from 'vitest'
import { fourCorners, testJob } from '@/core/job/testJob'
import type { SoilCourse } from '@/core/plan/plan'
import type { Grade } from '@/core/soils/soil'
import { makePlan } from './makePlan'
import { shareLeft } from './secondRounds'

const course = (before: number, after: number, target: number | null = 0.5): SoilCourse => ({
  corners: ['frontLeft'],
  soil: 'film',
  target,
  left: [
    { stageId: null, expected: before, low: before, high: before },
    { stageId: 'wash-1', expected: after, low: after, high: after },
  ],
})

describe('how likely something is left', () => {
  it.each([
    ['a light grade is expected: even', course(8, 1), 0.5, 0.01],
    ['hardly anything is expected', course(8, 0.1), 0.05, 0.03],
    ['twice a light grade: likely', course(8, 2), 0.94, 0.05],
    ['clear dirt leaves spots at most', course(2, 1), 0, 0],
    ['nothing is wanted of it', course(8, 1, null), 0, 0],
  ])('%s', (_, of, share, within) => {
    expect(Math.abs(shareLeft(of, {}) - share)).toBeLessThanOrEqual(within)
  })
})

describe('a second round', () => {
  const planOf = (film: Grade) =>
    makePlan(testJob(fourCorners({ loads: { face: { film }, barrel: { film } } })))
  it('is named with its minutes where it is likely, and nowhere else', () => {
    expect(planOf(1).secondRounds ?? []).toEqual([])
    for (const grade of [1, 2, 3, 4] as const) {
      const plan = planOf(grade)
      for (const one of plan.secondRounds ?? []) {
        expect(one.share).toBeGreaterThanOrEqual(0.25)
        expect(one.seconds).toBeGreaterThan(60)
        expect(plan.stages.find(({ id }) => id === one.stageId)?.rounds).toBe(1)
      }
    }
  })
})
