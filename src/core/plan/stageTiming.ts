import type { Said } from '@/core/message/message'
import type { Position } from '@/core/wheel/position'

/** How a stage is worked at one wheel so that nothing dries. */
export interface StageTiming {
  readonly stageId: string
  readonly corner: Position
  readonly surfaceCelsius: number
  readonly isMeasured: boolean
  /** Since the last wetting; null: nothing dries in these conditions. */
  readonly wetLimitSeconds: number | null
  /** Since the first spray, by the label. */
  readonly labelMaxSeconds: number
  /** 1: the whole wheel at once; 2, 3, 4: half, third, quarter by quarter. */
  readonly sections: number
  /** The parts are zones, barrel and backs before face and details; absent: sectors of the whole wheel. */
  readonly isByZones?: boolean
  /** What is reached late is sprayed as one comes to it, and one rinse takes all of it; absent: all is sprayed at once. */
  readonly isStaggered?: boolean
  /** Put on so often before the one rinse, each time all over what is on: absent: once. */
  readonly freshCoats?: number
  /** Fine mists that keep it wet until the brush comes, per section. */
  readonly mists: number
  /** Nothing fits: do not start. */
  readonly isNotNow: boolean
  /** Why it is worked so, and what would change it. */
  readonly text: Said
}
