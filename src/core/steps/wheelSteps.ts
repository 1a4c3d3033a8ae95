import { message, saidOnce, sentences, type Message } from '@/core/message/message'
import { term, terms } from '@/core/message/term'
import { knockDownSeconds, secondsOfAct } from '@/core/operator-time/operatorTime'
import type { Corner, Job } from '@/core/job/job'
import type { Stage, Step } from '@/core/plan/plan'
import { isByHand } from '@/core/plan/byHand'
import { testSpotId, wheelStepId } from '@/core/plan/stepId'
import { cleanOf } from '@/core/reachability/means'
import { isHere, isOff } from '@/core/reachability/zoneReach'
import { services } from '@/core/visit-kinds/service'
import type { Zone } from '@/core/wheel/zone'
import { stepCautions } from '@/core/reasons/cautions'
import { isFinishing, isOnRubber } from '@/core/acts/stageKind'
import { jetCautions } from './jetCautions'
import { jobStep } from './jobSteps'
import { goingOn, passesOf } from './passes'
import { testSpotZone } from './testSpotZone'
import { goesOnWet, passSteps, presoakStep, stageSteps, type StepContext } from './stageSteps'

const whereIs = ({ position }: Corner): Message => term('wheel', position)

/** Zones that the jet goes over. */
const rinsedZones = (corner: Corner, { job }: StepContext): Zone[] =>
  (['arch', 'barrel', 'face', 'tyre'] as const).filter(
    // What cannot be got at by hand may still be reached by water.
    (zone) => isHere(zone, corner, job) || (zone !== 'arch' && isHere('barrel', corner, job)),
  )

/** With the wheel off, its arch stays at the car. */
function rinseWords(zones: readonly Zone[], job: Job): Message {
  const isApart = isOff(job) && zones.includes('arch')
  const names = terms(
    'zone',
    zones.filter((zone) => !isApart || zone !== 'arch'),
  )
  return isApart
    ? message('steps.preRinse.archApart', { zones: names })
    : message('steps.preRinse.detail', { zones: { capital: names } })
}

function knockDown(corner: Corner, presoak: Stage | undefined, context: StepContext): Step {
  const { job } = context
  const zones = rinsedZones(corner, context)
  return {
    ...jobStep(
      job,
      'preRinse',
      {
        title: message('steps.preRinse.title', { wheel: whereIs(corner) }),
        detail: rinseWords(zones, job),
        why: presoak ? message('steps.preRinse.afterSoak') : message('steps.preRinse.why'),
      },
      jetCautions(corner, job),
    ),
    id: wheelStepId(corner.position, 'preRinse'),
    corner: corner.position,
    zones,
    operatorSeconds: knockDownSeconds(corner, job.archLiner, job),
    stopsDwellOf: presoak?.id ?? null,
  }
}

/** Where dirt is overlooked. */
function overlooked(corner: Corner, job: Job): Message {
  const hidden = ['spokeBacks', 'caliper', 'valve', 'lugSeats', 'arch'] as const
  const here = hidden.filter((zone) => isHere(zone, corner, job))
  const places =
    here.length > 0
      ? here.map((zone) => message(`steps.finalCheck.places.${zone}`))
      : [message('steps.finalCheck.places.front')]
  return message('steps.finalCheck.overlooked', { places: { capital: places } })
}

function lookAgain(corner: Corner, { job, stages }: StepContext): Step {
  const isRevived =
    corner.protection.includes('ceramicCoating') &&
    stages.some(({ kind, corners }) => kind === 'mineral' && corners.includes(corner.position))
  const look = jobStep(job, 'lookAgain', {
    title: message('steps.finalCheck.title', { wheel: whereIs(corner) }),
    detail: sentences(
      isRevived && message('steps.finalCheck.revived'),
      overlooked(corner, job),
      job.service === 'waterless' ? message('steps.finalCheck.wiped') : message('steps.finalCheck.rinsed'),
    ),
    why: message('steps.finalCheck.why'),
  })
  return {
    ...look,
    id: wheelStepId(corner.position, 'lookAgain'),
    asks: 'look',
    corner: corner.position,
    operatorSeconds: Math.round(look.operatorSeconds / job.corners.length),
  }
}

/** Tries a product at a hidden place before it goes on the first of its wheels. */
function testSpot(stages: readonly Stage[], corner: Corner, { job }: StepContext): Step {
  const zone = testSpotZone(stages, corner, job)
  return {
    ...jobStep(
      job,
      'testSpot',
      {
        title: message('steps.testSpot.title', {
          wheel: whereIs(corner),
          products: stages.map(({ productName }) => productName),
        }),
        detail: message('steps.testSpot.detail', { zone: term('zone', zone) }),
        why: message('steps.testSpot.why'),
      },
      saidOnce(stages.flatMap(({ cautions }) => cautions)),
    ),
    id: testSpotId(corner.position, stages),
    asks: 'testSpot',
    corner: corner.position,
    zones: [zone],
  }
}

/** Stages that ask for a test spot, at the first of their wheels. */
const tested = (stages: readonly Stage[], corner: Corner): Stage[] =>
  stages.filter(({ rules, corners }) => rules.some((rule) => rule.testSpot) && corners[0] === corner.position)

/** The tyre is wiped in the same suds, with something of its own; without that it is only rinsed. */
function wipeTyre(corner: Corner, { job }: StepContext): Step[] {
  const [tool] = [...cleanOf('towel', job, 'tyre'), ...cleanOf('tyreBrush', job, 'tyre')]
  if (!tool) return []
  const step = jobStep(job, 'wipe', {
    title: message('steps.wipeTyre.title', { wheel: whereIs(corner) }),
    detail: message('steps.wipeTyre.detail', { tool: tool.name }),
    why: message('steps.wipeTyre.why'),
  })
  return [
    {
      ...step,
      id: wheelStepId(corner.position, 'wipeTyre'),
      corner: corner.position,
      zones: ['tyre'],
      tools: [tool.name],
      operatorSeconds: secondsOfAct('wipe', 'tyre', corner, job),
    },
  ]
}

/** Hub and caliper, which the wheel hides when it is on. */
const hubStep = (corner: Corner, { job }: StepContext): Step => ({
  ...jobStep(
    job,
    'hub',
    {
      title: message('steps.hub.title', { wheel: whereIs(corner) }),
      detail: job.vehicleKind === 'motorcycle' ? message('steps.hub.detail') : message('steps.hub.withArch'),
      why: message('steps.hub.why'),
    },
    [stepCautions.brakes, stepCautions.seats],
  ),
  id: wheelStepId(corner.position, 'hub'),
  corner: corner.position,
  zones: [],
})

/** Puts steps in before the last rinse of a wheel; what bites does not wait for them, so that they come while it dwells. */
function beforeLastRinse(steps: Step[], more: readonly Step[], stages: readonly Stage[]): void {
  const rinse = steps.findLastIndex(({ act }) => act === 'rinse')
  if (rinse < 0) return
  const stage = stages.find(({ id }) => id === steps[rinse]?.stopsDwellOf)
  const brush = steps.findLastIndex(({ act, stageId }) => act === 'agitate' && stageId === stage?.id)
  steps.splice(stage?.longest?.kind === 'contact' && brush >= 0 ? brush : rinse, 0, ...more)
}

/** Everything wet at one wheel, from the knock-down to the protection that goes on wet. */
export function wheelSteps(corner: Corner, context: StepContext, startsDry: boolean): Step[] {
  const { job, stages, timings } = context
  const service = services[job.service]
  const here = stages.filter((stage) => stage.corners.includes(corner.position))
  const presoak = here.find(({ kind }) => kind === 'presoak')
  const cleaning = here.filter(({ kind }) => !isFinishing(kind) && kind !== 'presoak' && kind !== 'polish')
  const steps: Step[] = []
  if (presoak) steps.push(presoakStep(presoak, corner, context))
  if (service.water && !startsDry) steps.push(knockDown(corner, presoak, context))
  for (const pass of passesOf(cleaning, corner, job, timings)) {
    const [only] = pass.stages
    const before = steps.at(-1)
    if (pass.because !== null && before?.act === 'rinse')
      steps[steps.length - 1] = {
        ...before,
        apartBecause: pass.because,
        why: message('steps.apart.why', { because: pass.because }),
      }
    const tries = tested(pass.stages, corner)
    if (tries.length > 0) steps.push(testSpot(tries, corner, context))
    if (pass.acts.length > 0) steps.push(...passSteps(pass, corner, context))
    else if (only) steps.push(...stageSteps(only, corner, context))
    for (const stage of goingOn(pass)) steps.push(...stageSteps(stage, corner, context, 2))
  }
  if (service.isQuick && isHere('tyre', corner, job)) beforeLastRinse(steps, wipeTyre(corner, context), here)
  if (service.wheelsOff && job.vehicleKind !== 'looseSet') steps.push(hubStep(corner, context))
  // On the wet wheel, and before anything seals in what stayed.
  if (cleaning.some((stage) => !isOnRubber(stage.kind) && (isByHand(stage) || stage.kind === 'waterless')))
    steps.push(lookAgain(corner, context))
  for (const stage of here.filter(isPutOnWet)) steps.push(...stageSteps(stage, corner, context))
  return steps
}

/** Protection that goes on the wet wheel and is rinsed at once. */
export const isPutOnWet = (stage: Stage): boolean => stage.kind === 'protect' && goesOnWet(stage)
