import { message, sentences, type Message, type Said } from '@/core/message/message'
import { term } from '@/core/message/term'
import { handSecondsAllowed, type Job } from '@/core/job/job'
import type { Shortfall, Stage, Step } from '@/core/plan/plan'
import type { ServiceId } from '@/core/visit-kinds/service'
import { sayTooMuchForQuick } from '@/core/reasons/visit'
import { isRearmost } from '@/core/wheel/position'

/** Something that can be left for another day, with the steps that go with it. */
interface Leavable {
  readonly name: Message
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
      ? [
          {
            name: message('reasons.limits.leavable.dressing'),
            goes: (step: Step) => dress(step) || step.act === 'roll',
          },
        ]
      : []),
    ...(has('arch')
      ? [{ name: message('reasons.limits.leavable.arches'), goes: ofKind(stages, ['arch']) }]
      : []),
    ...(has('polish')
      ? [{ name: message('reasons.limits.leavable.polish'), goes: ofKind(stages, ['polish']) }]
      : []),
    ...(has('tar', 'mineral')
      ? [{ name: message('reasons.limits.leavable.tarAndScale'), goes: ofKind(stages, ['tar', 'mineral']) }]
      : []),
    ...(rears.length > 0 && rears.length < job.corners.length
      ? [{ name: message('reasons.limits.leavable.rears'), goes: isRear }]
      : []),
  ]
}

/** By the clock: two share the work. */
const timeOf = (handSeconds: number, { crew }: Job) => ({ seconds: handSeconds / crew.people })

/** That the time allowed is too short, and what everything takes. */
export const sayTooFew = (minutesAllowed: number, seconds: number): Message =>
  message('reasons.limits.tooFew', { time: { seconds }, allowed: { seconds: 60 * minutesAllowed } })

/** Whether it is the time allowed that is too short. */
export const isTooFew = ({ text }: Shortfall): boolean =>
  typeof text !== 'string' && text.key === 'reasons.limits.tooFew'

/** Services that ask for less, the nearest first. */
const lighter: Partial<Record<ServiceId, readonly ServiceId[]>> = {
  wheelsOff: ['restore', 'decontaminate', 'maintain', 'quickRound'],
  restore: ['decontaminate', 'maintain', 'quickRound'],
  decontaminate: ['maintain', 'quickRound'],
  winter: ['maintain', 'quickRound'],
  coatedMaintenance: ['quickRound'],
  maintain: ['quickRound'],
}

/** The first lighter service that fits the minutes allowed and suits these wheels, as a sentence; null where none does. */
function sayLighter(job: Job, secondsWith: (service: ServiceId) => number): Message | null {
  const allowed = handSecondsAllowed(job)
  for (const service of lighter[job.service] ?? []) {
    if (sayTooMuchForQuick({ ...job, service }).length > 0) continue
    const seconds = secondsWith(service)
    if (seconds > 0 && seconds <= allowed)
      return message('reasons.limits.lighter', {
        service: term('service', service),
        time: timeOf(seconds, job),
      })
  }
  return null
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
  const corners = job.corners.map(({ position }) => position)
  const text = sayTooFew(job.wishes.minutesAllowed ?? 0, timeOf(secondsOf(steps), job).seconds)
  const lighterService = sayLighter(job, secondsWith)
  return {
    corners,
    text,
    fix: sentences(sayWhatToLeave(job, stages, steps, lighterService), lighterService),
  }
}

const secondsOf = (left: readonly Step[]): number => left.reduce((sum, step) => sum + step.operatorSeconds, 0)

/** What to leave; where that is not enough, to allow more, or a lighter service unless one is named. */
function sayWhatToLeave(
  job: Job,
  stages: readonly Stage[],
  steps: readonly Step[],
  lighterService: Message | null,
): Said {
  let left = steps
  const what: Message[] = []
  for (const { name, goes } of leavables(job, stages)) {
    left = left.filter((step) => !goes(step))
    what.push(name)
    if (secondsOf(left) <= handSecondsAllowed(job))
      return message('reasons.limits.leave', { what, time: timeOf(secondsOf(left), job) })
  }
  if (what.length === 0) return lighterService ? '' : message('reasons.limits.allowMore')
  return sentences(
    message('reasons.limits.evenWithout', { what, time: timeOf(secondsOf(left), job) }),
    lighterService === null && message('reasons.limits.allowOrLighter'),
  )
}
