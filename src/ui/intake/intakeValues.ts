import type { ServiceId } from '@/core/visit-kinds/service'
import type { Position } from '@/core/wheel/position'
import type { ConditionsInput } from '@/contracts/conditions'
import type { IntakeDraft } from '@/contracts/intake'
import { placed, type Place } from '../conditions/place'
import { entriesOfLoads, type LoadsByWheel } from './loads'

/** An intake as its form holds it: numbers as they were typed. */
export interface IntakeValues {
  readonly loads: LoadsByWheel
  readonly service: ServiceId
  /** Since the last clean. */
  readonly kilometres: string
  /** Something was graded by hand. */
  readonly touched: boolean
  /** Wheels that are left out today. */
  readonly off: readonly Position[]
  readonly airCelsius: string
  readonly surfaceCelsius: string
  readonly odometer: string
  readonly place: Place
}

/** NaN where nothing was typed, or no number. */
export const numberOf = (text: string): number => (text.trim() === '' ? NaN : Number(text.replace(',', '.')))

/** Farther than this nobody drives between two washes, km. */
const farthestKilometres = 200_000
export const isDrivable = (kilometres: number): boolean => kilometres >= 0 && kilometres <= farthestKilometres

const isTyped = (text: string): boolean => text.trim() !== ''

/**
 * What the form sends; the contract reads it.
 * @param positions of all wheels of the set
 * @param now for the start of the work
 */
export function intakeOf(
  values: IntakeValues,
  positions: readonly Position[],
  conditions: ConditionsInput,
  requestId: string,
  now: Date,
): IntakeDraft {
  const { loads, off, kilometres, odometer, surfaceCelsius } = values
  return {
    requestId,
    corners: positions
      .filter((position) => !off.includes(position))
      .map((position) => ({ position, loads: entriesOfLoads(loads[position] ?? {}) })),
    service: values.service,
    ...(isTyped(kilometres) ? { kilometres: numberOf(kilometres) } : {}),
    ...(isTyped(odometer) ? { odometerKilometres: numberOf(odometer) } : {}),
    conditions: {
      ...conditions,
      airCelsius: numberOf(values.airCelsius),
      ...placed(values.place),
      startAt: now.toISOString(),
      utcOffsetMinutes: -now.getTimezoneOffset(),
      ...(isTyped(surfaceCelsius) ? { surfaceCelsius: numberOf(surfaceCelsius) } : {}),
    },
  }
}
