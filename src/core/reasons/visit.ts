import { message, type Said } from '@/core/message/message'
import { term, terms } from '@/core/message/term'
import type { Corner, Job } from '@/core/job/job'
import type { Shortfall } from '@/core/plan/plan'
import { protectionFacts } from '@/core/protection/kinds'
import { canDry } from '@/core/reachability/means'
import { workedZones } from '@/core/reachability/zoneReach'
import { services } from '@/core/visit-kinds/service'
import type { Grade, Soil } from '@/core/soils/soil'
import { worstGrade } from '@/core/soils/zoneLoads'
import type { Position } from '@/core/wheel/position'
import { wheelZones } from '@/core/wheel/zone'

/** Soils that a mild visit leaves on the wheel. */
const lastingSoils = ['bondedDust', 'mineral', 'tar'] as const satisfies readonly Soil[]

/** Until when what stays may wait, by its grade. House estimates. */
const dueOf = (grade: Grade): Said => (grade === 0 ? '' : message(`reasons.stays.due.${grade}`))

const gradeAt = (corner: Corner, soil: Soil, job: Job): Grade =>
  worstGrade([corner], workedZones(corner, job), soil)

/** A soil that a visit leaves, where, and how much of it at the worst. */
interface Staying {
  readonly soil: Soil
  readonly grade: Grade
  readonly corners: readonly Position[]
}

const staying = (job: Job): Staying[] =>
  lastingSoils.flatMap((soil) => {
    if (services[job.service].targets[soil] !== undefined) return []
    const corners = job.corners.filter((corner) => gradeAt(corner, soil, job) > 0)
    if (corners.length === 0) return []
    const grade = Math.max(...corners.map((corner) => gradeAt(corner, soil, job))) as Grade
    return [{ soil, grade, corners: corners.map(({ position }) => position) }]
  })

/** What stays on after a visit that is not meant for it, and when it is due; what is due together is told together. */
export function sayStaysOn(job: Job): Shortfall[] {
  const together = new Map<string, Staying[]>()
  for (const one of staying(job)) {
    const key = `${one.grade} ${one.corners.join()}`
    together.set(key, [...(together.get(key) ?? []), one])
  }
  const visit = term('visit', job.service)
  return [...together.values()].flatMap((soils) => {
    const [first] = soils
    if (!first) return []
    const soil = {
      capital: message('reasons.why.soil', {
        grade: term('grade', first.grade),
        soil: terms(
          'soil',
          soils.map((one) => one.soil),
        ),
      }),
    }
    const text =
      soils.length === 1
        ? message('reasons.stays.soilOne', { soil, visit })
        : message('reasons.stays.soilMany', { soil, visit })
    return [{ corners: first.corners, text, fix: dueOf(first.grade) }]
  })
}

/** Where the kit has nothing that gets a wheel dry. */
export function sayNothingDries(job: Job): Shortfall[] {
  if (!services[job.service].water || job.conditions.raining || canDry(job)) return []
  return [
    {
      corners: job.corners.map(({ position }) => position),
      text: message('reasons.stays.drySpots'),
      fix: message('reasons.stays.drySpotsFix'),
    },
  ]
}

/** Where a quick round is too little: more than light dirt, or no protection that lets it go. */
export function sayTooMuchForQuick(job: Job): Shortfall[] {
  if (!services[job.service].isQuick) return []
  const dirty = job.corners.filter((corner) =>
    (['film', 'freshDust', 'grit'] as const).some((soil) => worstGrade([corner], wheelZones, soil) > 1),
  )
  const bare = job.corners.filter(
    ({ protection }) => !protection.some((kind) => protectionFacts[kind].on === 'wheel'),
  )
  const positionsOf = (corners: readonly Corner[]) => corners.map(({ position }) => position)
  return [
    ...(dirty.length > 0
      ? [
          {
            corners: positionsOf(dirty),
            text: message('reasons.stays.tooMuchForQuick'),
            fix: message('reasons.stays.planMaintenance'),
          },
        ]
      : []),
    ...(bare.length > 0
      ? [
          {
            corners: positionsOf(bare),
            text: message('reasons.stays.bareForQuick'),
            fix: message('reasons.stays.planProtection'),
          },
        ]
      : []),
  ]
}
