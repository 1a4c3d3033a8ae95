import { message } from '@/core/message/message'
import { fail, showFound, succeed, type Result } from '@/core/result'
import { exp, log } from '@/core/quantity/portableMath'

/** Two readings of a brake, some minutes apart. */
export interface BrakeReadings {
  readonly firstCelsius: number
  readonly secondCelsius: number
  readonly minutesApart: number
}

export interface Cooling {
  /** Time constant, minutes. */
  readonly tauMinutes: number
  /** From the second reading until it is cool enough; 0 if it is. */
  readonly waitMinutes: number
}

/**
 * Newton cooling through two readings: τ = Δt / ln((T1 − T_a) / (T2 − T_a)), wait τ ln((T2 − T_a) / (T_ok − T_a)).
 * @param okCelsius cool enough to wet; above the air
 */
export function coolingOf(readings: BrakeReadings, airCelsius: number, okCelsius: number): Result<Cooling> {
  const { firstCelsius, secondCelsius, minutesApart } = readings
  if (okCelsius <= airCelsius)
    return fail({
      path: 'okCelsius',
      found: showFound(okCelsius),
      fix: message('measures.brakes.airTooWarm', { air: { celsius: airCelsius } }),
    })
  if (secondCelsius <= okCelsius) return succeed({ tauMinutes: 0, waitMinutes: 0 })
  if (!(minutesApart > 0))
    return fail({
      path: 'minutesApart',
      found: showFound(minutesApart),
      fix: message('measures.brakes.minutes'),
    })
  if (secondCelsius >= firstCelsius)
    return fail({
      path: 'secondCelsius',
      found: showFound(secondCelsius),
      fix: message('measures.brakes.notCooling'),
    })
  const tauMinutes = minutesApart / log((firstCelsius - airCelsius) / (secondCelsius - airCelsius))
  return succeed({
    tauMinutes,
    waitMinutes: tauMinutes * log((secondCelsius - airCelsius) / (okCelsius - airCelsius)),
  })
}

/** Temperature some minutes after the second reading, °C. */
export const coolingCelsius = (
  secondCelsius: number,
  airCelsius: number,
  tauMinutes: number,
  minutes: number,
): number =>
  tauMinutes === 0 ? secondCelsius : airCelsius + (secondCelsius - airCelsius) * exp(-minutes / tauMinutes)
