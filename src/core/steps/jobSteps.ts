import { estimate } from '@/core/estimates/houseEstimates'
import type { Job } from '@/core/job/job'
import type { Schools } from '@/core/schools/schools'
import { services } from '@/core/services/service'
import type { Act } from '@/core/work/act'
import { stepCautions } from '@/core/words/cautions'
import { secondsOfJobAct } from '@/core/effort/operatorTime'
import type { Step } from '@/core/plan/plan'

const bodyWords: Record<Schools['wheelsOrder'], string> = {
  first: 'Wheels come before the body wash.',
  last: 'The body is washed first; rinse it again after the wheels.',
  between: 'The body is washed in between, while chemistry dwells on the wheels.',
}

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
  operatorSeconds: secondsOfJobAct(act, job, job.corners.length),
  startsDwell: null,
  stopsDwellOf: null,
  wetLimitSeconds: null,
  part: null,
  why,
  cautions,
})

/** Two wheels a side come off and on together. */
const liftSeconds = (job: Job): number =>
  Math.ceil(job.corners.length / 2) * estimate('secondsLiftSide', job.estimates)

/** What comes before the first wheel. */
export function openingSteps(job: Job): Step[] {
  const steps: Step[] = []
  steps.push(
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
      'Every wheel cool to the touch before anything wet.',
      'Heat dries the chemical and stains.',
      [stepCautions.hot],
    ),
    jobStep(
      job,
      'getReady',
      'Gloves, glasses, bottles',
      `Bottles mixed and labelled, hose guides under the tyres. ${bodyWords[job.schools.wheelsOrder]}`,
      'No walking back with chemistry on a wheel.',
      [stepCautions.lance, stepCautions.neverMix, stepCautions.label],
    ),
  )
  if (services[job.service].wheelsOff) {
    steps.push({
      ...jobStep(
        job,
        'getReady',
        'Lift and take the wheels off',
        'Park level, chock, loosen the nuts on the ground, lift at the maker’s points, stands under it.',
        'Barrels, hubs and arches are reached from behind.',
        [stepCautions.jack],
      ),
      id: 'wheelsOff',
      operatorSeconds: liftSeconds(job),
    })
  }
  return steps
}

/** What comes beside and after the wheels. */
export function closingSteps(job: Job): Step[] {
  const service = services[job.service]
  const steps: Step[] = []
  if (job.schools.wheelsOrder === 'between' && job.vehicleKind !== 'looseSet' && service.water) {
    const sides = [
      ['bodyFoam', 'Foam the body', 'From the roof down, wheels left out.'],
      ['bodyLeft', 'Wash the left side', 'Roof half first, sills last; the mitt of the paint.'],
      ['bodyRight', 'Wash the right side', 'Roof half first, sills last; the mitt of the paint.'],
      ['bodyRinse', 'Rinse the body', 'From the roof down, gaps and mirrors.'],
    ] as const
    for (const [id, title, detail] of sides)
      steps.push({
        ...jobStep(job, 'body', title, detail, 'It fills the time while chemistry dwells on the wheels.'),
        id,
      })
  }
  if (job.vehicleKind !== 'looseSet' && service.water) {
    steps.push(
      jobStep(
        job,
        'brakes',
        'Dry the discs',
        'Drive a few metres forward and back, brake gently.',
        'Light rust after water goes with the first stops.',
        [stepCautions.brakes],
      ),
    )
  }
  if (service.wheelsOff) {
    steps.push({
      ...jobStep(
        job,
        'getReady',
        'Refit and tighten',
        'By hand in a star, lower, then the torque wrench to the maker’s figure. Check again after 50 to 100 km.',
        'A wheel that is not tightened comes off.',
        [stepCautions.torque],
      ),
      id: 'wheelsOn',
      operatorSeconds: liftSeconds(job),
    })
  }
  steps.push(
    jobStep(
      job,
      'writeDown',
      'Write down how it went',
      'What stayed, what you would do otherwise.',
      'Next time starts from here.',
    ),
  )

  return steps
}
