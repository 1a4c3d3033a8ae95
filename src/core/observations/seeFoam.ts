import { message, sentences, type Message, type Said } from '@/core/message/message'
import { takesOff, type Plan, type Stage, type Step } from '@/core/plan/plan'
import type { Foam } from '@/core/run/answer'
import { foamAmounts, hasStalled, roundsMore } from './foamRounds'
import { nextRung } from './escalation'
import { addedSteps, insertAfter, laterAt, leftOut, rinseOf, withSight, withStage } from './seenPlan'
import type { Sighting } from './sighting'
import { escalationStage, stageAgain } from './stageAgain'

/** More than this the hands and the rubber give up. */
const maxRounds = 5
/** So many different things are tried on one tyre in one visit. */
const maxProducts = 3

const isTyre = (plan: Plan, id: string | null): boolean =>
  plan.stages.some((stage) => stage.id === id && stage.kind === 'tyre')

/** Rounds of the tyre of one wheel up to a step, with what was seen at each. */
export function foamsAt({ plan, step, answers }: Pick<Sighting, 'plan' | 'step' | 'answers'>): Foam[] {
  const at = plan.steps.findIndex(({ id }) => id === step.id)
  return plan.steps
    .slice(0, at + 1)
    .filter(({ corner, asks }) => corner === step.corner && asks === 'foam')
    .flatMap(({ id }) => {
      const answer = answers.get(id)
      return answer?.question === 'foam' ? [answer.foam] : []
    })
}

/** Rounds that are still planned at the wheel: what is put on and scrubbed, and rinses that are for them alone. */
function roundsLeft({ plan, step }: Sighting<'foam'>): Step[] {
  const later = laterAt(plan, step.id)
  const own = later.filter(
    ({ stageId, act }) => isTyre(plan, stageId) && act !== 'rinse' && act !== 'dress' && act !== 'protect',
  )
  const [first] = own
  if (!first) return []
  const worked = new Set(own.map(({ stageId }) => stageId))
  const rinses = later.filter(
    (one) =>
      one.act === 'rinse' &&
      one.stageId !== step.stageId &&
      worked.has(one.stageId) &&
      (one.alsoStops ?? []).length === 0,
  )
  return [...own, ...rinses]
}

const sayForecast = (foams: readonly Foam[]): Said => {
  const more = roundsMore(foams)
  return more === null || more === 0 ? '' : message('observations.foam.fewer', { rounds: more })
}

const foamText = (foam: Foam): Message => message(`observations.foam.${foam}`)
const startsWithFoam = (foam: Foam) => ({ foam: { capital: foamText(foam) } })

/** White ends the rounds, brown and tan bring one more; where it does not fall, something else goes on. */
export function seeFoam(seen: Sighting<'foam'>): Plan {
  const { plan, step, answer, settled } = seen
  const { foam } = answer
  const planned = roundsLeft(seen).filter(({ id }) => !settled.has(id))
  const foams = foamsAt(seen)
  if (foam === 'white') {
    const without = leftOut(
      plan,
      planned.map(({ id }) => id),
      settled,
    )
    const isLess = planned.length > 0
    return withSight(
      without,
      step.id,
      message(isLess ? 'observations.foam.cleanNoMore' : 'observations.foam.clean'),
    )
  }
  if (foamAmounts[foam] <= foamAmounts.cream)
    return withSight(
      plan,
      step.id,
      planned.length > 0
        ? message('observations.foam.plannedIsEnough')
        : message('observations.foam.cleanEnough'),
    )
  if (hasStalled(foams)) return changed(seen, planned, foams)
  if (planned.length > 0)
    return withSight(
      plan,
      step.id,
      sentences(message('observations.foam.next', startsWithFoam(foam)), sayForecast(foams)),
    )
  if (foams.length >= maxRounds)
    return withSight(
      plan,
      step.id,
      message('observations.foam.giveUp', { foam: foamText(foam), rounds: foams.length }),
    )
  return oneMore(seen, foams)
}

/** The same once more. */
function oneMore(seen: Sighting<'foam'>, foams: readonly Foam[]): Plan {
  const { job, plan, step, corner, answer } = seen
  const stage = plan.stages.find(({ id }) => id === step.stageId)
  if (!stage) return plan
  const because = sentences(
    message('observations.foam.oneMore', startsWithFoam(answer.foam)),
    sayForecast(foams),
  )
  return withRound(seen, plan, stageAgain(job, stage, corner, roundId(seen, foams), because), because)
}

/** What falls no further is not scrubbed a third time with the same. */
function changed(seen: Sighting<'foam'>, planned: readonly Step[], foams: readonly Foam[]): Plan {
  const { job, plan, step, corner, answer, settled } = seen
  const here = new Set(plan.steps.filter((one) => one.corner === step.corner).map(({ stageId }) => stageId))
  const tried = plan.stages.filter(({ id, kind }) => kind === 'tyre' && here.has(id))
  const escalation = nextRung(job, { corner, zone: 'tyre', soil: 'tyreBrowning', tried })
  const said = message('observations.foam.stalled', startsWithFoam(answer.foam))
  if (!escalation)
    return withSight(plan, step.id, sentences(said, message('observations.foam.nothingStronger')))
  if (foams.length >= maxRounds || tried.length >= maxProducts)
    return withSight(plan, step.id, sentences(said, message('observations.foam.leaveIt')))
  const without = leftOut(
    plan,
    planned.map(({ id }) => id),
    settled,
  )
  const because = sentences(said, escalation.why)
  return withRound(seen, without, escalationStage(job, escalation, corner, roundId(seen, foams)), because)
}

/** Stable whatever is seen at the other wheels: the wheel and the number of the round. */
const roundId = ({ step }: Sighting<'foam'>, foams: readonly Foam[]): string =>
  `tyre-${step.corner}-round${foams.length + 1}`

/** Puts a round in: in before the rinse that is due where that was chosen, else with a rinse of its own after it. */
function withRound(seen: Sighting<'foam'>, plan: Plan, stage: Stage, because: Said): Plan {
  const { job, step, corner, answer } = seen
  const booked = withStage(plan, job, stage)
  const rinse = step.stageId === null ? undefined : rinseOf(booked, step.id, step.stageId)
  const added = addedSteps(booked, job, stage, corner, because)
  const isNow = answer.place === 'now' && rinse !== undefined
  const put = isNow
    ? alsoStopping(
        insertAfter(
          booked,
          step.id,
          added.filter(({ act }) => act !== 'rinse'),
        ),
        rinse,
        stage,
      )
    : insertAfter(booked, rinse?.id ?? step.id, added)
  return withSight(put, step.id, because)
}

const alsoStopping = (plan: Plan, rinse: Step, stage: Stage): Plan => ({
  ...plan,
  steps: plan.steps.map((step) =>
    step.id === rinse.id && !takesOff(step, stage.id)
      ? { ...step, alsoStops: [...(step.alsoStops ?? []), stage.id] }
      : step,
  ),
})
