import type { GroupChoice } from '@/core/choice/chooseForGroup'
import { amountAt, targetAmount, wheelSoils } from '@/core/choice/need'
import { positionsOf } from '@/core/choice/wheelGroup'
import { leftOf } from '@/core/efficacy/removal'
import type { Job } from '@/core/job/job'
import { services } from '@/core/visit-kinds/service'
import type { Position } from '@/core/wheel/position'
import type { Version } from './version'
import type { SoilCourse, Stage } from '@/core/plan/plan'
import { onWheel } from '@/core/reasons/summary'
import { groupStages } from '@/core/choice/wheelStages'

/** What stays of each soil, worst zone of each group, before and after every stage. */
export function soilCourses(job: Job, choices: readonly GroupChoice[], version: Version): SoilCourse[] {
  const { targets } = services[job.service]
  return choices.flatMap((choice, index) => {
    const found = version.whole.perGroup[index]
    if (!found) return []
    const positions = positionsOf(choice.group)
    const stages = groupStages(choice, found)
    return wheelSoils.flatMap((soil, at): SoilCourse[] => {
      const zones = choice.group.zones.filter((zone) => amountAt(choice.group, zone, soil) > 0)
      if (zones.length === 0) return []
      const leftAfter = (exponent: number) => {
        const all = zones.map((zone) =>
          leftOf(
            amountAt(choice.group, zone, soil),
            exponent * (choice.group.mechanics.get(zone) ?? 1),
            job.estimates,
          ),
        )
        const worst = (read: (left: (typeof all)[number]) => number) => Math.max(...all.map(read))
        return {
          expected: worst((left) => left.expected),
          low: worst((left) => left.low),
          high: worst((left) => left.high),
        }
      }
      let sum = 0
      const target = targets[soil]
      const ids = stageIdsInOrder(version.stages, stages, positions[0] as Position)
      return [
        {
          corners: positions,
          soil,
          target: target === undefined ? null : targetAmount(target, job.estimates),
          left: [
            { stageId: null, ...leftAfter(0) },
            ...stages.map((stage, order) => {
              sum += stage.effect[at] ?? 0
              return { stageId: ids[order] ?? null, ...leftAfter(sum) }
            }),
          ],
        },
      ]
    })
  })
}

/** Ids of the built stages that the stages of one group became, in order. */
function stageIdsInOrder(
  built: readonly Stage[],
  stages: ReturnType<typeof groupStages>,
  position: Position,
): string[] {
  const mine = built.filter((stage) => onWheel(stage) && stage.corners.includes(position))
  return stages.map(({ option }) => mine.find(({ productId }) => productId === option.product.id)?.id ?? '')
}
