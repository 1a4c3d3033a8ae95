import { message, sameSaid } from '@/core/message/message'
import { chooseForGroup } from '@/core/choice/chooseForGroup'
import { namePlans } from '@/core/choice/namedPlans'
import { optionsFor } from '@/core/choice/option'
import { withSharedRecipes } from '@/core/choice/sharedRecipes'
import { groupWheels, type WheelGroup } from '@/core/choice/wheelGroup'
import { handSecondsAllowed, planNames, type Job, type PlanName, type Wishes } from '@/core/job/job'
import type { Plan, Shortfall } from '@/core/plan/plan'
import { RubberCandidates } from '@/core/stages/rubberCandidates'
import { amountsOf } from '@/core/stages/bottles'
import { heldBackByMethod, oneGradeMore } from '@/core/reasons/explain'
import { ladderOf } from '@/core/reasons/ladder'
import { headlineOf } from '@/core/reasons/headline'
import { onWheel } from '@/core/reasons/summary'
import { alternativesOf, summaryIn } from './alternatives'
import { assumptionsOf } from './assumptions'
import { tooMuchPressure } from './pressure'
import { verdictsOf } from './productVerdicts'
import { secondRounds } from './secondRounds'
import { soilCourses } from './soilCourses'
import { sayThinLance } from './thinLance'
import { sayTooFewMinutes } from './tooFewMinutes'
import { sayTooShort } from './tooShortLabels'
import { fixedCosts, versionOf, type Version } from './version'

/** So much less is worth another way. House estimate. */
const worthAWordSeconds = 180

/** Plans wheels that can be worked now with what is in the cabinet. */
export function workablePlan(job: Job): Plan {
  const groups = groupWheels(job)
  const choices = withSharedRecipes(groups.map((group) => chooseForGroup(group, job, optionsFor(group, job))))
  const rubber = new RubberCandidates(job)
  const fixed = fixedCosts(job, choices, rubber)
  const plans = namePlans(choices, job, fixed.seconds, fixed.minor)
  const versions = trueToName(
    job,
    Object.fromEntries(
      planNames.map((name) => [
        name,
        versionOf({ ...job, wishes: { ...job.wishes, prefer: name } }, choices, plans[name], rubber),
      ]),
    ) as Record<PlanName, Version>,
  )
  const chosen = versions[job.wishes.prefer]
  const { stages, steps } = chosen
  const alternatives = alternativesOf(job, versions)
  const amounts = amountsOf(job, stages, chosen.fills)
  const rinseSeconds = steps
    .filter(({ act }) => act === 'rinse' || act === 'preRinse')
    .reduce((sum, step) => sum + step.operatorSeconds, 0)
  const mixingLitres = stages.reduce((sum, { recipe }) => sum + recipe.waterMillilitres / 1000, 0)
  const other = alternatives.find(
    ({ name, summary, operatorSeconds }) =>
      name === 'fastest' &&
      !sameSaid(summary, summaryIn(job, stages)) &&
      chosen.operatorSeconds - operatorSeconds >= worthAWordSeconds,
  )
  const soil = soilCourses(job, choices, chosen)
  const usedIds = stages.filter(onWheel).map(({ productId }) => productId)
  return {
    headline:
      isToolMissing(groups) && !stages.some(onWheel)
        ? message('reasons.headline.noTool')
        : headlineOf(job, stages, chosen.operatorSeconds),
    service: job.service,
    chosen: job.wishes.prefer,
    operatorSeconds: chosen.operatorSeconds,
    costMinor: chosen.costMinor,
    currency: job.currency,
    waterLitres: Math.round((rinseSeconds / 60) * job.equipment.lance.washerLitresPerMinute + mixingLitres),
    alternatives,
    stages,
    steps,
    fills: chosen.fills,
    amounts,
    protections: chosen.protections,
    soil,
    secondRounds: secondRounds(job, stages, soil),
    verdicts: verdictsOf(job, groups),
    wouldChange: [
      ...(other
        ? [
            message('reasons.change.lessTime', {
              time: { seconds: chosen.operatorSeconds },
              summary: other.summary,
              other: { seconds: other.operatorSeconds },
            }),
          ]
        : []),
      oneGradeMore(choices, usedIds),
      heldBackByMethod(choices),
    ].filter((text) => text !== null),
    ladder: ladderOf(choices, usedIds),
    testSpot: stages.some(({ rules }) => rules.some((rule) => rule.testSpot))
      ? message('reasons.testSpot')
      : null,
    methods: chosen.methods,
    assumptions: assumptionsOf(job, choices),
    timings: chosen.timings,
    sequence: null,
    shortfalls: [
      ...tooMuchPressure(job),
      ...sayTooShort(job),
      ...sayThinLance(job, stages),
      ...chosen.shortfalls,
      ...(keepsLimits(job, chosen) ? [] : [sayBeyondLimits(job, chosen)]),
    ],
  }
}

/**
 * The search reckons in parts; what counts is the whole. The fastest is the one whose steps take least, and where the minutes
 * allowed are too few for what was preferred, the quickest stands in for it, unless it costs more than is allowed.
 */
function trueToName(
  job: Job,
  versions: Readonly<Record<PlanName, Version>>,
): Readonly<Record<PlanName, Version>> {
  const { prefer, costAllowedMinor = Infinity } = job.wishes
  const fastest = planNames
    .map((name) => versions[name])
    .reduce((least, one) => (one.operatorSeconds < least.operatorSeconds ? one : least), versions.fastest)
  const isTooLong =
    versions[prefer].operatorSeconds > handSecondsAllowed(job) && fastest.costMinor <= costAllowedMinor
  return { ...versions, fastest, ...(isTooLong ? { [prefer]: fastest } : {}) }
}

/** Whether there are zones within reach, and nothing in the kit works any of them. */
const isToolMissing = (groups: readonly WheelGroup[]): boolean =>
  groups.some(({ tools }) => tools.size > 0) && groups.every(({ zones }) => zones.length === 0)

const withoutLimits = ({ prefer, pinned, forbidden }: Wishes): Wishes => ({ prefer, pinned, forbidden })

const keepsLimits = (job: Job, { operatorSeconds, costMinor }: Version): boolean =>
  operatorSeconds <= handSecondsAllowed(job) && costMinor <= (job.wishes.costAllowedMinor ?? Infinity)

/** What is too much for the wishes, and what would fit. */
function sayBeyondLimits(job: Job, { stages, steps, operatorSeconds, costMinor }: Version): Shortfall {
  const { costAllowedMinor = Infinity } = job.wishes
  if (operatorSeconds > handSecondsAllowed(job))
    return sayTooFewMinutes(
      job,
      stages,
      steps,
      (service) => workablePlan({ ...job, service, wishes: withoutLimits(job.wishes) }).operatorSeconds,
    )
  return {
    corners: job.corners.map(({ position }) => position),
    text: message('reasons.limits.money'),
    fix:
      costMinor > costAllowedMinor ? message('reasons.limits.moneyFix') : message('reasons.limits.bothFix'),
  }
}
