import { says } from '@/core/message/testSays'
import { inEnglish } from '@/i18n/testEnglish'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { fourCorners, testJob } from '@/core/job/testJob'
import { serviceIds } from '@/core/visit-kinds/service'
import { defaultMethods } from '@/core/methods/methods'
import type { Grade } from '@/core/soils/soil'
import { calmShare, restlessShare } from './calmSequence'
import { planInOrder } from './orderPlan'

const jobOf = (
  film: Grade,
  dust: Grade,
  service: (typeof serviceIds)[number],
  people: number,
  order: 'calm' | 'tight' = 'calm',
) =>
  testJob(
    fourCorners({
      loads: {
        face: { film, freshDust: dust },
        barrel: { film, freshDust: dust },
        tyre: { tyreBrowning: 1 },
        arch: { film },
      },
    }),
    { service, crew: { people }, methods: { ...defaultMethods, order } },
  )

describe('the order that is shown first', () => {
  it('is within what a calm order may take, has no more changes, and says so in two sentences at the most', () => {
    fc.assert(
      fc.property(
        fc.constantFrom<Grade>(0, 1, 2, 3),
        fc.constantFrom<Grade>(0, 1, 2, 3),
        fc.constantFrom(...serviceIds),
        fc.constantFrom(1, 2),
        (film, dust, service, people) => {
          const { sequence } = inEnglish(
            planInOrder(jobOf(film, dust, service, people), people === 1 ? 4000 : 8000),
          )
          const pattern = sequence?.pattern
          if (!sequence || !pattern) return
          const around = sequence.endSeconds - pattern.seconds
          const shortest = around + pattern.shortestSeconds
          const isRestless = pattern.shortestWheelChanges > 4 * pattern.wheelChanges
          expect(sequence.endSeconds).toBeLessThanOrEqual(
            Math.ceil(shortest * (isRestless ? restlessShare : calmShare)),
          )
          if (/^Two wheels at a time/.test(pattern.sentences[0] ?? ''))
            expect(pattern.wheelChanges).toBeGreaterThan(3)
          expect(pattern.sentences.length).toBeGreaterThan(0)
          expect(pattern.sentences.length).toBeLessThanOrEqual(2)
          for (const text of pattern.sentences) expect(text).toMatch(/^[A-Z].*[^ ,]\.$/)
          expect(pattern.sentences.join(' ')).not.toMatch(/undefined|null| {2}|, ,/)
          expect(pattern.kind === 'free').toBe(pattern.because !== null)
          const ids = sequence.cards.flatMap(({ taps }) => taps.flatMap(({ stepIds }) => stepIds))
          expect([...ids].sort()).toEqual(sequence.entries.map(({ stepId }) => stepId).sort())
        },
      ),
      { numRuns: 25 },
    )
  })

  it('is said as it is worked', () => {
    const { sequence } = planInOrder(jobOf(1, 1, 'maintain', 1))
    expect(sequence?.pattern?.kind).toBe('pattern')
    const [first] = sequence?.pattern?.sentences ?? []
    expect(['order.way.clockwise', 'order.detours.walk'].some((key) => says(first, key))).toBe(true)
  })

  it('is the shortest where the shop wants that', () => {
    const [calm, tight] = (['calm', 'tight'] as const).map(
      (order) => planInOrder(jobOf(1, 1, 'maintain', 1, order)).sequence,
    )
    expect(tight?.pattern?.kind).toBe('shortest')
    expect(tight?.endSeconds ?? 0).toBeLessThanOrEqual(calm?.endSeconds ?? 0)
    expect(tight?.pattern?.wheelChanges ?? 0).toBeGreaterThanOrEqual(calm?.pattern?.wheelChanges ?? 0)
  })
})
