import type { Delivery } from '@/core/chemistry/family'
import { estimate, type EstimateOverrides } from '@/core/estimates/houseEstimates'
import { power } from '@/core/quantity/portableMath'

/**
 * Evaporation from a wet surface, kg/m²h. Uno, ACI Materials Journal 95-M34 (1998):
 * E = 5 ([T_s + 18]^2.5 − r [T_a + 18]^2.5) (V + 4) · 10⁻⁶, °C, r from 0 to 1, V in km/h. Zero or less: nothing dries.
 */
export function evaporationKilogramsPerM2Hour(
  surfaceCelsius: number,
  airCelsius: number,
  humidityShare: number,
  windKilometresPerHour: number,
): number {
  const vapour = (celsius: number): number => power(Math.max(0, celsius + 18), 2.5)
  return (
    5 * (vapour(surfaceCelsius) - humidityShare * vapour(airCelsius)) * (windKilometresPerHour + 4) * 1e-6
  )
}

/** Film a delivery leaves on the surface, g/m². House estimates. */
export function filmGramsPerM2(delivery: Delivery, overrides: EstimateOverrides): number {
  switch (delivery) {
    case 'pumpFoamer':
    case 'lance':
    case 'bucket':
      return estimate('filmFoam', overrides)
    case 'brush':
      return estimate('filmGel', overrides)
    default:
      return estimate('filmThin', overrides)
  }
}

/** Time until a film is dry, seconds; infinite where nothing dries. */
export const dryingSeconds = (filmGrams: number, evaporationKilograms: number): number =>
  evaporationKilograms <= 0 ? Infinity : (filmGrams / 1000 / evaporationKilograms) * 3600

/** How long a product stays safely wet, seconds: the drying time with a margin. */
export const wetLimitSeconds = (
  filmGrams: number,
  evaporationKilograms: number,
  overrides: EstimateOverrides,
): number => Math.floor(dryingSeconds(filmGrams, evaporationKilograms) * estimate('wetMargin', overrides))
