import { wheelGeometry, type WheelGeometry, type WheelMeasures } from '@/core/wheel-geometry'
import type { FinishState } from '@/core/finishes/finishState'
import type { Condition, Finish } from '@/core/finishes/finish'
import type { Position } from '@/core/wheel/position'
import type { FinishZone } from '@/core/wheel/zone'

/** What the drawing of one wheel needs; plain data that crosses from server to browser. */
export interface DrawnWheel {
  readonly position: Position
  readonly wheel: WheelGeometry
  readonly finishes: Partial<Record<FinishZone, FinishState>>
}

/** A wheel as it is entered. */
export interface WheelEntryLike extends WheelMeasures {
  readonly position: Position
  readonly finishes: readonly {
    readonly zone: FinishZone
    readonly finish: Finish
    readonly condition: Condition
  }[]
}

/** The drawable form of a wheel; null while its measures cannot be a wheel. */
export function drawnWheel(entry: WheelEntryLike): DrawnWheel | null {
  const wheel = wheelGeometry(entry)
  if (!wheel.ok) return null
  return {
    position: entry.position,
    wheel: wheel.value,
    finishes: Object.fromEntries(
      entry.finishes.map(({ zone, finish, condition }) => [zone, { finish, condition }]),
    ),
  }
}

export const drawnWheels = (entries: readonly WheelEntryLike[]): DrawnWheel[] =>
  entries.flatMap((entry) => drawnWheel(entry) ?? [])
