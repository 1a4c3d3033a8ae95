import { message, sentences, type Said } from '@/core/message/message'
import { term } from '@/core/message/term'
import { worstGrade } from '@/core/soils/zoneLoads'
import { wheelSoils, type WheelSoil } from '@/core/choice/need'
import { optionsFor, type Option } from '@/core/choice/option'
import { groupWheels } from '@/core/choice/wheelGroup'
import { harshOf } from '@/core/choice/cost'
import { roleOf } from '@/core/choice/role'
import { ratingOf } from '@/core/chemistry/product'
import { isFinishing } from '@/core/acts/stageKind'
import type { Job } from '@/core/job/job'
import { testSpotId, triedStageIds } from '@/core/plan/stepId'
import type { Plan, Stage, Step } from '@/core/plan/plan'
import { optionText } from '@/core/reasons/explain'
import { replaceStage } from './replaceStage'
import { insertAfter, leftOut, withSight } from './seenPlan'
import type { Sighting } from './sighting'
import { stepsUp } from './wheelEscalation'

/** The stage an answer speaks of. */
export const triedStage = (plan: Plan, step: Step, stageId?: string): Stage | undefined => {
  // A stage that took the place of another is tried in its name.
  const names = triedStageIds(step.id)
  return plan.stages.find(({ id }) => id === (stageId ?? names[0]) && names.includes(id))
}

/** What could take the place of a stage on its wheels; empty where the stage is not for wheels. */
function optionsInstead(job: Job, stage: Stage): Option[] {
  const corners = job.corners.filter(({ position }) => stage.corners.includes(position))
  const options = groupWheels({ ...job, corners }).map((group) =>
    optionsFor(group, job).filter(
      ({ judgement, rounds, role }) =>
        judgement.verdict !== 'no' && rounds === 1 && role === roleOf(stage.family),
    ),
  )
  const [first = [], ...rest] = options
  // Fine at one axle and forbidden at the other is nothing for both.
  return first.filter((option) =>
    rest.every((others) =>
      others.some(
        ({ product, fraction }) => product.id === option.product.id && fraction === option.fraction,
      ),
    ),
  )
}

/** What a stage is mainly there for. */
function mainSoil(job: Job, stage: Stage): WheelSoil | null {
  const product = job.cabinet.find(({ id }) => id === stage.productId)
  const corners = job.corners.filter(({ position }) => stage.corners.includes(position))
  const weight = (soil: WheelSoil): number =>
    product ? worstGrade(corners, stage.zones, soil) * ratingOf(product, soil) : 0
  const [most] = [...wheelSoils].sort((a, b) => weight(b) - weight(a))
  return most && weight(most) > 0 ? most : null
}

/** Fine: goes on. Nothing came off: one escalation up. Marked: that product stops here, and something milder takes its place. */
export function seeTestSpot(seen: Sighting<'testSpot'>): Plan {
  const { plan, step, answer } = seen
  const stage = triedStage(plan, step, answer.stageId)
  if (!stage) return plan
  switch (answer.spot) {
    case 'fine':
      return withSight(plan, step.id, message('observations.testSpot.fine', { product: stage.productName }))
    case 'nothing':
      return goneUp(seen, stage)
    case 'marked':
      return stopped(seen, stage)
    default:
      return answer.spot satisfies never
  }
}

function goneUp(seen: Sighting<'testSpot'>, stage: Stage): Plan {
  const { job, plan, step } = seen
  const soil = mainSoil(job, stage)
  const [up] = soil ? stepsUp(optionsInstead(job, stage), soil, [stage]) : []
  if (!up)
    return withSight(
      plan,
      step.id,
      message('observations.testSpot.nothingStronger', { product: stage.productName }),
    )
  return inItsPlace(
    seen,
    stage,
    up,
    message('observations.testSpot.stronger', { product: stage.productName, other: optionText(up) }),
  )
}

function stopped(seen: Sighting<'testSpot'>, stage: Stage): Plan {
  const { job, plan, step, settled } = seen
  const soil = mainSoil(job, stage)
  const at = soil ? wheelSoils.indexOf(soil) : -1
  const harsh = optionsInstead(job, stage).find(({ product }) => product.id === stage.productId)
  const limit = harsh ? harshOf(harsh.cost) : Infinity
  const [milder] = optionsInstead(job, stage)
    .filter(
      ({ product, cost, removes }) =>
        product.id !== stage.productId && harshOf(cost) < limit && (at < 0 || (removes[at] ?? 0) > 0),
    )
    .sort((a, b) => (b.removes[at] ?? 0) - (a.removes[at] ?? 0))
  const said = message('observations.testSpot.marked', { product: stage.productName })
  if (milder)
    return inItsPlace(
      seen,
      stage,
      milder,
      sentences(said, message('observations.testSpot.milder', { product: optionText(milder) })),
    )
  const gone = plan.steps.filter(
    ({ stageId, act, alsoStops }) =>
      stageId === stage.id && (act !== 'rinse' || (alsoStops ?? []).length === 0),
  )
  return withSight(
    leftOut(
      plan,
      gone.map(({ id }) => id),
      settled,
    ),
    step.id,
    sentences(said, message('observations.testSpot.noneMilder')),
  )
}

/** Another product for the same work on the same wheels; one that asks for it is tried first. */
function inItsPlace(seen: Sighting<'testSpot'>, stage: Stage, option: Option, said: Said): Plan {
  const { job, plan, step, corner } = seen
  const put = replaceStage(plan, job, stage, option, said, seen.settled)
  const asks = put.stage.rules.some(({ testSpot }) => testSpot)
  const told = withSight(put.plan, step.id, said)
  if (!asks || isFinishing(stage.kind)) return told
  const again: Step = {
    ...step,
    id: testSpotId(corner.position, [put.stage]),
    title: message('steps.testSpot.title', {
      wheel: term('wheel', corner.position),
      products: [put.stage.productName],
    }),
    cautions: put.stage.cautions,
    addedBecause: said,
  }
  return insertAfter(told, step.id, [again])
}
