import { chooseForGroup, type GroupChoice } from '@/core/choice/chooseForGroup'
import { amountAt, targetAmount, wheelSoils } from '@/core/choice/need'
import { namePlans, type WholeChoice } from '@/core/choice/namedPlans'
import { judgedDwell, optionsFor, sitesOf, type Option } from '@/core/choice/option'
import { groupWheels, positionsOf, type WheelGroup } from '@/core/choice/wheelGroup'
import { leftOf } from '@/core/efficacy/removal'
import { estimate } from '@/core/estimates/houseEstimates'
import { planNames, type Job, type PlanName } from '@/core/job/job'
import { protectionFacts } from '@/core/protection/kinds'
import { services } from '@/core/services/service'
import { familyOf } from '@/core/chemistry/families'
import { axleOf, type Position } from '@/core/wheel/position'
import { zoneNames } from '@/core/wheel/zone'
import { buildStages, workableRecipe, type StagedJob } from './buildStages'
import { heldBackBySchool, ladderOf, oneGradeMore } from './explain'
import { orderSteps } from './orderSteps'
import type { Alternative, Fill, Plan, ProductAmount, ProductVerdict, SoilCourse, Stage, Step } from './plan'
import { mostOptions } from '@/core/choice/search'
import { groupStages } from './wheelStages'

/** How a person names a group of wheels. */
export function nameCorners(corners: readonly Position[], all: readonly Position[]): string {
  if (corners.length === all.length) return all.length === 1 ? 'on the wheel' : 'all round'
  const fronts = all.filter((position) => position.startsWith('front'))
  const rears = all.filter((position) => !position.startsWith('front'))
  const same = (group: readonly Position[]) =>
    group.length === corners.length && group.every((position) => corners.includes(position))
  if (fronts.length > 0 && same(fronts)) return 'on the fronts only'
  if (rears.length > 0 && same(rears)) return 'on the rears only'
  return `on ${corners.length} of ${all.length} wheels`
}

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1)
const onWheel = ({ kind }: Stage): boolean => !['arch', 'tyre', 'protect', 'dress'].includes(kind)

const times = ({ rounds }: Stage): string =>
  rounds === 1 ? '' : rounds === 2 ? ' twice' : ` ${rounds} times`

/** Products of one kind of stage: "A all round", or "A in front, B behind". */
function sayStages(stages: readonly Stage[], all: readonly Position[]): string {
  const rears = all.filter((position) => axleOf(position) === 'rear')
  return stages
    .map((stage) => {
      const { productName, corners } = stage
      const where = nameCorners(corners, all)
      const twice = times(stage)
      if (stages.length === 1 || all.length === 1 || rears.length === all.length)
        return `${productName}${twice} ${where}`
      return `${productName}${twice} ${where === 'on the fronts only' ? 'in front' : where === 'on the rears only' ? 'behind' : where}`
    })
    .join(', ')
}

/** Stages that differ only in strength or dwell are one to the ear. */
function sameWords(stages: readonly Stage[]): Stage[] {
  return stages.reduce<Stage[]>((said, stage) => {
    const at = said.findIndex(
      (one) =>
        one.kind === stage.kind &&
        one.productId === stage.productId &&
        one.rounds === stage.rounds &&
        !one.corners.some((corner) => stage.corners.includes(corner)),
    )
    const known = said[at]
    if (!known) return [...said, stage]
    return said.map((one, index) =>
      index === at ? { ...known, corners: [...known.corners, ...stage.corners] } : one,
    )
  }, [])
}

function summaryOf(job: Job, stages: readonly Stage[]): string {
  const all = job.corners.map(({ position }) => position)
  const mine = sameWords(stages.filter(onWheel))
  const places = new Set(mine.map(({ corners }) => nameCorners(corners, all)))
  // The same wheels all through: the place is said once.
  if (places.size === 1)
    return `${mine.map((stage) => `${stage.productName}${times(stage)}`).join(', then ')} ${[...places][0]}`
  const kinds = [...new Set(mine.map(({ kind }) => kind))]
  return kinds
    .map((kind) =>
      sayStages(
        mine.filter((stage) => stage.kind === kind),
        all,
      ),
    )
    .join('; then ')
}

function headlineOf(job: Job, stages: readonly Stage[], operatorSeconds: number): string {
  const summary = summaryOf(job, stages)
  const minutes = Math.round(operatorSeconds / 60)
  if (summary === '') return 'Nothing in the cabinet can wash these wheels.'
  return `${capital(summary)}. ${minutes} minutes, ${job.crew.people === 1 ? 'one pair of hands' : 'two pairs of hands'}.`
}

function amountsOf(job: Job, stages: readonly Stage[]): ProductAmount[] {
  return job.cabinet.flatMap((product) => {
    const used = stages.filter(({ productId }) => productId === product.id)
    if (used.length === 0) return []
    const concentrateMillilitres = used.reduce((sum, { recipe }) => sum + recipe.concentrateMillilitres, 0)
    return [
      {
        productId: product.id,
        productName: product.name,
        concentrateMillilitres,
        stockMillilitres: product.stockMillilitres,
        shortMillilitres: Math.max(0, Math.ceil(concentrateMillilitres - product.stockMillilitres)),
        costMinor: used.reduce((sum, stage) => sum + stage.costMinor, 0),
      },
    ]
  })
}

/** Bottles and buckets to make ready: the same mix in the same kind of container is filled once. */
function fillsOf(job: Job, stages: readonly Stage[]): Fill[] {
  const fills = new Map<string, Stage[]>()
  for (const stage of stages) {
    const key = `${stage.productId} ${stage.delivery} ${stage.strength.from}`
    fills.set(key, [...(fills.get(key) ?? []), stage])
  }
  return [...fills.values()].map((same) => {
    const [first] = same as [Stage, ...Stage[]]
    const total =
      first.delivery === 'bucket'
        ? first.recipe.totalMillilitres
        : same.reduce((sum, { recipe }) => sum + recipe.totalMillilitres, 0)
    return {
      container: first.delivery,
      productName: first.productName,
      recipe: workableRecipe(first.strength.from, total, job.equipment.smallestMeasureMillilitres),
      stageIds: same.map(({ id }) => id),
    }
  })
}

interface Version extends StagedJob {
  readonly whole: WholeChoice
  readonly steps: Step[]
  readonly operatorSeconds: number
  readonly costMinor: number
}

function versionOf(job: Job, choices: readonly GroupChoice[], whole: WholeChoice): Version {
  const staged = buildStages(job, choices, whole)
  const dry = choices.filter(({ startsDry }) => startsDry).flatMap(({ group }) => positionsOf(group))
  const steps = orderSteps(job, staged.stages, dry)
  return {
    ...staged,
    whole,
    steps,
    operatorSeconds: steps.reduce((sum, step) => sum + step.operatorSeconds, 0),
    costMinor: staged.stages.reduce((sum, stage) => sum + stage.costMinor, 0),
  }
}

/** Worst share lost on any wheel, and what that is in days of the layer that lasts longest. */
function protectionLost(job: Job, stages: readonly Stage[]): { share: number; days: number } {
  return job.corners.reduce(
    (worst, { position, protection }) => {
      const share = Math.min(
        1,
        stages
          .filter(({ corners }) => corners.includes(position))
          .reduce((sum, stage) => sum + stage.protectionLostShare, 0),
      )
      const lives = protection
        .filter((kind) => protectionFacts[kind].on === 'wheel')
        .map((kind) => Math.sqrt(protectionFacts[kind].lifeDays.from * protectionFacts[kind].lifeDays.to))
      return {
        share: Math.max(worst.share, share),
        days: Math.max(worst.days, Math.round(share * Math.max(0, ...lives))),
      }
    },
    { share: 0, days: 0 },
  )
}

const minutesOf = (seconds: number): number => Math.round(seconds / 60)

function whyAlternative(
  name: PlanName,
  mine: Version,
  others: Readonly<Record<PlanName, Version>>,
  job: Job,
): string {
  const rival = name === 'gentlest' ? others.fastest : others.gentlest
  const same = summaryOf(job, mine.stages) === summaryOf(job, rival.stages)
  if (same) return 'Gentle and quick are the same here.'
  const minutes = Math.abs(minutesOf(mine.operatorSeconds) - minutesOf(rival.operatorSeconds))
  const [a, b] = [protectionLost(job, mine.stages).share, protectionLost(job, rival.stages).share]
  const percent = Math.round(Math.abs(a - b) * 100)
  if (name === 'gentlest') {
    return `Least for finish and protection: ${percent > 0 ? `${percent} % less of it lost` : 'less that asks for care'} for ${minutes} ${minutes === 1 ? 'minute' : 'minutes'} more than the fastest.`
  }
  if (name === 'fastest') {
    return `${minutes} ${minutes === 1 ? 'minute' : 'minutes'} less than the gentlest, ${percent > 0 ? `for ${percent} % more of the protection` : 'with more that asks for care'}.`
  }
  return 'Minutes, product, protection and care weighed against each other.'
}

function alternativesOf(job: Job, versions: Readonly<Record<PlanName, Version>>): Alternative[] {
  return planNames.map((name) => {
    const version = versions[name]
    const lost = protectionLost(job, version.stages)
    return {
      name,
      summary: capital(summaryOf(job, version.stages)),
      operatorSeconds: version.operatorSeconds,
      costMinor: version.costMinor,
      protectionLostShare: lost.share,
      protectionLostDays: lost.days,
      risk: Math.round(version.whole.cost[3] * 10) / 10,
      why: whyAlternative(name, version, versions, job),
    }
  })
}

/** What stays of each soil, worst zone of each group, before and after every stage. */
function soilCourses(job: Job, choices: readonly GroupChoice[], version: Version): SoilCourse[] {
  const { targets } = services[job.service]
  return choices.flatMap((choice, index) => {
    const found = version.whole.perGroup[index]
    if (!found) return []
    const positions = positionsOf(choice.group)
    const stages = groupStages(choice, found)
    return wheelSoils.flatMap((soil, at): SoilCourse[] => {
      const zones = choice.group.zones.filter((zone) => amountAt(choice.group, zone, soil) > 0)
      if (zones.length === 0) return []
      const leftAfter = (exponent: number) => {
        const all = zones.map((zone) =>
          leftOf(
            amountAt(choice.group, zone, soil),
            exponent * (choice.group.mechanics.get(zone) ?? 1),
            job.estimates,
          ),
        )
        const worst = (read: (left: (typeof all)[number]) => number) => Math.max(...all.map(read))
        return {
          expected: worst((left) => left.expected),
          low: worst((left) => left.low),
          high: worst((left) => left.high),
        }
      }
      let sum = 0
      const target = targets[soil]
      const ids = stageIdsInOrder(version.stages, stages, positions[0] as Position)
      return [
        {
          corners: positions,
          soil,
          target: target === undefined ? null : targetAmount(target, job.estimates),
          left: [
            { stageId: null, ...leftAfter(0) },
            ...stages.map((stage, order) => {
              sum += stage.effect[at] ?? 0
              return { stageId: ids[order] ?? null, ...leftAfter(sum) }
            }),
          ],
        },
      ]
    })
  })
}

/** Ids of the built stages that the stages of one group became, in order. */
function stageIdsInOrder(
  built: readonly Stage[],
  stages: ReturnType<typeof groupStages>,
  position: Position,
): string[] {
  const mine = built.filter((stage) => onWheel(stage) && stage.corners.includes(position))
  return stages.map((_, index) => mine[index]?.id ?? '')
}

/** What the rule book says of every cleaner and protection of the cabinet, over all wheels. */
function verdictsOf(job: Job, groups: readonly WheelGroup[]): ProductVerdict[] {
  const rubber = (zone: 'tyre' | 'arch') =>
    sitesOf({ corners: job.corners, zones: [zone], tools: new Map(), mechanics: new Map() }, job)
  const places = {
    clean: groups.flatMap((group) => sitesOf(group, job)),
    // Nobody protects a caliper.
    protect: groups.flatMap((group) =>
      sitesOf(
        group,
        job,
        group.zones.filter((zone) => zone !== 'caliper'),
      ),
    ),
    tyre: rubber('tyre'),
    arch: rubber('arch'),
  }
  return job.cabinet
    .filter(({ archived }) => !archived)
    .map((product) => {
      const { surfaces, purpose } = familyOf(product.family)
      const sites = surfaces.includes('wheel')
        ? places[purpose]
        : surfaces.includes('tyre')
          ? places.tyre
          : places.arch
      const { judgement } = judgedDwell(product, sites, product.strength.to)
      return {
        productId: product.id,
        productName: product.name,
        verdict: judgement.verdict,
        reason: judgement.rules[0]?.reason ?? 'No rule speaks against it here.',
        ruleIds: judgement.rules.map(({ id }) => id),
      }
    })
}

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
    ...(job.conditions.surfaceCelsius === undefined
      ? [`The wheels were not measured: taken as cool, at the air’s ${job.conditions.airCelsius} °C.`]
      : []),
    ...(choices.some(({ options }) => options.length > 2 * mostOptions)
      ? [
          'The cabinet is very large: where hundreds of uses compete, only the most promising were weighed in every order. Archive what you do not use.',
        ]
      : []),
    'Minutes, amounts and what comes off are house estimates.',
  ]
}

const testSpotText =
  'Back of a spoke or inside of the barrel, low down: a palm’s breadth, mildest candidate first, half its dwell, rinse, dry, look against the light. Haze, colour on the cloth or a dull ring: stop, go one milder.'

/** Plans a job: which product where and how strong, with which tool, how long, in which order, for how much. */
export function makePlan(job: Job): Plan {
  const groups = groupWheels(job)
  const choices = groups.map((group) => chooseForGroup(group, job, optionsFor(group, job)))
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
    waterLitres: Math.round(
      (rinseSeconds / 60) * estimate('washerLitresPerMinute', job.estimates) + mixingLitres,
    ),
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
    shortfalls: [
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
