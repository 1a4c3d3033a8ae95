import { estimate } from '@/core/estimates/houseEstimates'
import { hotBrakes } from '@/core/conditions/brakesNow'
import { sayMinutes } from '@/core/timing/stageTiming'
import { positionNames } from '@/core/wheel/position'
import type { Job } from '@/core/job/job'
import { services } from '@/core/visit-kinds/service'
import type { Act } from '@/core/acts/act'
import { stepCautions } from '@/core/words/cautions'
import { secondsOfJobAct } from '@/core/operator-time/operatorTime'
import { familyOf } from '@/core/chemistry/families'
import type { Stage, Step } from '@/core/plan/plan'
import { jobStepIds } from '@/core/plan/stepId'
import { protectionFacts } from '@/core/protection/kinds'
import { isOff } from '@/core/reachability/zoneReach'
import { readyWords } from './readyWords'

/** What two do side by side before and after the wheels; each takes a share of it. */
const shared: readonly Act[] = ['lookRound', 'coolCheck', 'getReady', 'roll']
const shareOf = (act: Act, { crew, estimates }: Job): number =>
  crew.people > 1 && shared.includes(act) ? estimate('twoTogetherShare', estimates) : 1

/** A step of the whole job. */
export const jobStep = (
  job: Job,
  act: Act,
  title: string,
  detail: string,
  why: string,
  cautions: readonly string[] = [],
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
const brakeWords = ({ conditions, estimates, corners }: Job): string =>
  hotBrakes(conditions, estimates)
    .filter(({ position }) => corners.some((corner) => corner.position === position))
    .map(
      ({ position, celsius, waitSeconds }) =>
        ` ${positionNames[position]}: brake at ${Math.round(celsius)} °C, cool enough in about ${sayMinutes(waitSeconds ?? 0)}; the others come first.`,
    )
    .join('')

/** What comes before the first wheel. */
export function openingSteps(job: Job, stages: readonly Stage[]): Step[] {
  const ready = readyWords(job, stages)
  const steps = [
    jobStep(
      job,
      'lookRound',
      'Look round every wheel',
      'Damage, finishes, soil, old protection. Photograph.',
      'Everything after follows from this look.',
    ),
    jobStep(
      job,
      'coolCheck',
      'Cool and in the shade?',
      `${services[job.service].water ? 'Every wheel cool to the touch before anything wet.' : 'Every wheel cool to the touch before anything is sprayed.'}${brakeWords(job)}`,
      'Heat dries the chemical and stains.',
      job.vehicleKind === 'looseSet' ? [] : [stepCautions.hot],
    ),
    jobStep(
      job,
      'getReady',
      'Gloves, glasses, bottles',
      ready.detail,
      'No walking back with chemistry on a wheel.',
      ready.cautions,
    ),
  ]
  return services[job.service].wheelsOff && job.vehicleKind !== 'looseSet' ? [...steps, takeOff(job)] : steps
}

const takeOff = (job: Job): Step => ({
  ...jobStep(
    job,
    'getReady',
    'Lift and take the wheels off',
    'Park level, chock, loosen the nuts on the ground, lift at the maker’s points, stands under it; one side after the other. Lay each wheel on something soft, its back up.',
    'Barrels, hubs and arches are reached from behind.',
    [stepCautions.jack],
  ),
  id: jobStepIds.wheelsOff,
  operatorSeconds: liftSeconds(job),
})

const refit = (job: Job): Step => ({
  ...jobStep(
    job,
    'getReady',
    'Refit and tighten',
    'By hand in a star, lower, then the torque wrench to the maker’s figure. Check again after 50 to 100 km.',
    'A wheel that is not tightened comes off.',
    [stepCautions.torque, stepCautions.seats],
  ),
  id: jobStepIds.wheelsOn,
  operatorSeconds: liftSeconds(job),
})

const bodyParts = [
  ['bodyFoam', 'Foam the body', 'From the roof down, wheels left out.'],
  ['bodyLeft', 'Wash the left side', 'Roof half first, sills last; the mitt of the paint.'],
  ['bodyRight', 'Wash the right side', 'Roof half first, sills last; the mitt of the paint.'],
  [jobStepIds.bodyRinse, 'Rinse the body', 'From the roof down, gaps and mirrors.'],
] as const

/** The body wash, where it fills the dwells of the wheels. */
export function bodySteps(job: Job): Step[] {
  const isBetween = job.schools.wheelsOrder === 'between' && !isOff(job) && services[job.service].water
  return !isBetween || job.vehicleKind === 'motorcycle'
    ? []
    : bodyParts.map(([id, title, detail]) => ({
        ...jobStep(job, 'body', title, detail, 'It fills the time while chemistry dwells on the wheels.'),
        id,
      }))
}

/** Driven by whoever works: trailers and loose wheels are not. */
const isDriven = ({ vehicleKind }: Job): boolean => vehicleKind !== 'trailer' && vehicleKind !== 'looseSet'

const halfATurn = (job: Job): Step =>
  jobStep(
    job,
    'roll',
    'Half a turn, then the part that stood on the ground',
    'Roll half a turn of the wheel; dress the rest of each tyre, thin, and wipe smears.',
    'Where the tyre stood there is no dressing yet.',
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
        'Dry the discs',
        job.vehicleKind === 'motorcycle'
          ? 'Roll a few metres, brake gently, front and rear apart.'
          : 'Drive a few metres forward and back, brake gently.',
        'Light rust after water goes with the first stops.',
        [stepCautions.brakes],
      ),
    )
  return [
    ...steps,
    jobStep(
      job,
      'writeDown',
      'Write down how it went',
      `What stayed, what you would do otherwise.${cureWords(stages)}`,
      'Next time starts from here.',
    ),
  ]
}

/** Until when what was put on has to stay dry, for whoever takes the car. */
function cureWords(stages: readonly Stage[]): string {
  const hours = Math.max(
    0,
    ...stages.map(({ family: id }) => {
      const family = familyOf(id)
      return family.purpose === 'protect' ? protectionFacts[family.protection].cureHours : 0
    }),
  )
  return hours > 1 ? ` Tell whoever drives it: no water for ${hours} hours.` : ''
}
