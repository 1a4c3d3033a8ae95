import type { Quantity } from './message'
import type { Unit } from './unit'

/** A number with the unit it is kept in, as a quantity that everybody is told in their own; null: it is counted in the same everywhere. */
export function quantityIn(value: number, unit: Unit): Quantity | null {
  switch (unit) {
    case 'ml':
      return { millilitres: value }
    case 'l':
    case 'litres':
      return { litres: value }
    case 'litresPerMinute':
      return { litresPerMinute: value }
    case 'mm':
      return { millimetres: value }
    case 'km':
      return { kilometres: value }
    case 'kmPerHour':
      return { kilometresPerHour: value }
    case 'celsius':
      return { celsius: value }
    case 'bar':
      return { bar: value }
    case 'newtonMetres':
      return { newtonMetres: value }
    case 'ppm':
      return { ppm: value }
    default:
      return null
  }
}
