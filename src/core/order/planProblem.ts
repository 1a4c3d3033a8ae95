import { hotBrakes } from '@/core/conditions/brakesNow'
import { estimate } from '@/core/estimates/houseEstimates'
import type { Job } from '@/core/job/job'
import { stagesOfStep, takesOff, type Plan, type Stage, type Step } from '@/core/plan/plan'
import { jobStepIds, triedStageIds } from '@/core/plan/stepId'
import type { Lag, Operation, SequenceProblem } from '@/core/sequence/problem/problem'
import { spareOf } from '@/core/tools/spareTool'
import type { Position } from '@/core/wheel/position'
import { isShadedBeside } from '@/core/steps/sunOrder'
import { isPutOnWet } from '@/core/steps/wheelSteps'
import { walkSecondsBetween } from './walking'

/** The steps of a plan as operations; what comes before the first wheel and after the last is done by everybody together. */
export interface PlanProblem {
  readonly problem: SequenceProblem
  /** By operation. */
  readonly steps: readonly Step[]
  readonly before: readonly Step[]
  /** Dry work, wheel after wheel, and what comes at the end of the job. */
  readonly after: readonly Step[]
  readonly places: readonly (Position | 'vehicle')[]
}

/** Steps of the whole job that come before any wheel. */
const isBefore = (step: Step): boolean =>
  step.corner === null &&
  ['lookRound', 'coolCheck', 'getReady'].includes(step.act) &&
  step.id !== jobStepIds.wheelsOn
const isAfter = (step: Step): boolean => step.corner === null && step.act !== 'body' && !isBefore(step)

/** Dry work at a wheel: nothing wet comes after it, so it waits until all wheels are rinsed. */
function isDryWork({ act, corner, stageId }: Step, stages: readonly Stage[]): boolean {
  if (corner === null) return false
  const stage = stages.find(({ id }) => id === stageId)
  if (!stage) return act === 'dry'
  return stage.kind === 'dress' || stage.kind === 'polish' || (stage.kind === 'protect' && !isPutOnWet(stage))
}

/** What is held during a step: one name for what is one thing. */
function toolOf(step: Step): string {
  switch (step.act) {
    case 'preRinse':
    case 'rinse':
      return 'washer gun'
    case 'spray':
    case 'reMist':
    case 'protect':
      return `bottle of ${step.stageId ?? ''}`
    case 'lookAgain':
      return 'eyes'
    case 'body':
      return 'body kit'
    default:
      return step.tools.length > 0
        ? [...step.tools].sort().join(' + ')
        : `tools of ${step.stageId ?? step.act}`
  }
}

/** Tools of which the kit has but one: two people cannot both use them. */
function singleToolsOf(job: Job, steps: readonly Step[], nameOf: (step: Step) => string): string[] {
  const single = new Set<string>()
  for (const step of steps) {
    if (step.act === 'lookAgain') continue
    const hasPair =
      step.tools.length > 0 && step.tools.every((name) => spareOf(name, job.tools) !== undefined)
    if (!hasPair) single.add(nameOf(step))
  }
  return [...single]
}

/**
 * What is held during each step. Where two work, sets of tools that have one in common are one thing: who holds the mitt of one
 * keeps the other from it.
 */
function toolNames(job: Job, steps: readonly Step[]): (step: Step) => string {
  if (job.crew.people === 1) return toolOf
  const sets: Set<string>[] = []
  for (const { act, tools } of steps) {
    if (act === 'lookAgain' || tools.length === 0) continue
    const shared = sets.filter((set) => tools.some((tool) => set.has(tool)))
    const merged = new Set([...tools, ...shared.flatMap((set) => [...set])])
    sets.splice(0, sets.length, ...sets.filter((set) => !shared.includes(set)), merged)
  }
  return (step) => {
    const set = sets.find((one) => step.tools.some((tool) => one.has(tool)))
    return set && toolOf(step) === [...step.tools].sort().join(' + ')
      ? [...set].sort().join(' + ')
      : toolOf(step)
  }
}

/** Seconds until a corner's brakes are cool enough to wet; 0 where nothing was read or it is cool. */
export function coolSeconds(job: Job, corner: Position): number {
  return (
    hotBrakes(job.conditions, job.estimates).find(({ position }) => position === corner)?.waitSeconds ?? 0
  )
}

/** A mist comes no sooner than after this share of the film's time, or when its part of the dwell is over. House estimate. */
const mistSpacing = 0.5

/** Limits of comfort, not of chemistry: given up where the work has got out of its order. */
export const restWhy = 'rest'

/** A rinsed wheel waits no longer for its next wet step, seconds. House estimate. */
const restSeconds = 600

/**
 * The dwell of a stage, shared out over its mists, seconds: where the label is tight a mist comes no later.
 * @param id the spray, or a mist after it
 */
function partOfDwell(steps: readonly Step[], id: number, stageId: string): number {
  const isOfIt = (step: Step): boolean =>
    step.corner === steps[id]?.corner && stagesOfStep(step).includes(stageId)
  const spray = steps.slice(0, id + 1).findLastIndex((step) => step.startsDwell && isOfIt(step))
  const after = steps.slice(spray + 1).filter(isOfIt)
  const mists = after.findIndex(({ act }) => act !== 'reMist')
  return Math.round((steps[spray]?.startsDwell?.minSeconds ?? Infinity) / Math.max(1, mists))
}

/** Builds the problem of a plan. Lags come from the steps: dwell and label from `startsDwell`, the wet limit from `wetLimitSeconds`. */
export function planProblem(job: Job, plan: Pick<Plan, 'steps' | 'stages'>): PlanProblem {
  const before = plan.steps.filter(isBefore)
  const isAtWheel = (step: Step): boolean => !isBefore(step) && !isAfter(step)
  // Where all there is is dry work it is put in order itself.
  const hasWetWork = plan.steps.some((step) => isAtWheel(step) && !isDryWork(step, plan.stages))
  const isLast = (step: Step): boolean => isAfter(step) || (hasWetWork && isDryWork(step, plan.stages))
  const after = plan.steps.filter(isLast)
  const steps = plan.steps.filter((step) => !isBefore(step) && !isLast(step))
  const nameOf = toolNames(job, steps)
  const places = [...new Set(steps.map(({ corner }) => corner ?? ('vehicle' as const)))]
  const beside = estimate('secondsWalk', job.estimates)
  const operations: Operation[] = steps.map((step, id) => ({
    id,
    place: places.indexOf(step.corner ?? 'vehicle'),
    name: step.id,
    durationSeconds: Math.max(1, Math.round(step.operatorSeconds)),
    tool: nameOf(step),
  }))
  const lags: Lag[] = []
  const order = (from: number, to: number, why = 'order') =>
    lags.push({ from, to, minSeconds: 0, maxSeconds: null, why })
  for (const place of places.keys()) {
    const here = operations.filter((operation) => operation.place === place).map(({ id }) => id)
    here.slice(1).forEach((id, at) => order(here[at] as number, id))
    here.forEach((id, at) => {
      for (const stageId of stagesOfStep(steps[id] as Step)) wetLags(id, here.slice(at + 1), stageId)
      restLag(id, here.slice(at + 1))
    })
  }
  shadeFirst()
  triedFirst()
  /** What a step that puts something on asks of the steps after it, up to its rinse. */
  function wetLags(id: number, later: readonly number[], stageId: string): void {
    const step = steps[id] as Step
    const sameWetting = (other: number): boolean => {
      const next = steps[other] as Step
      return (
        (stagesOfStep(next).includes(stageId) && (next.part?.number ?? 0) === (step.part?.number ?? 0)) ||
        (!stagesOfStep(next).includes(stageId) && takesOff(next, stageId))
      )
    }
    const own = later.filter(sameWetting)
    const next = own.find((other) => steps[other]?.act !== 'reMist')
    // A fresh round begins the label's clock anew; the rinse stops it.
    const rinse = later.find(
      (other) =>
        takesOff(steps[other] as Step, stageId) ||
        (steps[other]?.act === 'spray' && stagesOfStep(steps[other] as Step).includes(stageId)),
    )
    if (step.startsDwell && next !== undefined) {
      const { minSeconds, maxSeconds } = step.startsDwell
      lags.push({ from: id, to: next, minSeconds, maxSeconds: null, why: 'dwell' })
      const last = rinse ?? next
      // Contact that the label is too short for is worked for as long as it allows.
      if (maxSeconds >= minSeconds)
        lags.push({
          from: id,
          to: last,
          minSeconds: 0,
          maxSeconds: Math.max(maxSeconds, leastUntil(id, last)),
          why: 'label',
        })
    }
    if (step.wetLimitSeconds === null) return
    const wetter = own[0]
    if (wetter === undefined) return
    const duration = operations[wetter]?.durationSeconds ?? 0
    const isRinse = steps[wetter]?.act === 'rinse'
    // The brush is everywhere only when it is through; a rinse wets at its start.
    const most = step.wetLimitSeconds - (isRinse ? 0 : duration)
    const latest = Math.max(most, leastUntil(id, wetter))
    lags.push({
      from: id,
      to: wetter,
      // Mists are spaced by the film: straight after the spray they only run off.
      minSeconds:
        steps[wetter]?.act === 'reMist'
          ? Math.min(latest, Math.round(mistSpacing * step.wetLimitSeconds), partOfDwell(steps, id, stageId))
          : 0,
      maxSeconds: latest,
      why: 'wet',
    })
  }
  /** A rinsed wheel is not left standing before its next wet step: it would dry to spots. */
  function restLag(id: number, later: readonly number[]): void {
    const step = steps[id] as Step
    const [next] = later
    if (next === undefined || (step.act !== 'rinse' && step.act !== 'preRinse')) return
    if (steps[next]?.startsDwell)
      lags.push({ from: id, to: next, minSeconds: 0, maxSeconds: restSeconds, why: restWhy })
  }
  /** What is tried at one wheel comes to no other before. */
  function triedFirst(): void {
    steps.forEach((step, id) => {
      const tried = triedStageIds(step.id)
      if (tried.length === 0) return
      for (const place of places.keys()) {
        const first = operations.find(
          (operation) =>
            operation.place === place && tried.includes((steps[operation.id] as Step).stageId ?? ''),
        )
        if (first && place !== operations[id]?.place) order(id, first.id, 'test spot')
      }
    })
  }
  /** Work begins on the shaded side. */
  function shadeFirst(): void {
    const firsts = places.flatMap((place, at) => {
      const first = operations.find((operation) => operation.place === at)
      return place === 'vehicle' || !first ? [] : [{ place, id: first.id }]
    })
    for (const shaded of firsts)
      for (const sunny of firsts)
        if (isShadedBeside(shaded.place, sunny.place, job.conditions)) order(shaded.id, sunny.id, 'shade')
  }
  /** The shortest that can lie between two steps of one wheel when nobody leaves it. */
  function leastUntil(from: number, to: number): number {
    let seconds = 0
    const place = operations[from]?.place
    let tool = operations[from]?.tool
    const change = estimate('secondsToolChange', job.estimates)
    for (const operation of operations.slice(from + 1, to + 1)) {
      if (operation.place !== place) continue
      if (operation.tool !== tool) seconds += change
      tool = operation.tool
      const dwell = steps[from]?.startsDwell?.minSeconds ?? 0
      const first = operations
        .slice(from + 1)
        .find((one) => one.place === place && steps[one.id]?.act !== 'reMist')
      if (operation.id === first?.id) seconds = Math.max(seconds, dwell)
      if (operation.id !== to) seconds += operation.durationSeconds
    }
    return seconds
  }
  return {
    before,
    after,
    steps,
    places,
    problem: {
      places,
      operations,
      lags,
      people: job.crew.people,
      peoplePerPlace: 2,
      singleTools: job.crew.people > 1 ? singleToolsOf(job, steps, nameOf) : [],
      walkSeconds: places.map((from) =>
        places.map((to) =>
          from === to
            ? 0
            : from === 'vehicle' || to === 'vehicle'
              ? beside
              : walkSecondsBetween(from, to, beside),
        ),
      ),
      toolChangeSeconds: estimate('secondsToolChange', job.estimates),
    },
  }
}
