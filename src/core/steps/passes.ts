import { message, type Message } from '@/core/message/message'
import { familyOf } from '@/core/chemistry/families'
import type { Trait } from '@/core/chemistry/family'
import { estimate } from '@/core/estimates/houseEstimates'
import type { Corner, Job } from '@/core/job/job'
import type { StageTiming } from '@/core/plan/stageTiming'
import type { Act } from '@/core/acts/act'
import { secondsWorked } from './secondsWorked'
import { rinseWithin } from './rinseWithin'
import type { Stage } from '@/core/plan/plan'
import { isOff } from '@/core/reachability/zoneReach'
import { isOnRubber } from '@/core/acts/stageKind'

/** One thing done in a pass, before its rinse. */
export interface PassAct {
  readonly stage: Stage
  readonly act: Extract<Act, 'spray' | 'scrub' | 'agitate'>
  readonly round: number
  /** A stage that goes on with the same application. */
  readonly with?: Stage
}

/**
 * One coming to a wheel: what may be wet together is put on together, worked, and leaves with one rinse. A pass of one
 * stage is worked as that stage asks for, in rounds and parts.
 */
export interface RinsePass {
  readonly stages: readonly Stage[]
  /** In order; empty for a pass of one stage. */
  readonly acts: readonly PassAct[]
  /** Why it is not one with the pass before, as a clause; null for the first. */
  readonly because: Message | null
}

const onRubber = ({ kind }: Stage): boolean => isOnRubber(kind)
const traitsOf = ({ family }: Stage): readonly Trait[] => familyOf(family).traits
const isAcid = (stage: Stage): boolean =>
  traitsOf(stage).some((trait) => trait === 'mildAcid' || trait === 'strongAcid')
const isAlkali = (stage: Stage): boolean =>
  traitsOf(stage).some((trait) => trait === 'mildAlkali' || trait === 'strongAlkali')
const isSolvent = (stage: Stage): boolean => stage.kind === 'tar' || stage.kind === 'waterless'

/** Where chemistry or the way of working keeps two stages apart, as a clause; null where they may be wet together. */
function apart(one: Stage, other: Stage, job: Job, timings: readonly StageTiming[]): Message | null {
  if (isSolvent(one) || isSolvent(other))
    return [one, other].some(({ family }) => family === 'tarRemover')
      ? message('steps.apart.tarOnDry')
      : message('steps.apart.rinseFirst')
  if ((isAcid(one) && isAlkali(other)) || (isAlkali(one) && isAcid(other)))
    return message('steps.apart.acidAndAlkali')
  if ((one.keptOffWheel || other.keptOffWheel) && !(onRubber(one) && onRubber(other)))
    return message('steps.apart.harmsWheel')
  // With the wheel off its arch stays at the car.
  if (isOff(job) && (one.kind === 'arch') !== (other.kind === 'arch')) return message('steps.apart.wheelOff')
  if (isOverFoam(one, other, job)) return null
  if (!onRubber(one) && !onRubber(other)) return message('steps.apart.rinseFirst')
  const inParts = timings.some(
    ({ stageId, sections, mists }) =>
      (stageId === one.id || stageId === other.id) && (sections > 1 || mists > 0),
  )
  if (inParts) return message('steps.apart.inParts')
  if (timings.some(({ stageId, freshCoats }) => freshCoats && (stageId === one.id || stageId === other.id)))
    return message('steps.apart.sprayedAgain')
  return null
}

/** A strong foam that goes over the cleaner which is on the wheel. */
const isFoam = ({ family }: Stage): boolean => family === 'alkalineFoam'
const isOverFoam = (one: Stage, other: Stage, { methods }: Job): boolean =>
  methods.overFoaming && !onRubber(one) && !onRubber(other) && isFoam(one) !== isFoam(other)

/** Rubber goes on round by round; a wheel that is washed twice is rinsed in between, so that its second round has a pass of its own. */
const roundsInPass = (stage: Stage): number => (onRubber(stage) ? stage.rounds : 1)
/** Stages of a pass that have further rounds after its rinse. */
export const goingOn = ({ stages, acts }: RinsePass): Stage[] =>
  acts.length === 0 ? [] : stages.filter((stage) => stage.rounds > roundsInPass(stage))

const workOf = (stage: Stage): 'scrub' | 'agitate' => (onRubber(stage) ? 'scrub' : 'agitate')

/**
 * What is done with stages that share a rinse: all put on, then each worked; further rounds of rubber follow their first.
 * @param late the wheel's own cleaner is put on just before its brush
 */
function actsTogether(stages: readonly Stage[], late: boolean): PassAct[] {
  const waits = (stage: Stage): boolean => !onRubber(stage) && (late || stage.delivery === 'bucket')
  const first = stages
    .filter((stage) => !waits(stage))
    .map((stage): PassAct => ({ stage, act: 'spray', round: 1 }))
  const cleaners = stages.filter((stage) => !onRubber(stage))
  // What was foamed over is brushed once, through the foam.
  const brushed = (stage: Stage): boolean => onRubber(stage) || stage === cleaners.at(-1)
  const worked = besideEachOther(stages).flatMap((beside) =>
    Array.from({ length: Math.max(...beside.map(roundsInPass)) }, (_, at): PassAct[] => {
      const again = beside.filter((stage) => roundsInPass(stage) > at)
      return [
        ...again
          .filter((stage) => at > 0 || waits(stage))
          .map((stage): PassAct => ({ stage, act: 'spray', round: at + 1 })),
        ...again.filter(brushed).map((stage): PassAct => ({ stage, act: workOf(stage), round: at + 1 })),
      ]
    }).flat(),
  )
  return sameMixOnce([...first, ...worked])
}

/** The wheel washed first, arch and tyre after it: where brushing takes longer than their label allows. */
function rubberLast(stages: readonly Stage[]): PassAct[] | null {
  const wheel = stages.filter((stage) => !onRubber(stage))
  const rubber = stages.filter(onRubber)
  if (rubber.length === 0 || wheel.length === 0) return null
  return [...actsTogether(wheel, false), ...actsTogether(rubber, false)]
}

/** Arch and tyre go round by round together; the wheel's own stages one by one. */
const besideEachOther = (stages: readonly Stage[]): Stage[][] =>
  stages.reduce<Stage[][]>((groups, stage) => {
    const last = groups.at(-1)
    const before = last?.at(-1)
    return last && before && onRubber(before) && onRubber(stage)
      ? [...groups.slice(0, -1), [...last, stage]]
      : [...groups, [stage]]
  }, [])

/** The same mix on arch and tyre is one application. */
const sameMixOnce = (acts: readonly PassAct[]): PassAct[] =>
  acts.reduce<PassAct[]>((done, act) => {
    const before = done.at(-1)
    const isSame =
      before?.act === 'spray' &&
      act.act === 'spray' &&
      act.round === before.round &&
      onRubber(before.stage) &&
      onRubber(act.stage) &&
      before.stage.productId === act.stage.productId &&
      before.stage.strength.from === act.stage.strength.from
    return isSame ? [...done.slice(0, -1), { ...before, with: act.stage }] : [...done, act]
  }, [])

/** Why these acts, worked without a pause, do not hold every label and film until the shared rinse; null where they do. */
function breaks(
  acts: readonly PassAct[],
  corner: Corner,
  job: Job,
  timings: readonly StageTiming[],
): Message | null {
  const change = estimate('secondsToolChange', job.estimates)
  const sprayed = new Map<Stage, number>()
  const wetted = new Map<Stage, number>()
  const spraying = new Map<Stage, number>()
  let now = 0
  const timingOf = (stage: Stage): StageTiming | undefined =>
    timings.find(({ stageId, corner: at }) => stageId === stage.id && at === corner.position)
  const dries = (stage: Stage): boolean =>
    now - (wetted.get(stage) ?? now) > (timingOf(stage)?.wetLimitSeconds ?? Infinity)
  for (const { stage, act, with: also } of acts) {
    if (act !== 'spray') now = Math.max(now, (sprayed.get(stage) ?? now) + stage.dwellSeconds.min)
    now += change + secondsWorked(act, stage, corner, timingOf(stage), job)
    if (dries(stage)) return message('steps.apart.dries', { product: stage.productName })
    for (const one of also ? [stage, also] : [stage]) {
      if (act === 'spray') {
        sprayed.set(one, now)
        spraying.set(one, secondsWorked(act, stage, corner, timingOf(stage), job))
      }
      wetted.set(one, now)
    }
  }
  now += change
  for (const stage of sprayed.keys()) {
    if (dries(stage)) return message('steps.apart.dries', { product: stage.productName })
    if (now - (sprayed.get(stage) ?? now) > rinseWithin(stage, timingOf(stage), spraying.get(stage) ?? 0))
      return message('steps.apart.label', {
        product: stage.productName,
        time: { dwellSeconds: stage.dwellSeconds.max },
      })
  }
  return null
}

const isActs = (found: readonly PassAct[] | Message): found is readonly PassAct[] => Array.isArray(found)

/** The acts with which stages can share a rinse at this wheel, or the clause that says why they cannot. */
function shared(
  stages: readonly Stage[],
  corner: Corner,
  job: Job,
  timings: readonly StageTiming[],
): readonly PassAct[] | Message {
  for (const [at, one] of stages.entries())
    for (const other of stages.slice(at + 1)) {
      const clause = apart(one, other, job, timings)
      if (clause) return clause
    }
  const together = actsTogether(stages, false)
  if (breaks(together, corner, job, timings) === null) return together
  const late = actsTogether(stages, true)
  const clause = breaks(late, corner, job, timings)
  if (clause === null) return late
  const last = rubberLast(stages)
  return last && breaks(last, corner, job, timings) === null ? last : clause
}

/**
 * The passes of one wheel: its cleaning stages in their order, as many in one pass as may be wet together and hold their
 * labels and films until the rinse they share.
 */
export function passesOf(
  stages: readonly Stage[],
  corner: Corner,
  job: Job,
  timings: readonly StageTiming[],
): RinsePass[] {
  const here = timings.filter(({ corner: at }) => at === corner.position)
  const passes: RinsePass[] = []
  for (const stage of stages) {
    const before = passes.at(-1)
    const joined: readonly PassAct[] | Message | null =
      before === undefined
        ? null
        : job.methods.passes === 'everyStage'
          ? message('steps.apart.everyStage')
          : shared([...before.stages, stage], corner, job, here)
    if (before && joined !== null && isActs(joined))
      passes[passes.length - 1] = { ...before, stages: [...before.stages, stage], acts: joined }
    else
      passes.push({ stages: [stage], acts: [], because: joined === null || isActs(joined) ? null : joined })
  }
  return passes
}
