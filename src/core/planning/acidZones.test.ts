import fc from 'fast-check'
import { expect, it } from 'vitest'
import { anyPoorJob } from '@/core/job/testAnyJob'
import { testJob, fourCorners } from '@/core/job/testJob'
import type { Corner } from '@/core/job/job'
import { worstGrade } from '@/core/soils/zoneLoads'
import { wheelZones, type Zone } from '@/core/wheel/zone'
import { makePlan } from './makePlan'
import { planOnce } from './testPlans'
import { times } from '@/core/job/testLong'

const front: readonly Zone[] = ['face', 'lip', 'windows', 'lugSeats', 'cap', 'valve']
const behind: readonly Zone[] = ['barrel', 'spokeBacks', 'windows', 'caliper']

const scaleAt = (corner: Corner, zones: readonly Zone[]): boolean =>
  worstGrade([corner], zones, 'mineral') > 0

it(
  'acid shampoo goes to no side of a wheel where there is no scale, but over a coating all round',
  () => {
    fc.assert(
      fc.property(anyPoorJob, (job) => {
        for (const stage of planOnce(job).stages) {
          const corners = job.corners.filter(({ position }) => stage.corners.includes(position))
          const isCoated = corners.some(({ protection }) => protection.includes('ceramicCoating'))
          const hasScale = corners.some((corner) => scaleAt(corner, wheelZones))
          if (stage.family !== 'acidShampoo' || isCoated || !hasScale) continue
          for (const zone of stage.zones) {
            const sides = [front, behind].filter((side) => side.includes(zone))
            const has = corners.some((corner) => sides.some((side) => scaleAt(corner, side)))
            expect([zone, has]).toEqual([zone, true])
          }
        }
      }),
      { numRuns: 60 * times },
    )
  },
  60_000 * times,
)

it('scale on the lip alone takes less time than scale all over', () => {
  const minutes = (zones: readonly Zone[]): number => {
    const loads = Object.fromEntries(zones.map((zone) => [zone, { film: 1, mineral: 2 } as const]))
    const { stages } = makePlan(testJob(fourCorners({ loads: { barrel: { film: 1 }, ...loads } })))
    const stage = stages.find(({ family }) => family === 'acidShampoo')
    expect(stage?.zones.includes('barrel')).toBe(zones.includes('barrel'))
    return (stage?.operatorSeconds ?? 0) / 60
  }
  const [lip, all] = [minutes(['lip']), minutes(['lip', 'face', 'barrel'])]
  expect(lip).toBeGreaterThan(0)
  expect(lip).toBeLessThan(0.75 * all)
})
