import type { Conditions } from '@/core/conditions/conditions'
import { surfaceOfCorner } from '@/core/conditions/conditions'
import type { Delivery } from '@/core/chemistry/family'
import type { EstimateOverrides } from '@/core/estimates/houseEstimates'
import type { Corner } from '@/core/job/job'
import { wetLimitAt } from './timingOf'

/** One hour at one side of the vehicle. */
export interface WorkHour {
  readonly hour: number
  readonly surfaceCelsius: number
  /** Null: nothing dries. */
  readonly wetLimitSeconds: number | null
}

/** The day at one corner: how hot the surface gets and how long a film stays wet. */
export const hoursAt = (
  corner: Pick<Corner, 'position' | 'finishes'>,
  delivery: Delivery,
  conditions: Conditions,
  overrides: EstimateOverrides,
): WorkHour[] =>
  conditions.day.map((hour) => {
    const { seconds } = wetLimitAt(corner, 'wash', delivery, conditions, overrides, hour)
    return {
      hour: hour.hour,
      surfaceCelsius: surfaceOfCorner(corner, conditions, hour).celsius,
      wetLimitSeconds: seconds === Infinity ? null : seconds,
    }
  })

/** The first hour from the start on at which a film stays wet long enough; null where none does today. */
export const firstGoodHour = (
  hours: readonly WorkHour[],
  fromHour: number,
  neededSeconds: number,
): number | null =>
  hours.find(
    ({ hour, wetLimitSeconds }) =>
      hour > fromHour && (wetLimitSeconds === null || wetLimitSeconds >= neededSeconds),
  )?.hour ?? null
