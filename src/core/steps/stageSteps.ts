import { message, saidOnce, type Sayable } from '@/core/message/message'
import { term } from '@/core/message/term'
import { isHere, isOff } from '@/core/reachability/zoneReach'
import { familyOf } from '@/core/chemistry/families'
import { wetTimes } from '@/core/chemistry/longest'
import { estimate } from '@/core/estimates/houseEstimates'
import type { Corner, Job } from '@/core/job/job'
import type { StageTiming } from '@/core/plan/stageTiming'
import type { Zone } from '@/core/wheel/zone'
import { isDustBehind } from '@/core/operator-time/amounts'
import { actsOfStage, afterRounds, secondsOfAct } from '@/core/operator-time/operatorTime'
import { actsInCoats, actsInParts, wheelPart } from './parts'
import { cautionsAt } from './cautionsAt'
import { jetCautions } from './jetCautions'
import { rinseWithin } from './rinseWithin'
import { secondsWorked } from './secondsWorked'
import type { RinsePass } from './passes'
import type { Stage, Step } from '@/core/plan/plan'
import { isByHand, isWorkedByHand } from '@/core/plan/byHand'
import { stageStepId } from '@/core/plan/stepId'
import type { Act } from '@/core/acts/act'
import { isFinishing, isOnRubber, type StageKind } from '@/core/acts/stageKind'
import {
  archAndTyreTitle,
  asYouComeToIt,
  freshCoat,
  partOf,
  rinseAtOnceText,
  sharedRinseText,
  textOf,
  type Worked,
} from './stepTexts'
import { contactZones, toolsFor } from './stepTools'
import { toolRinse } from './toolRinse'

/** The brush works as long as the label allows, and no longer: what stays then is for another round. */
function brushSeconds(stage: Stage, corner: Corner, sections: number, job: Job): number {
  const { longest, kind, dwellSeconds } = stage
  const spraySeconds = Math.max(5, Math.ceil(secondsOfAct('spray', kind, corner, job) / sections))
  const allowedSeconds =
    longest?.kind === 'contact' ? dwellSeconds.max - spraySeconds : wetTimes * dwellSeconds.max
  const changes = 2 * estimate('secondsToolChange', job.estimates)
  return Math.max(5, allowedSeconds - dwellSeconds.min - changes)
}

/** What all stages of a plan share while their steps are written. */
export interface StepContext {
  readonly job: Job
  readonly stages: readonly Stage[]
  readonly timings: readonly StageTiming[]
  /** Mists are numbered through, so that each has a name of its own. */
  nextMist(): number
}

const zonesHere = (stage: Stage, corner: Corner, job: Job): Zone[] =>
  stage.zones.filter((zone) => isHere(zone, corner, job))

/** What washes solvent off: the suds that are there anyway, else the wheel's own cleaner once more. */
function afterSolvent(stages: readonly Stage[], { position }: Corner): Sayable {
  const wash = stages.find(({ kind, corners }) => kind === 'wash' && corners.includes(position))
  return wash === undefined || wash.delivery === 'bucket' ? message('steps.suds') : wash.productName
}

/** What of the wheel and the rest of the plan decides about the words of an act. */
const surroundings = (
  stage: Stage,
  corner: Corner,
  zones: readonly Zone[],
  { job, stages }: StepContext,
): Pick<Worked, 'isBehind' | 'hasArch' | 'isDressed' | 'afterSolvent'> => ({
  isBehind: isDustBehind(stage, corner.loads, zones),
  hasArch: isHere('arch', corner, job) && !isOff(job),
  isDressed: stages.some(({ kind, corners }) => kind === 'dress' && corners.includes(corner.position)),
  afterSolvent: afterSolvent(stages, corner),
})

/** What nothing in the kit works by hand is sprayed and rinsed. */
const lacksBrush = (act: Act, stage: Stage): boolean =>
  (act === 'scrub' || act === 'agitate') && !isByHand(stage)

/** How a stage is worked at one wheel: in how many parts, or with how many fresh coats. */
interface Way {
  readonly timing: StageTiming | undefined
  readonly coats: number
  readonly sections: number
}

/** One act of a stage; part 0 is the whole wheel. */
interface StageAct {
  readonly act: Act
  readonly part: number
  readonly round: number
}

/** Protection that goes on the wet wheel and comes off with water at once. */
export const goesOnWet = ({ family: id }: Stage): boolean => {
  const family = familyOf(id)
  return family.purpose === 'protect' && family.onWet
}

/**
 * The steps of a stage that has its rinse for itself, in rounds and parts.
 * @param fromRound the first of its rounds that is worked here
 */
export function stageSteps(stage: Stage, corner: Corner, context: StepContext, fromRound = 1): Step[] {
  const { job, timings } = context
  const timing = timings.find((one) => one.stageId === stage.id && one.corner === corner.position)
  const coats = timing?.freshCoats ?? 1
  const way: Way = { timing, coats, sections: coats > 1 ? coats : (timing?.sections ?? 1) }
  // Each part is sprayed, brushed and rinsed before the next, so that nothing of it waits for the rest.
  const wanted = actsOfStage(stage.kind, stage.rounds - fromRound + 1, stage.family)
  const acts = coats > 1 ? actsInCoats(wanted, coats) : actsInParts(wanted, way.sections, timing?.mists ?? 0)
  const [firstAct] = wanted
  const steps: Step[] = []
  let round = fromRound - 1
  for (const { act, part } of acts) {
    if (lacksBrush(act, stage)) continue
    if (part <= 1 && act === firstAct) round += 1
    const step = stageStep({ act, part, round }, way, stage, corner, context)
    if (step) steps.push(step)
    if (act === 'protect' && goesOnWet(stage))
      steps.push(rinseAtOnce(stage, corner, zonesHere(stage, corner, job), job))
  }
  return steps
}

/** The step of one act; null where nothing in the kit works this part of the wheel. */
function stageStep(
  { act, part, round }: StageAct,
  way: Way,
  stage: Stage,
  corner: Corner,
  context: StepContext,
): Step | null {
  const { job, nextMist } = context
  const { timing, coats, sections } = way
  const where = term('wheel', corner.position)
  const zones = zonesHere(stage, corner, job)
  const isFreshCoat = coats > 1 && act === 'spray' && part > 1
  const piece = part > 0 && !isFreshCoat ? wheelPart(part, sections, zones, timing?.isByZones ?? false) : null
  const mine = piece?.zones ?? zones
  const contact = contactZones.filter((zone) => mine.includes(zone) && isWorkedByHand(zone, stage))
  if (act === 'agitate' && contact.length === 0) return null
  const shown = act === 'agitate' ? contact : mine
  const tools = toolsFor(act, act === 'scrub' ? zones : contact, stage, job)
  const care = toolRinse(tools, stage, corner, job)
  const text = textOf(act, {
    stage,
    where: piece ? partOf(where, piece.name) : where,
    isPart: piece !== null,
    zones: shown,
    round,
    tools,
    toolRinse: care,
    ...surroundings(stage, corner, zones, context),
  })
  const mistNumber = act === 'reMist' ? nextMist() : 0
  // Rubber and liners are scrubbed in rounds and rinsed once at the end.
  const hasRounds = stage.rounds > 1 && !(act === 'rinse' && isOnRubber(stage.kind))
  return {
    id: stageStepId(corner.position, stage.id, act, {
      ...(mistNumber > 0 ? { mist: mistNumber } : {}),
      ...(hasRounds ? { round } : {}),
      ...(part > 0 ? { part } : {}),
    }),
    act,
    corner: corner.position,
    stageId: stage.id,
    ...text,
    ...(isFreshCoat ? freshCoat(where, stage) : {}),
    ...(timing?.isStaggered && coats === 1 && part === 0 ? asYouComeToIt(act, text, shown, care) : {}),
    zones: shown,
    tools,
    ...clocksOf({ act, part, round }, way, stage, corner, job),
    part: part > 0 && coats === 1 ? { number: part, of: sections } : null,
    ...(part === 0 || part === sections ? asking(act, [stage]) : {}),
    cautions: cautionsAt(act, stage, corner, job),
  }
}

/** How long an act of a stage takes, and the clocks it starts and stops. */
function clocksOf(
  { act, part, round }: StageAct,
  { timing, coats, sections }: Way,
  stage: Stage,
  corner: Corner,
  job: Job,
): Pick<Step, 'operatorSeconds' | 'startsDwell' | 'stopsDwellOf' | 'wetLimitSeconds'> {
  // The clock runs from the first spray to the rinse; what is wiped on dry has none.
  const dwells = !isFinishing(stage.kind) && stage.kind !== 'waterless' && stage.kind !== 'polish'
  // Coats are steps of their own.
  const whole = secondsWorked(act, stage, afterRounds(corner, round), coats > 1 ? undefined : timing, job)
  const isShared = part > 0 && act !== 'reMist' && !(coats > 1 && act === 'spray')
  const shared = isShared ? Math.max(5, Math.ceil(whole / sections)) : whole
  const operatorSeconds =
    act === 'agitate' ? Math.min(shared, brushSeconds(stage, corner, part > 0 ? sections : 1, job)) : shared
  const starts = (act === 'spray' && dwells) || (act === 'protect' && goesOnWet(stage))
  return {
    operatorSeconds,
    startsDwell: starts
      ? { minSeconds: stage.dwellSeconds.min, maxSeconds: rinseWithin(stage, timing, operatorSeconds) }
      : null,
    stopsDwellOf: act === 'rinse' ? stage.id : null,
    wetLimitSeconds: act === 'rinse' || !dwells || act === 'dry' ? null : (timing?.wetLimitSeconds ?? null),
  }
}

/** What is sprayed on the wet wheel to protect it comes off again straight away. */
const rinseAtOnce = (stage: Stage, corner: Corner, zones: readonly Zone[], job: Job): Step => ({
  id: stageStepId(corner.position, stage.id, 'rinse'),
  act: 'rinse',
  corner: corner.position,
  stageId: stage.id,
  ...rinseAtOnceText(term('wheel', corner.position)),
  zones,
  tools: [],
  operatorSeconds: secondsOfAct('rinse', stage.kind, corner, job),
  startsDwell: null,
  stopsDwellOf: stage.id,
  wetLimitSeconds: null,
  part: null,
  cautions: jetCautions(corner, job),
})

/** A soak that the knock-down rinse takes off again. */
export function presoakStep(stage: Stage, corner: Corner, context: StepContext): Step {
  const { job, timings } = context
  const where = term('wheel', corner.position)
  const zones = zonesHere(stage, corner, job)
  const operatorSeconds = secondsOfAct('spray', stage.kind, corner, job)
  const timing = timings.find((one) => one.stageId === stage.id && one.corner === corner.position)
  return {
    id: stageStepId(corner.position, stage.id, 'spray'),
    act: 'spray',
    corner: corner.position,
    stageId: stage.id,
    ...textOf('spray', {
      stage,
      where,
      zones,
      round: 1,
      tools: [],
      toolRinse: '',
      isPart: false,
      ...surroundings(stage, corner, zones, context),
    }),
    zones,
    tools: [],
    operatorSeconds,
    startsDwell: {
      minSeconds: stage.dwellSeconds.min,
      maxSeconds: rinseWithin(stage, timing, operatorSeconds),
    },
    stopsDwellOf: null,
    wetLimitSeconds: timing?.wetLimitSeconds ?? null,
    part: null,
    cautions: stage.cautions,
  }
}

/** The steps of stages that share a rinse: put on, worked, and off together. */
export function passSteps({ stages: shared, acts }: RinsePass, corner: Corner, context: StepContext): Step[] {
  const { job, timings } = context
  const steps: Step[] = []
  const where = term('wheel', corner.position)
  const zonesOf = (stage: Stage): Zone[] => zonesHere(stage, corner, job)
  for (const { stage, act, round, with: also } of acts) {
    if (lacksBrush(act, stage)) continue
    const zones = also ? [...zonesOf(stage), ...zonesOf(also)] : zonesOf(stage)
    const shown =
      act === 'agitate'
        ? contactZones.filter((zone) => zones.includes(zone) && isWorkedByHand(zone, stage))
        : zones
    const timing = timings.find((one) => one.stageId === stage.id && one.corner === corner.position)
    const tools = toolsFor(act, shown, stage, job)
    const care = toolRinse(tools, stage, corner, job)
    const text = textOf(act, {
      stage,
      where,
      zones: shown,
      round,
      tools,
      toolRinse: care,
      isPart: false,
      ...surroundings(stage, corner, zones, context),
    })
    const operatorSeconds = secondsWorked(
      act,
      stage,
      afterRounds(corner, isOnRubber(stage.kind) ? 1 : round),
      timing,
      job,
    )
    steps.push({
      id: stageStepId(corner.position, stage.id, act, stage.rounds > 1 ? { round } : {}),
      act,
      corner: corner.position,
      stageId: stage.id,
      ...text,
      ...(timing?.isStaggered ? asYouComeToIt(act, text, shown, care) : {}),
      ...(also ? { title: archAndTyreTitle(where, stage) } : {}),
      zones: shown,
      tools,
      operatorSeconds,
      startsDwell:
        act === 'spray'
          ? { minSeconds: stage.dwellSeconds.min, maxSeconds: rinseWithin(stage, timing, operatorSeconds) }
          : null,
      ...(also ? { alsoStarts: [also.id] } : {}),
      stopsDwellOf: null,
      wetLimitSeconds: timing?.wetLimitSeconds ?? null,
      part: null,
      ...asking(act, [stage]),
      cautions: saidOnce(
        (also ? [stage, also] : [stage]).flatMap((one) => cautionsAt(act, one, corner, job)),
      ),
    })
  }
  const last = shared.at(-1) as Stage
  const all = [...new Set(shared.flatMap(zonesOf))]
  steps.push({
    id: stageStepId(corner.position, last.id, 'rinse'),
    act: 'rinse',
    corner: corner.position,
    stageId: last.id,
    ...sharedRinseText(where, all),
    zones: all,
    tools: [],
    operatorSeconds: secondsOfAct('rinse', last.kind, corner, job),
    startsDwell: null,
    stopsDwellOf: last.id,
    alsoStops: shared.slice(0, -1).map(({ id }) => id),
    wetLimitSeconds: null,
    part: null,
    ...asking('rinse', shared),
    cautions: jetCautions(corner, job),
  })
  return steps
}

/** What is to be seen at an act: the foam of a tyre, and whether iron still bleeds when it is rinsed. */
function asking(act: Act, stages: readonly Stage[]): Pick<Step, 'asks'> {
  const works = (kind: StageKind): boolean => stages.some((stage) => stage.kind === kind)
  if (act === 'scrub' && works('tyre')) return { asks: 'foam' }
  return act === 'rinse' && works('iron') ? { asks: 'iron' } : {}
}
