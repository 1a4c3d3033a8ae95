/** Zones of one corner, from outside in. */
export const zones = [
  'arch', 'tyre', 'lip', 'face', 'windows', 'spokeBacks', 'barrel', 'lugSeats', 'cap', 'valve', 'caliper', 'rotor',
] as const // prettier-ignore
export type Zone = (typeof zones)[number]

/** Zones that belong to the wheel itself and have a finish. */
export const wheelZones = [
  'lip',
  'face',
  'windows',
  'spokeBacks',
  'barrel',
  'lugSeats',
  'cap',
  'valve',
] as const satisfies readonly Zone[]

/** Zones that may be protected. Seats and valve stay bare: what lies on a seat lets a nut work loose. */
export const sealedZones: readonly Zone[] = wheelZones.filter(
  (zone) => zone !== 'lugSeats' && zone !== 'valve',
)

/** Zones whose finish a person names; the others follow: backs as the barrel, lugs and valve as the cap. */
export const finishZones = [
  'lip',
  'face',
  'windows',
  'barrel',
  'cap',
  'caliper',
] as const satisfies readonly Zone[]
export type FinishZone = (typeof finishZones)[number]

/** The zone whose finish speaks for this one; null for rubber, liner and rotor. */
export function finishZoneOf(zone: Zone): FinishZone | null {
  switch (zone) {
    case 'spokeBacks':
      return 'barrel'
    case 'lugSeats':
    case 'valve':
      return 'cap'
    case 'arch':
    case 'tyre':
    case 'rotor':
      return null
    default:
      return zone
  }
}
