import { message, sentences, type Message, type Said } from '@/core/message/message'
import { term } from '@/core/message/term'
import { estimate } from '@/core/estimates/houseEstimates'
import { hotBrakes } from '@/core/conditions/brakesNow'
import type { Job } from '@/core/job/job'
import { services } from '@/core/visit-kinds/service'
import type { Act } from '@/core/acts/act'
import { stepCautions } from '@/core/reasons/cautions'
import { secondsOfJobAct } from '@/core/operator-time/operatorTime'
import { familyOf } from '@/core/chemistry/families'
import type { Stage, Step } from '@/core/plan/plan'
import { jobStepIds } from '@/core/plan/stepId'
import { protectionFacts } from '@/core/protection/kinds'
import { isOff } from '@/core/reachability/zoneReach'
import type { ActText } from './actText'
import { readyWords } from './readyWords'

/** What two do side by side before and after the wheels; each takes a share of it. */
const shared: readonly Act[] = ['lookRound', 'coolCheck', 'getReady', 'roll']
const shareOf = (act: Act, { crew, estimates }: Job): number =>
  crew.people > 1 && shared.includes(act) ? estimate('twoTogetherShare', estimates) : 1

/** A step of the whole job. */
export const jobStep = (
  job: Job,
  act: Act,
  { title, detail, why }: ActText,
  cautions: readonly Said[] = [],
): Step => ({
  id: act,
  act,
  corner: null,
  stageId: null,
  title,
  detail,
  zones: [],
  tools: [],
  operatorSeconds: Math.round(secondsOfJobAct(act, job, job.corners.length) * shareOf(act, job)),
  startsDwell: null,
  stopsDwellOf: null,
  wetLimitSeconds: null,
  part: null,
  why,
  cautions,
})

/** Two wheels a side come off and on together. */
const liftSeconds = (job: Job): number =>
  Math.round(
    Math.ceil(job.corners.length / 2) * estimate('secondsLiftSide', job.estimates) * shareOf('getReady', job),
  )

/** Brakes that are too hot now, and how long each waits. */
const brakeWords = ({ conditions, estimates, corners }: Job): Message[] =>
  hotBrakes(conditions, estimates)
    .filter(({ position }) => corners.some((corner) => corner.position === position))
    .map(({ position, celsius, waitSeconds }) =>
      message('steps.beforeWheels.coolCheck.hotBrake', {
        wheel: { capital: term('wheel', position) },
        temperature: { celsius },
        wait: { seconds: waitSeconds ?? 0 },
      }),
    )

/** What comes before the first wheel. */
export function openingSteps(job: Job, stages: readonly Stage[]): Step[] {
  const ready = readyWords(job, stages)
  const steps = [
    jobStep(job, 'lookRound', {
      title: message('steps.beforeWheels.lookRound.title'),
      detail: message('steps.beforeWheels.lookRound.detail'),
      why: message('steps.beforeWheels.lookRound.why'),
    }),
    jobStep(
      job,
      'coolCheck',
      {
        title: message('steps.beforeWheels.coolCheck.title'),
        detail: sentences(
          services[job.service].water
            ? message('steps.beforeWheels.coolCheck.beforeWater')
            : message('steps.beforeWheels.coolCheck.beforeSpray'),
          ...brakeWords(job),
        ),
        why: message('steps.beforeWheels.coolCheck.why'),
      },
      job.vehicleKind === 'looseSet' ? [] : [stepCautions.hot],
    ),
    jobStep(
      job,
      'getReady',
      {
        title: message('steps.beforeWheels.getReady.title'),
        detail: ready.detail,
        why: message('steps.beforeWheels.getReady.why'),
      },
      ready.cautions,
    ),
  ]
  return services[job.service].wheelsOff && job.vehicleKind !== 'looseSet' ? [...steps, takeOff(job)] : steps
}

const takeOff = (job: Job): Step => ({
  ...jobStep(
    job,
    'getReady',
    {
      title: message('steps.beforeWheels.takeOff.title'),
      detail: message('steps.beforeWheels.takeOff.detail'),
      why: message('steps.beforeWheels.takeOff.why'),
    },
    [stepCautions.jack],
  ),
  id: jobStepIds.wheelsOff,
  operatorSeconds: liftSeconds(job),
})

const refit = (job: Job): Step => ({
  ...jobStep(
    job,
    'getReady',
    {
      title: message('steps.afterWheels.refit.title'),
      detail: message('steps.afterWheels.refit.detail', {
        from: { kilometres: 50 },
        until: { kilometres: 100 },
      }),
      why: message('steps.afterWheels.refit.why'),
    },
    [stepCautions.torque, stepCautions.seats],
  ),
  id: jobStepIds.wheelsOn,
  operatorSeconds: liftSeconds(job),
})

const bodyParts = ['bodyFoam', 'bodyLeft', 'bodyRight', jobStepIds.bodyRinse] as const

/** The body wash, where it fills the dwells of the wheels. */
export function bodySteps(job: Job): Step[] {
  const isBetween = job.methods.wheelsOrder === 'between' && !isOff(job) && services[job.service].water
  return !isBetween || job.vehicleKind === 'motorcycle'
    ? []
    : bodyParts.map((id) => ({
        ...jobStep(job, 'body', {
          title: message(`steps.body.${id}.title`),
          detail: message(`steps.body.${id}.detail`),
          why: message('steps.body.why'),
        }),
        id,
      }))
}

/** Driven by whoever works: trailers and loose wheels are not. */
const isDriven = ({ vehicleKind }: Job): boolean => vehicleKind !== 'trailer' && vehicleKind !== 'looseSet'

const halfATurn = (job: Job): Step =>
  jobStep(
    job,
    'roll',
    {
      title: message('steps.afterWheels.roll.title'),
      detail: message('steps.afterWheels.roll.detail'),
      why: message('steps.afterWheels.roll.why'),
    },
    [stepCautions.brakes],
  )

/** What comes after the wheels. */
export function closingSteps(job: Job, stages: readonly Stage[]): Step[] {
  const service = services[job.service]
  const steps: Step[] = []
  if (service.wheelsOff && job.vehicleKind !== 'looseSet') steps.push(refit(job))
  if (stages.some(({ kind }) => kind === 'dress') && isDriven(job) && !isOff(job)) steps.push(halfATurn(job))
  if (isDriven(job) && service.water)
    steps.push(
      jobStep(
        job,
        'brakes',
        {
          title: message('steps.afterWheels.brakes.title'),
          detail:
            job.vehicleKind === 'motorcycle'
              ? message('steps.afterWheels.brakes.motorcycle')
              : message('steps.afterWheels.brakes.detail'),
          why: message('steps.afterWheels.brakes.why'),
        },
        [stepCautions.brakes],
      ),
    )
  return [
    ...steps,
    jobStep(job, 'writeDown', {
      title: message('steps.afterWheels.writeDown.title'),
      detail: sentences(message('steps.afterWheels.writeDown.detail'), cureWords(stages)),
      why: message('steps.afterWheels.writeDown.why'),
    }),
  ]
}

/** Until when what was put on has to stay dry, for whoever takes the car. */
function cureWords(stages: readonly Stage[]): Said {
  const hours = Math.max(
    0,
    ...stages.map(({ family: id }) => {
      const family = familyOf(id)
      return family.purpose === 'protect' ? protectionFacts[family.protection].cureHours : 0
    }),
  )
  return hours > 1 ? message('steps.afterWheels.writeDown.cure', { hours }) : ''
}
