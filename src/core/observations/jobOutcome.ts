import { questionOf } from '@/core/cards/cardsOf'
import { familyOf } from '@/core/chemistry/families'
import type { Finish } from '@/core/finishes/finish'
import type { Job } from '@/core/job/job'
import type { TestSpot } from '@/core/job/testSpot'
import type { PlannedProtection, Stage, Step } from '@/core/plan/plan'
import { surfaceOf } from '@/core/rules/judge'
import { beads } from '@/core/protection/kinds'
import type { LookGrade } from '@/core/protection/record'
import type { Leftover } from '@/core/run/leftover'
import type { RunState } from '@/core/run/runState'
import { positions, type Position } from '@/core/wheel/position'
import { foamAmounts, roundsMore } from './foamRounds'
import { foamsAt } from './seeFoam'
import { triedStage } from './seeTestSpot'
import { washOf, type Wash } from './washOf'
import { workedSeconds } from './workedSeconds'

/** A product as it was used, all its stages together. */
export interface ProductUse {
  readonly id: string
  readonly name: string
  readonly concentrateMillilitres: number
  readonly costMinor: number
}

/** A look at the protection of one wheel, taken down at the second look. */
export interface Beading {
  readonly position: Position
  readonly at: Date
  readonly grade: LookGrade
}

/** What a job has come to, as far as it was worked. */
export interface JobOutcome {
  /** What was still there when it was last looked at. */
  readonly leftovers: readonly Leftover[]
  readonly used: readonly ProductUse[]
  /** Hand time of what was done, as the plan has it. */
  readonly operatorSeconds: number
  /** By the taps' own clock, without long breaks; null where there are too few. */
  readonly clockSeconds: number | null
  /** What the wash did to the protection that was on. */
  readonly wash: Wash
  /** How water beaded on what was on, by wheel, where somebody looked. */
  readonly beadings: readonly Beading[]
  /** Wheels from which the old protection went. */
  readonly stripped: readonly Position[]
  readonly applied: readonly (PlannedProtection & { readonly productName: string })[]
  readonly testSpots: readonly (TestSpot & { readonly productName: string })[]
  /** Tyre rounds, all wheels together: planned, and what the foam asked for; null where nobody looked. */
  readonly tyreRounds: { readonly planned: number; readonly needed: number } | null
}

const doneSteps = ({ plan, settled }: RunState): Step[] =>
  plan.steps.filter(({ id }) => settled.get(id)?.as === 'done')

/** Wheels at which something of a stage was done. */
const cornersDone = (stage: Stage, done: readonly Step[]): Position[] =>
  stage.corners.filter((corner) => done.some((step) => step.stageId === stage.id && step.corner === corner))

/** What was last seen at each wheel: what stayed at the look, foam that is not bare, iron that still bleeds. */
function leftoversOf({ plan, settled }: RunState): Leftover[] {
  return positions.flatMap((position): Leftover[] => {
    const here = plan.steps.filter(({ corner }) => corner === position)
    const last = (asks: Step['asks']): Step | undefined =>
      here.findLast((step) => questionOf(step) === asks && settled.get(step.id)?.as === 'done')
    const answerOf = (step: Step | undefined) => step && settled.get(step.id)?.answer
    const look = answerOf(last('look'))
    const foam = answerOf(last('foam'))
    const iron = answerOf(last('iron'))
    const found: Leftover[] = [
      ...(look?.question === 'look' ? look.stayed.map((one) => ({ position, ...one })) : []),
      ...(foam?.question === 'foam' && foamAmounts[foam.foam] > foamAmounts.cream
        ? [{ position, zone: 'tyre' as const, soil: 'tyreBrowning' as const }]
        : []),
      // A look that came after it, and found nothing, knows better.
      ...(iron?.question === 'iron' && iron.iron === 'bleeding' && look === undefined
        ? [{ position, zone: 'barrel' as const, soil: 'bondedDust' as const }]
        : []),
    ]
    return found.filter(
      ({ zone, soil }, at) => found.findIndex((one) => one.zone === zone && one.soil === soil) === at,
    )
  })
}

/** The last look at each wheel that had protection on, and still has. */
function beadingsOf({ corners }: Job, { plan, settled }: RunState, stripped: readonly Position[]): Beading[] {
  return corners.flatMap(({ position, protection }): Beading[] => {
    if (!protection.some(beads) || stripped.includes(position)) return []
    const seen = plan.steps.findLast((step) => {
      const answer = settled.get(step.id)?.answer
      return step.corner === position && answer?.question === 'look' && answer.beading !== undefined
    })
    const one = seen && settled.get(seen.id)
    return one?.answer?.question === 'look' && one.answer.beading !== undefined
      ? [{ position, at: one.tappedAt, grade: one.answer.beading }]
      : []
  })
}

function usedOf(state: RunState, done: readonly Step[]): ProductUse[] {
  const { stages, amounts } = state.plan
  return amounts.flatMap(({ productId, productName }) => {
    const parts = stages
      .filter((stage) => stage.productId === productId)
      .map((stage) => {
        const wheels = cornersDone(stage, done).length
        // A bucket is mixed once, however many wheels are washed from it.
        const share = stage.delivery === 'bucket' ? Math.min(1, wheels) : wheels / stage.corners.length
        return { millilitres: stage.recipe.concentrateMillilitres * share, minor: stage.costMinor * share }
      })
    const concentrateMillilitres = parts.reduce((sum, { millilitres }) => sum + millilitres, 0)
    return concentrateMillilitres === 0
      ? []
      : [
          {
            id: productId,
            name: productName,
            concentrateMillilitres: Math.round(concentrateMillilitres * 10) / 10,
            costMinor: Math.round(parts.reduce((sum, { minor }) => sum + minor, 0)),
          },
        ]
  })
}

/** Where a product that strips was used. */
function strippedBy(job: Job, state: RunState, done: readonly Step[]): Position[] {
  const strips = ({ productId, family: id, kind }: Stage): boolean => {
    const family = familyOf(id)
    // What the product itself does goes before what its family does.
    const own = job.cabinet.find((product) => product.id === productId)?.wear
    return (
      family.purpose === 'clean' && (own ?? family.wear) === 'strips' && kind !== 'tyre' && kind !== 'arch'
    )
  }
  return [...new Set(state.plan.stages.filter(strips).flatMap((stage) => cornersDone(stage, done)))]
}

function spotsOf(job: Job, state: RunState): JobOutcome['testSpots'] {
  return state.plan.steps.flatMap((step) => {
    const answer = state.settled.get(step.id)?.answer
    const corner = job.corners.find(({ position }) => position === step.corner)
    const [zone] = step.zones
    if (answer?.question !== 'testSpot' || answer.spot === 'nothing' || !corner || !zone) return []
    const stage = triedStage(state.plan, step, answer.stageId)
    const finish: Finish | undefined = surfaceOf(zone, corner.finishes)?.finish
    return stage && finish
      ? [{ productId: stage.productId, productName: stage.productName, finish, result: answer.spot }]
      : []
  })
}

/** How many rounds the tyres took, or would have taken, until the foam was cream. */
function tyreRoundsOf({ plan, settled }: RunState): JobOutcome['tyreRounds'] {
  const answers = new Map([...settled].flatMap(([id, { answer }]) => (answer ? [[id, answer] as const] : [])))
  const wheels = positions.flatMap((position) => {
    const scrubs = plan.steps.filter(({ corner, asks }) => corner === position && asks === 'foam')
    const last = scrubs.at(-1)
    const foams = last ? foamsAt({ plan, step: last, answers }) : []
    if (foams.length === 0) return []
    const planned = Math.max(
      1,
      scrubs.filter(({ addedBecause }) => addedBecause === undefined).length,
      ...plan.stages
        .filter(
          ({ kind, corners, id }) => kind === 'tyre' && corners.includes(position) && !id.includes('-round'),
        )
        .map(({ rounds }) => rounds),
    )
    const bare = foams.findIndex((foam) => foamAmounts[foam] <= foamAmounts.cream)
    return [{ planned, needed: bare >= 0 ? bare + 1 : foams.length + (roundsMore(foams) ?? 1) }]
  })
  const sum = (read: (one: (typeof wheels)[number]) => number) =>
    wheels.reduce((all, one) => all + read(one), 0)
  return wheels.length === 0
    ? null
    : { planned: sum(({ planned }) => planned), needed: sum(({ needed }) => needed) }
}

/** What a job has come to when it is written down. Only stages of which a step was really done count. */
export function jobOutcome(job: Job, state: RunState): JobOutcome {
  const done = doneSteps(state)
  const stripped = strippedBy(job, state, done)
  return {
    leftovers: leftoversOf(state),
    used: usedOf(state, done),
    operatorSeconds: done.reduce((sum, step) => sum + step.operatorSeconds, 0),
    clockSeconds: workedSeconds(state),
    wash: washOf(job, state),
    beadings: beadingsOf(job, state, stripped),
    stripped,
    applied: state.plan.protections.flatMap((protection) => {
      const stage = state.plan.stages.find(
        ({ productId, corners }) => productId === protection.productId && corners.includes(protection.corner),
      )
      return stage && cornersDone(stage, done).includes(protection.corner)
        ? [{ ...protection, productName: stage.productName }]
        : []
    }),
    testSpots: spotsOf(job, state),
    tyreRounds: tyreRoundsOf(state),
  }
}
