import { handSecondsAllowed, type Job } from '@/core/job/job'
import type { Shortfall, Stage, Step } from '@/core/plan/plan'
import { services, type ServiceId } from '@/core/visit-kinds/service'
import { sayTooMuchForQuick } from '@/core/words/visit'
import { isRearmost } from '@/core/wheel/position'
import { listed } from '@/core/words/listed'

/** Something that can be left for another day, with the steps that go with it. */
interface Leavable {
  readonly name: string
  readonly goes: (step: Step) => boolean
}

const ofKind = (stages: readonly Stage[], kinds: readonly Stage['kind'][]) => {
  const ids = stages.filter(({ kind }) => kinds.includes(kind)).map(({ id }) => id)
  return ({ stageId }: Step): boolean => stageId !== null && ids.includes(stageId)
}

/** What is left first, by how little the wheels lose with it. */
function leavables(job: Job, stages: readonly Stage[]): Leavable[] {
  const dress = ofKind(stages, ['dress'])
  const has = (...kinds: Stage['kind'][]): boolean => stages.some(({ kind }) => kinds.includes(kind))
  const rears = job.corners.filter(({ position }) => isRearmost(position)).map(({ position }) => position)
  const isRear = ({ corner }: Step): boolean => corner !== null && rears.includes(corner)
  return [
    ...(has('dress')
      ? [{ name: 'the tyre dressing', goes: (step: Step) => dress(step) || step.act === 'roll' }]
      : []),
    ...(has('arch') ? [{ name: 'the arches', goes: ofKind(stages, ['arch']) }] : []),
    ...(has('polish') ? [{ name: 'the polish', goes: ofKind(stages, ['polish']) }] : []),
    ...(has('tar', 'mineral') ? [{ name: 'tar and scale', goes: ofKind(stages, ['tar', 'mineral']) }] : []),
    ...(rears.length > 0 && rears.length < job.corners.length
      ? [{ name: 'the rear wheels', goes: isRear }]
      : []),
  ]
}

/** By the clock: two share the work. */
const minutesOf = (handSeconds: number, { crew }: Job): number => Math.round(handSeconds / 60 / crew.people)

/** That the minutes allowed are too few, and what everything takes where that is known. */
export const sayTooFew = (minutesAllowed: number, minutes?: number): string =>
  `${minutesAllowed} minutes are too few${minutes === undefined ? '' : `: everything takes ${minutes}.`}`

/** Services that ask for less, the nearest first. */
const lighter: Partial<Record<ServiceId, readonly ServiceId[]>> = {
  wheelsOff: ['restore', 'decontaminate', 'maintain', 'quickRound'],
  restore: ['decontaminate', 'maintain', 'quickRound'],
  decontaminate: ['maintain', 'quickRound'],
  winter: ['maintain', 'quickRound'],
  coatedMaintenance: ['quickRound'],
  maintain: ['quickRound'],
}

/** The first lighter service that fits the minutes allowed and suits these wheels, as a sentence; empty where none does. */
function sayLighter(job: Job, secondsWith: (service: ServiceId) => number): string {
  const allowed = handSecondsAllowed(job)
  for (const service of lighter[job.service] ?? []) {
    if (sayTooMuchForQuick({ ...job, service }).length > 0) continue
    const seconds = secondsWith(service)
    if (seconds > 0 && seconds <= allowed)
      return `The service “${services[service].name}” fits: ${minutesOf(seconds, job)} minutes.`
  }
  return ''
}

/**
 * What to leave so that the rest fits the minutes allowed, and what the rest then takes; or a lighter service that fits.
 * @param secondsWith what the same wheels take with another service; 0 where it has no plan
 */
export function sayTooFewMinutes(
  job: Job,
  stages: readonly Stage[],
  steps: readonly Step[],
  secondsWith: (service: ServiceId) => number,
): Shortfall {
  const said = sayWhatToLeave(job, stages, steps)
  const other = sayLighter(job, secondsWith)
  return other === ''
    ? said
    : { ...said, mend: `${said.mend.replace(', or choose a lighter service', '')} ${other}` }
}

function sayWhatToLeave(job: Job, stages: readonly Stage[], steps: readonly Step[]): Shortfall {
  const allowed = job.wishes.minutesAllowed ?? 0
  const corners = job.corners.map(({ position }) => position)
  const secondsOf = (left: readonly Step[]): number =>
    left.reduce((sum, step) => sum + step.operatorSeconds, 0)
  const text = sayTooFew(allowed, minutesOf(secondsOf(steps), job))
  let left = steps
  const names: string[] = []
  for (const { name, goes } of leavables(job, stages)) {
    left = left.filter((step) => !goes(step))
    names.push(name)
    if (secondsOf(left) <= handSecondsAllowed(job))
      return {
        corners,
        text,
        mend: `Leave ${listed(names)} for another visit: the rest takes ${minutesOf(secondsOf(left), job)} minutes.`,
      }
  }
  return {
    corners,
    text,
    mend:
      names.length > 0
        ? `Even without ${listed(names)} it takes ${minutesOf(secondsOf(left), job)} minutes; allow that, or choose a lighter service.`
        : 'Allow more, or choose a lighter service.',
  }
}
