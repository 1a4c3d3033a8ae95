import { message, type Message } from '@/core/message/message'
import type { Corner, Job } from '@/core/job/job'
import { services } from '@/core/visit-kinds/service'
import { isInner } from '@/core/wheel/position'
import { wheelZones, type Zone } from '@/core/wheel/zone'

/** Whether a zone can be worked today: it is there, it is not there, nobody gets at it, or nobody said what it is. */
export type ZoneState = 'here' | 'absent' | 'outOfReach' | 'unknown'

export interface ZoneReach {
  readonly state: ZoneState
  /** Why it is not worked, as a sentence; null for a zone that is here. */
  readonly why: Message | null
}

/** What decides over the zones of a wheel. */
export type WheelInPlace = Pick<Corner, 'position' | 'wheel' | 'finishes'>
export type VisitSetup = Pick<Job, 'vehicleKind' | 'service'>

const here: ZoneReach = { state: 'here', why: null }

/** Zones only reached between the spokes; a closed wheel hides them until it is off. */
const behindTheFace: readonly Zone[] = ['barrel', 'spokeBacks', 'windows', 'caliper']

export const isOff = ({ vehicleKind, service }: VisitSetup): boolean =>
  vehicleKind === 'looseSet' || services[service].wheelsOff

function archReach({ position }: WheelInPlace, { vehicleKind }: VisitSetup): ZoneReach {
  if (vehicleKind === 'looseSet') return { state: 'absent', why: message('reasons.skipped.looseArch') }
  if (vehicleKind === 'motorcycle') return { state: 'absent', why: message('reasons.skipped.motorcycleArch') }
  return isInner(position) ? { state: 'absent', why: message('reasons.skipped.innerArch') } : here
}

function caliperReach({ finishes }: WheelInPlace, visit: VisitSetup): ZoneReach {
  if (visit.vehicleKind === 'looseSet')
    return { state: 'absent', why: message('reasons.skipped.looseCaliper') }
  if (isOff(visit)) return { state: 'absent', why: message('reasons.skipped.caliperAtCar') }
  return finishes.caliper === undefined
    ? { state: 'unknown', why: message('reasons.skipped.caliperUnknown') }
    : here
}

/** Whether a zone of a wheel can be worked on a visit, and why not. */
export function zoneReach(zone: Zone, wheel: WheelInPlace, visit: VisitSetup): ZoneReach {
  if (zone === 'arch') return archReach(wheel, visit)
  if (zone === 'rotor')
    return { state: isOff(visit) ? 'absent' : 'outOfReach', why: message('reasons.skipped.disc') }
  if (isInner(wheel.position) && !isOff(visit) && zone !== 'barrel')
    return { state: 'outOfReach', why: message('reasons.skipped.behindOuter') }
  if (zone === 'caliper' && caliperReach(wheel, visit).state !== 'here') return caliperReach(wheel, visit)
  const isClosed = wheel.wheel.spokeCount === 0 && !isOff(visit) && !isInner(wheel.position)
  return isClosed && behindTheFace.includes(zone)
    ? { state: 'outOfReach', why: message('reasons.skipped.closed') }
    : here
}

export const isHere = (zone: Zone, wheel: WheelInPlace, visit: VisitSetup): boolean =>
  zoneReach(zone, wheel, visit).state === 'here'

/** Zones of the wheel that hands work on this visit, the caliper among them. */
export const workedZones = (wheel: WheelInPlace, visit: VisitSetup): Zone[] =>
  [...wheelZones, 'caliper' as const].filter((zone) => isHere(zone, wheel, visit))
