import { chooseForGroup, type GroupChoice } from '@/core/choice/chooseForGroup'
import { namePlans, type WholeChoice } from '@/core/choice/namedPlans'
import { optionsFor, type Option } from '@/core/choice/option'
import { mostOptions } from '@/core/choice/promising'
import { withSharedRecipes } from '@/core/choice/sharedRecipes'
import { groupWheels, positionsOf } from '@/core/choice/wheelGroup'
import { hottestMeasured, surfaceOfCorner } from '@/core/conditions/conditions'
import { planNames, type Job, type PlanName } from '@/core/job/job'
import { zoneNames } from '@/core/wheel/zone'
import { alternativesOf, minutesOf, type Version } from './alternatives'
import { amountsOf, fillsOf } from '@/core/stages/bottles'
import { buildStages } from '@/core/stages/buildStages'
import { heldBackBySchool, ladderOf, oneGradeMore } from '@/core/words/explain'
import { tooHot } from '@/core/timing/heat'
import { orderSteps } from '@/core/steps/orderSteps'
import { judge } from '@/core/rules/judge'
import { firstGoodHour, hoursAt } from '@/core/timing/workHours'
import { timingOf } from '@/core/timing/stageTiming'
import type { StageTiming } from '@/core/plan/stageTiming'
import { secondsOfAct } from '@/core/effort/operatorTime'
import type { Act, Plan, Shortfall, Stage, StageKind } from '@/core/plan/plan'
import { verdictsOf } from './productVerdicts'
import { capital, headlineOf, nameCorners, onWheel, summaryOf } from '@/core/words/sayPlan'
import { soilCourses } from './soilCourses'

/** How every stage that puts something wet on is worked at each of its wheels. */
const timingsOf = (job: Job, stages: readonly Stage[]): StageTiming[] =>
  stages
    .filter(({ kind }) => timedActs[kind] !== undefined)
    .flatMap((stage) =>
      job.corners
        .filter(({ position }) => stage.corners.includes(position))
        .map((corner) => {
          const act = timedActs[stage.kind] as Act
          return timingOf(
            { ...stage, labelMaxSeconds: stage.dwellSeconds.max },
            corner,
            secondsOfAct(act, stage.kind, corner, job),
            job,
          )
        }),
    )

/** The act that has to follow while a stage is wet. */
const timedActs: Partial<Record<StageKind, Act>> = {
  arch: 'scrub',
  tyre: 'scrub',
  wash: 'agitate',
  iron: 'agitate',
  mineral: 'agitate',
  tar: 'wipe',
  waterless: 'wipe',
}

function versionOf(job: Job, choices: readonly GroupChoice[], whole: WholeChoice): Version {
  const staged = buildStages(job, choices, whole)
  const dry = choices.filter(({ startsDry }) => startsDry).flatMap(({ group }) => positionsOf(group))
  const timings = timingsOf(job, staged.stages)
  const steps = orderSteps(job, staged.stages, timings, dry)
  return {
    ...staged,
    whole,
    steps,
    timings,
    operatorSeconds: steps.reduce((sum, step) => sum + step.operatorSeconds, 0),
    costMinor: staged.stages.reduce((sum, stage) => sum + stage.costMinor, 0),
  }
}

const hottestReckoned = (job: Job): number =>
  Math.max(...job.corners.map((corner) => surfaceOfCorner(corner, job.conditions).celsius))

function assumptionsOf(job: Job, choices: readonly GroupChoice[]): string[] {
  const unknown = new Set(
    job.corners.flatMap((corner) =>
      (['face', 'barrel', 'windows', 'lip'] as const).filter(
        (zone) =>
          !corner.finishes[zone] ||
          corner.finishes[zone]?.finish === 'unknown' ||
          corner.finishes[zone]?.condition === 'unknown',
      ),
    ),
  )
  return [
    ...(unknown.size > 0
      ? [
          `The finish of ${[...unknown].map((zone) => zoneNames[zone]).join(', ')} is not known for sure: planned as bare metal.`,
        ]
      : []),
    ...(hottestMeasured(job.conditions) === undefined
      ? [
          `The wheels were not measured: reckoned at ${Math.round(hottestReckoned(job))} °C from air, sun and wind. A reading overrides it.`,
        ]
      : []),
    ...(choices.some(({ options }) => options.length > 2 * mostOptions)
      ? [
          'The cabinet is very large: where hundreds of uses compete, only the most promising were weighed in every order. Archive what you do not use.',
        ]
      : []),
    'Minutes, amounts and what comes off are house estimates.',
  ]
}

/** What cannot be kept wet now, and the hour or the shade in which it can. */
function notNow(job: Job, timings: readonly StageTiming[]): Shortfall[] {
  const late = timings.filter(({ isNotNow }) => isNotNow)
  if (late.length === 0) return []
  const corners = job.corners.filter(({ position }) => late.some(({ corner }) => corner === position))
  const { conditions, estimates } = job
  const hours = corners.flatMap((corner) => {
    const hour = firstGoodHour(
      hoursAt(corner, 'trigger', conditions, estimates),
      conditions.startHour ?? 24,
      goodWetSeconds,
    )
    return hour === null ? [] : [hour]
  })
  const shade = conditions.exposure === 'shade' ? '' : 'Move it into the shade, or '
  return [
    {
      corners: corners.map(({ position }) => position),
      text: late[0]?.text ?? '',
      mend:
        hours.length === corners.length && hours.length > 0
          ? `${shade}${shade ? 'start' : 'Start'} after ${Math.max(...hours)}:00.`
          : `${shade}${shade ? 'cool' : 'Cool'} the wheels with water first and measure again.`,
    },
  ]
}

/** A film that lasts so long can be worked, seconds. */
const goodWetSeconds = 150

/** The washer of the shop against the rule on pressure: nothing is rinsed with more. */
function tooMuchPressure(job: Job): Shortfall[] {
  const site = { zone: 'face', surface: null, vehicleKind: job.vehicleKind, schools: job.schools } as const
  const { rules } = judge({}, { ...site, protectionLive: false, pressureBar: job.equipment.pressureBar })
  return rules.map(({ reason }) => ({
    corners: job.corners.map(({ position }) => position),
    text: reason,
    mend: `Turn the washer down from ${job.equipment.pressureBar} bar, or step back with a wide fan, before the first rinse.`,
  }))
}

const testSpotText =
  'Back of a spoke or inside of the barrel, low down: a palm’s breadth, mildest candidate first, half its dwell, rinse, dry, look against the light. Haze, colour on the cloth or a dull ring: stop, go one milder.'

/** A plan that cannot be worked now has no steps; it says when and where it can. */
const notWorkable = (plan: Plan, heat: Shortfall): Plan => ({
  ...plan,
  headline: `Not now, the wheels are too hot. ${heat.mend}`,
  operatorSeconds: 0,
  costMinor: 0,
  waterLitres: 0,
  steps: [],
  shortfalls: [heat],
})

/** Plans a job: which product where and how strong, with which tool, how long, in which order, for how much. */
export function makePlan(job: Job): Plan {
  const corners = job.corners.filter(({ curing }) => !curing)
  if (corners.length === 0) return nothingToDo(workablePlan(job), curingOf(job))
  const plan = workablePlan({ ...job, corners })
  const heat = plan.stages.length === 0 ? tooHot({ ...job, corners }) : null
  const made = heat ? notWorkable(plan, heat) : plan
  return corners.length === job.corners.length
    ? made
    : { ...made, shortfalls: [curingOf(job), ...made.shortfalls] }
}

/** Wheels on which a protection cures stay dry, whatever the visit is for. */
function curingOf(job: Job): Shortfall {
  const corners = job.corners.filter(({ curing }) => curing).map(({ position }) => position)
  return {
    corners,
    text: `What was put ${nameCorners(
      corners,
      job.corners.map(({ position }) => position),
    )} still cures: nothing wet comes near it today.`,
    mend: 'Come back when it has cured; the page of the wheel set says from when on.',
  }
}

const nothingToDo = (plan: Plan, why: Shortfall): Plan => ({
  ...notWorkable(plan, why),
  headline: `Nothing to do today. ${why.text}`,
  stages: [],
  fills: [],
  amounts: [],
  protections: [],
  timings: [],
  testSpot: null,
})

function workablePlan(job: Job): Plan {
  const groups = groupWheels(job)
  const choices = withSharedRecipes(groups.map((group) => chooseForGroup(group, job, optionsFor(group, job))))
  const bare: WholeChoice = {
    perGroup: choices.map(() => ({ stages: [], cost: [0, 0, 0, 0] })),
    cost: [0, 0, 0, 0],
  }
  const fixed = versionOf(job, choices, bare)
  const { plans, withinLimits } = namePlans(choices, job, fixed.operatorSeconds, fixed.costMinor)
  const versions = Object.fromEntries(
    planNames.map((name) => [
      name,
      versionOf({ ...job, wishes: { ...job.wishes, prefer: name } }, choices, plans[name]),
    ]),
  ) as Record<PlanName, Version>
  const chosen = versions[job.wishes.prefer]
  const { stages, steps } = chosen
  const alternatives = alternativesOf(job, versions)
  const amounts = amountsOf(job, stages)
  const rinseSeconds = steps
    .filter(({ act }) => act === 'rinse' || act === 'preRinse')
    .reduce((sum, step) => sum + step.operatorSeconds, 0)
  const mixingLitres = stages.reduce((sum, { recipe }) => sum + recipe.waterMillilitres / 1000, 0)
  const optionsText = (options: readonly Option[]) =>
    [...new Set(options.map(({ product }) => product.name))].join(', then ')
  const other = alternatives.find(
    ({ name, summary }) => name === 'fastest' && summary !== capital(summaryOf(job, stages)),
  )
  const usedIds = stages.filter(onWheel).map(({ productId }) => productId)
  return {
    headline: headlineOf(job, stages, chosen.operatorSeconds),
    service: job.service,
    chosen: job.wishes.prefer,
    operatorSeconds: chosen.operatorSeconds,
    costMinor: chosen.costMinor,
    currency: job.currency,
    waterLitres: Math.round((rinseSeconds / 60) * job.equipment.lance.washerLitresPerMinute + mixingLitres),
    alternatives,
    stages,
    steps,
    fills: fillsOf(job, stages),
    amounts,
    protections: chosen.protections,
    soil: soilCourses(job, choices, chosen),
    verdicts: verdictsOf(job, groups),
    wouldChange: [
      ...(other
        ? [
            `With less than ${minutesOf(chosen.operatorSeconds)} minutes: ${other.summary}, ${minutesOf(other.operatorSeconds)} minutes.`,
          ]
        : []),
      oneGradeMore(choices, optionsText),
      heldBackBySchool(choices),
    ].filter((text) => text !== null),
    ladder: ladderOf(choices, usedIds),
    testSpot: choices.some((choice, index) =>
      choice.options.some(
        (option, at) =>
          plans[job.wishes.prefer].perGroup[index]?.stages.includes(at) &&
          option.judgement.rules.some((rule) => rule.testSpot),
      ),
    )
      ? testSpotText
      : null,
    schools: chosen.schools,
    assumptions: assumptionsOf(job, choices),
    timings: chosen.timings,
    sequence: null,
    shortfalls: [
      ...tooMuchPressure(job),
      ...notNow(job, chosen.timings),
      ...chosen.shortfalls,
      ...(withinLimits
        ? []
        : [
            {
              corners: job.corners.map(({ position }) => position),
              text: 'No plan keeps to the minutes or the money allowed; this is the nearest.',
              mend: 'Allow more, leave a wheel out, or choose a lighter service.',
            },
          ]),
    ],
  }
}
