import { knockDownSeconds, secondsOfAct } from '@/core/operator-time/operatorTime'
import type { Corner, Job } from '@/core/job/job'
import type { Stage, Step } from '@/core/plan/plan'
import { isByHand } from '@/core/plan/byHand'
import { testSpotId, wheelStepId } from '@/core/plan/stepId'
import { cleanOf } from '@/core/reachability/means'
import { isHere, isOff } from '@/core/reachability/zoneReach'
import { services } from '@/core/visit-kinds/service'
import { positionNames } from '@/core/wheel/position'
import { zoneNames, type Zone } from '@/core/wheel/zone'
import { stepCautions } from '@/core/words/cautions'
import { listed } from '@/core/words/listed'
import { isFinishing, isOnRubber } from '@/core/acts/stageKind'
import { jetCautions } from './jetCautions'
import { jobStep } from './jobSteps'
import { goingOn, passesOf } from './passes'
import { testSpotZone } from './testSpotZone'
import { goesOnWet, passSteps, presoakStep, stageSteps, type StepContext } from './stageSteps'

const whereIs = ({ position }: Corner): string => positionNames[position].toLowerCase()

/** Zones that the jet goes over. */
const rinsedZones = (corner: Corner, { job }: StepContext): Zone[] =>
  (['arch', 'barrel', 'face', 'tyre'] as const).filter(
    // What cannot be got at by hand may still be reached by water.
    (zone) => isHere(zone, corner, job) || (zone !== 'arch' && isHere('barrel', corner, job)),
  )

/** With the wheel off, its arch stays at the car. */
function rinseWords(zones: readonly Zone[], job: Job): string {
  const isApart = isOff(job) && zones.includes('arch')
  const names = listed(zones.filter((zone) => !isApart || zone !== 'arch').map((zone) => zoneNames[zone]))
  return isApart
    ? `The arch at the car, then the wheel where it lies: ${names}.`
    : `${names.charAt(0).toUpperCase()}${names.slice(1)}.`
}

function knockDown(corner: Corner, presoak: Stage | undefined, context: StepContext): Step {
  const { job } = context
  const zones = rinsedZones(corner, context)
  return {
    ...jobStep(
      job,
      'preRinse',
      `Knock-down rinse, ${whereIs(corner)}`,
      rinseWords(zones, job),
      presoak
        ? 'The soak has loosened grit and dust; now they go before anything touches the wheel.'
        : 'Grit goes before anything touches the wheel.',
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
function overlooked(corner: Corner, job: Job): string {
  const words = [
    ['spokeBacks', 'spoke backs'],
    ['caliper', 'behind the caliper'],
    ['valve', 'valve'],
    ['lugSeats', 'lug seats'],
    ['arch', 'arch top'],
  ] as const
  const here = words.flatMap(([zone, name]) => (isHere(zone, corner, job) ? [name] : []))
  const text = here.length > 0 ? here.join(', ') : 'what the light reaches'
  return `${text.charAt(0).toUpperCase()}${text.slice(1)}.`
}

function lookAgain(corner: Corner, { job, stages }: StepContext): Step {
  const isRevived =
    corner.protection.includes('ceramicCoating') &&
    stages.some(({ kind, corners }) => kind === 'mineral' && corners.includes(corner.position))
  const look = jobStep(
    job,
    'lookAgain',
    `Look again, ${whereIs(corner)}`,
    `${isRevived ? 'First the water: where it beads again the coating works, and the topper may wait. ' : ''}${overlooked(corner, job)} What stayed is treated on the spot, one step stronger, ${job.service === 'waterless' ? 'then wiped off' : 'then rinsed'}.`,
    'What is missed now is sealed in.',
  )
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
  const names = listed(stages.map(({ productName }) => productName))
  const zone = testSpotZone(stages, corner, job)
  return {
    ...jobStep(
      job,
      'testSpot',
      `Test spot, ${whereIs(corner)}: ${names}`,
      `A palm’s breadth at the ${zoneNames[zone]}, low down: mildest mix, half the dwell, rinse, dry, look against the light.`,
      'Haze, colour on the cloth or a dull ring: stop, and go one milder.',
      [...new Set(stages.flatMap(({ cautions }) => cautions))],
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
  const step = jobStep(
    job,
    'wipe',
    `Wipe the tyre, ${whereIs(corner)}`,
    `With the same suds and the ${tool.name}, before the rinse.`,
    'A wiped tyre looks cared for until the next visit.',
  )
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
    `Hub and caliper at the car, ${whereIs(corner)}`,
    `Hub face and mounting pad of the wheel brushed dry and wiped clean, caliper brushed with mild suds and rinsed${job.vehicleKind === 'motorcycle' ? '' : ', lip of the arch wiped'}.`,
    'Rust between hub and pad loosens nuts; the caliper is never so easy to reach.',
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
        why: `A rinse of its own: ${pass.because}.`,
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
