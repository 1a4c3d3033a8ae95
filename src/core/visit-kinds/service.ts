import { isWinter } from '@/core/soils/winter'
import type { Soil } from '@/core/soils/soil'

export const serviceIds = [
  'quickRound', 'maintain', 'coatedMaintenance', 'winter', 'waterless', 'decontaminate', 'restore', 'wheelsOff',
] as const // prettier-ignore
export type ServiceId = (typeof serviceIds)[number]

export type Target = 'maintained' | 'decontaminated'

/** What a visit is for. It sets targets and stages, not recipes. */
export interface Service {
  /** Of one person at a car of middling size, for a day's load before the log knows better. House estimate. */
  readonly usualMinutes: number
  /** How clean each soil has to get; a soil that is not named may stay. */
  readonly targets: Partial<Record<Soil, Target>>
  readonly arches: 'byMethod' | 'always' | 'never'
  readonly tyres: boolean
  readonly water: boolean
  /** What is put on at the end. */
  readonly protection: 'layer' | 'topUp' | 'coat' | 'none'
  /** Barrels and backs are reached from behind. */
  readonly wheelsOff: boolean
  /** A visit between visits: light hands, tyres wiped with the same suds. */
  readonly isQuick?: boolean
  /** Bare metal is polished where the cabinet has a polish. */
  readonly polishes?: boolean
  /** Hardest chemistry only where nothing milder does it. */
  readonly sparesProtection: boolean
}

const surface: Partial<Record<Soil, Target>> = {
  grit: 'maintained',
  film: 'maintained',
  freshDust: 'maintained',
  organic: 'maintained',
  tyreBrowning: 'maintained',
}
const everything: Partial<Record<Soil, Target>> = {
  grit: 'decontaminated',
  film: 'decontaminated',
  freshDust: 'decontaminated',
  bondedDust: 'decontaminated',
  tar: 'decontaminated',
  mineral: 'decontaminated',
  organic: 'decontaminated',
  tyreBrowning: 'maintained',
}

export const services: Record<ServiceId, Service> = {
  quickRound: { usualMinutes: 20, targets: { grit: 'maintained', film: 'maintained', freshDust: 'maintained', organic: 'maintained' },
    arches: 'never', tyres: false, water: true, protection: 'topUp', wheelsOff: false, sparesProtection: true, isQuick: true,
  },
  maintain: { usualMinutes: 55, targets: surface, arches: 'byMethod', tyres: true, water: true, protection: 'layer',
    wheelsOff: false, sparesProtection: true,
  },
  coatedMaintenance: { usualMinutes: 60, targets: { ...surface, mineral: 'maintained' }, arches: 'byMethod', tyres: true,
    water: true, protection: 'topUp', wheelsOff: false, sparesProtection: true,
  },
  winter: { usualMinutes: 65, targets: surface, arches: 'always', tyres: true, water: true, protection: 'layer',
    wheelsOff: false, sparesProtection: true,
  },
  waterless: { usualMinutes: 20, targets: { film: 'maintained', freshDust: 'maintained' }, arches: 'never', tyres: false,
    water: false, protection: 'none', wheelsOff: false, sparesProtection: true,
  },
  decontaminate: { usualMinutes: 110, targets: everything, arches: 'byMethod', tyres: true, water: true, protection: 'layer',
    wheelsOff: false, sparesProtection: false,
  },
  restore: { usualMinutes: 180, targets: everything, arches: 'always', tyres: true, water: true, protection: 'coat',
    wheelsOff: false, sparesProtection: false, polishes: true,
  },
  wheelsOff: { usualMinutes: 200, targets: everything, arches: 'always', tyres: true, water: true, protection: 'coat',
    wheelsOff: true, sparesProtection: false, polishes: true,
  },
} // prettier-ignore

/** After a break as long as this the wheels want more than a maintenance wash, days. House estimate. */
const longBreakDays = 75

/**
 * The service to offer: a first visit decontaminates, and so does one after a long break; the others keep it mild.
 * @param daysSinceLast days since the last visit; null where there was none
 * @param coated a ceramic coating is on the wheels
 * @param month 1 to 12
 * @param northern whether winter is around January
 */
export function offeredService(
  daysSinceLast: number | null,
  coated: boolean,
  month: number,
  northern = true,
): ServiceId {
  if (daysSinceLast === null || daysSinceLast > longBreakDays) return 'decontaminate'
  if (coated) return 'coatedMaintenance'
  return isWinter(month, northern) ? 'winter' : 'maintain'
}
