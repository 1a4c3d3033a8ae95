import type { ProtectionWear } from '@/core/chemistry/family'
import { familyOf, type FamilyId } from '@/core/chemistry/families'
import { ratingOf, wearOf, type Product } from '@/core/chemistry/product'
import { coldBelowCelsius } from '@/core/efficacy/coldDwell'
import { removalInTime } from '@/core/efficacy/removalInTime'
import { removalExponent, type Use } from '@/core/efficacy/removal'
import { wearShare } from '@/core/efficacy/wear'
import { estimate } from '@/core/estimates/houseEstimates'
import { hottestMeasured, surfaceOfCorner } from '@/core/conditions/conditions'
import { isDelicate as isDelicateFinish } from '@/core/finishes/finish'
import { surfaceCelsiusOf, type Corner, type Job } from '@/core/job/job'
import { worstGrade } from '@/core/soils/zoneLoads'
import { millilitresAtCorner } from '@/core/effort/amounts'
import { stageSeconds } from '@/core/effort/operatorTime'
import type { StageKind } from '@/core/work/stageKind'
import { exp } from '@/core/quantity/steady'
import { protectionFacts, type ProtectionKind } from '@/core/protection/kinds'
import { judgePlaces, rulesAbout, rulesAt, surfaceOf, type Judgement, type UseSite } from '@/core/rules/judge'
import type { Rule } from '@/core/rules/rule'
import { services } from '@/core/services/service'
import type { Grade } from '@/core/soils/soil'
import { finishZoneOf, type Zone } from '@/core/wheel/zone'
import { amountAt, needOf, wheelSoils, type WheelSoil } from './need'
import { roleOf, type Role } from './role'
import { cornersToTreat, zonesToTreat } from './spots'
import { positionsOf, type WheelGroup } from './wheelGroup'

/**
 * What a plan costs: hand time, product in minor units, lives of protection (share lost times wheels), things that ask
 * for care. Less is better in each.
 */
export type Cost = readonly [seconds: number, minor: number, wear: number, risk: number]

/** One product at one strength and dwell on the wheels of a group. */
export interface Option {
  readonly product: Product
  readonly fraction: number
  readonly dwellSeconds: number
  /** From the last fresh spray to the rinse, at most. */
  readonly labelMaxSeconds: number
  /** Applications one after the other. */
  readonly rounds: 1 | 2
  readonly role: Role
  readonly judgement: Judgement
  /** Removal exponents without mechanics, in the order of `wheelSoils`. */
  readonly removes: readonly number[]
  /** The same where it is the first on a dry wheel. */
  readonly removesFirst: readonly number[]
  readonly cost: Cost
  /** A second round on a finish that stands something stronger, or for the cold alone: strength and time come first. */
  readonly isLastResort: boolean
  /** Weak while film is above grade 1. */
  readonly ironAlone: boolean
}

/** Families that work on iron alone: on film they only reach the top layer. */
const ironAlone: readonly FamilyId[] = ['ironRemover', 'ironTarRemover', 'ironClayLubricant']
/** A pre-soak comes before the rinse, polish after all else: neither cleans in the sense of a stage. */
const notAStage: readonly FamilyId[] = ['rinselessPresoak', 'metalPolish']

/** Strengths worth considering: the label's ends and the middle between them. */
function strengthsOf({ strength: { from, to } }: Product): number[] {
  return to / from < 1.05 ? [to] : [from, Math.sqrt(from * to), to]
}

const dirtOf = (group: WheelGroup, zone: Zone): Grade =>
  group.corners.reduce<Grade>(
    (worst, { loads }) =>
      Math.max(
        worst,
        loads[zone]?.film ?? 0,
        loads[zone]?.freshDust ?? 0,
        loads[zone]?.bondedDust ?? 0,
      ) as Grade,
    0,
  )

/** Places of a group that a rule could tell apart; zones that look alike to the rules are judged once. */
export function sitesOf(group: WheelGroup, job: Job, zones: readonly Zone[] = group.zones): UseSite[] {
  const { water } = services[job.service]
  const sites = new Map<string, UseSite>()
  for (const corner of group.corners) {
    const { celsius, isMeasured } = surfaceOfCorner(corner, job.conditions)
    const beside = [...new Set(Object.values(corner.finishes).map(({ finish }) => finish))]
    for (const zone of zones) {
      const surface = surfaceOf(zone, corner.finishes)
      const site: UseSite = {
        zone,
        surface,
        vehicleKind: job.vehicleKind,
        schools: job.schools,
        // A reading at one wheel speaks for the others until they are measured, too.
        surfaceCelsius: isMeasured
          ? celsius
          : Math.max(celsius, hottestMeasured(job.conditions) ?? -Infinity),
        isReckoned: !isMeasured && celsius > (hottestMeasured(job.conditions) ?? -Infinity),
        exposure: job.conditions.exposure,
        airCelsius: job.conditions.airCelsius,
        humidityShare: job.conditions.humidityShare,
        raining: job.conditions.raining,
        protectionLive: corner.protection.some((kind) => protectionFacts[kind].on === 'wheel'),
        protectionCuring: corner.curing,
        // The knock-down rinse takes grit away before anything else.
        grit: water ? 0 : (corner.loads[zone]?.grit ?? 0),
        dirt: water ? 0 : dirtOf(group, zone),
        liner: job.archLiner,
        beside,
      }
      const kind = zone === 'caliper' || finishZoneOf(zone) === null ? zone : 'wheel'
      sites.set(
        JSON.stringify([kind, surface, site.protectionLive, site.protectionCuring, site.grit, site.dirt]),
        site,
      )
    }
  }
  return [...sites.values()]
}

/** What the rules leave of a label's times. */
export interface JudgedDwell {
  /** Left to work before the brush. */
  readonly dwellSeconds: number
  /** Left to work in all, the brush included. */
  readonly actingSeconds: number
  /** On the wheel at most, to the rinse. */
  readonly labelMaxSeconds: number
  readonly judgement: Judgement
}

/** Under the brush chemistry goes on working, seconds. House estimate. */
const brushSeconds = 90

/**
 * The dwell a product may have here, longest first, with what the rules say of it: `dwellSeconds` is how long it is left
 * to work before the brush, `labelMaxSeconds` how long it may be on until the rinse.
 */
export function judgedDwell(
  product: Product,
  sites: readonly UseSite[],
  fraction: number,
  rules: readonly Rule[] = rulesAbout({ product }),
): JudgedDwell {
  const { min, max } = product.dwellSeconds
  const judged = (dwellSeconds: number) =>
    judgePlaces(
      rules,
      sites.map((site) => ({ ...site, fraction, dwellSeconds })),
    )
  const atMost = judged(max)
  const capped = atMost.rules.some((rule) => rule.dwellCap !== undefined) || atMost.verdict === 'no'
  if (!capped || min === max)
    return { dwellSeconds: max, actingSeconds: max, labelMaxSeconds: max, judgement: atMost }
  const shortest = Math.max(min, Math.min(max, 15))
  const judgement = judged(shortest)
  // What a delicate finish caps is the wait; only where the long stay itself is forbidden the label is shorter, too.
  const isLabelKept = atMost.verdict !== 'no' || judgement.verdict === 'no'
  const labelMaxSeconds = isLabelKept ? max : shortest
  // It goes on working under the brush; suds are renewed by every stroke of the mitt.
  const actingSeconds =
    product.delivery === 'bucket' ? max : Math.min(labelMaxSeconds, shortest + brushSeconds)
  return { dwellSeconds: shortest, actingSeconds, labelMaxSeconds, judgement }
}

const pointsOfHazard = { irritant: 0, corrosive: 1, fumes: 0.3, flammable: 0.4 } as const
const pointsOfWear: Record<ProtectionWear, number> = { none: 0, hardly: 0, some: 0.1, strips: 0.4 }

/** Points for what asks for care: rules, hazards, and how strong it is by nature. House scale. */
export function riskOf(product: Product, judgement: Judgement): number {
  const { hazards } = familyOf(product.family)
  return (
    judgement.rules.filter(({ verdict }) => verdict === 'withCare').length +
    hazards.reduce((sum, hazard) => sum + pointsOfHazard[hazard], 0) +
    pointsOfWear[wearOf(product)]
  )
}

export const isPlannable = (product: Product, job: Job): boolean =>
  !product.archived && !job.wishes.forbidden.includes(product.id)

/** Products of the cabinet that could be a stage on these wheels, whatever the rules say. */
export function candidatesFor(job: Job): Product[] {
  const { water } = services[job.service]
  return job.cabinet.filter((product) => {
    const family = familyOf(product.family)
    if (!isPlannable(product, job) || family.purpose !== 'clean' || notAStage.includes(product.family))
      return false
    if (!family.surfaces.includes('wheel') || !wheelSoils.some((soil) => ratingOf(product, soil) > 0))
      return false
    return (product.family === 'waterlessSpray') === !water
  })
}

/** Worst grade of what a product is rated for. */
const gradeFor = (product: Product, group: WheelGroup): Grade =>
  wheelSoils
    .filter((soil) => ratingOf(product, soil) > 0)
    .reduce<Grade>((worst, soil) => Math.max(worst, worstGrade(group.corners, group.zones, soil)) as Grade, 0)

const isDelicate = (group: WheelGroup): boolean =>
  group.corners.some(({ finishes }) => Object.values(finishes).some(isDelicateFinish))

/** A second round is for heavy dirt, and for finishes that stand nothing stronger; a third would be the wrong product. */
const roundsOf = (product: Product, group: WheelGroup): readonly (1 | 2)[] =>
  product.family !== 'ironTarRemover' &&
  !strongest.includes(product.family) &&
  (gradeFor(product, group) >= 3 || (gradeFor(product, group) === 2 && isDelicate(group)))
    ? [1, 2]
    : [1]

/**
 * What rubbing costs where abrasive dust is still there: the amount left when the brush begins, by the softness of the
 * finish. Chemistry that dwells first has dissolved some; suds from a bucket have not. House scale.
 */
function touchRisk(
  product: Product,
  rounds: number,
  removesFresh: number,
  group: WheelGroup,
  job: Job,
): number {
  // A light grade is what every wash rubs over.
  const amount = Math.max(
    0,
    ...group.zones.map(
      (zone) => amountAt(group, zone, 'freshDust') + amountAt(group, zone, 'bondedDust') - 1,
    ),
  )
  const softness = estimate(isDelicate(group) ? 'touchSoft' : 'touchHard', job.estimates)
  const dissolved =
    product.delivery === 'bucket' ? 0 : removesFresh * estimate('mechanicsNone', job.estimates)
  const second = rounds === 2 ? exp(-removesFresh) : 0
  return amount * (exp(-dissolved) + second) * softness
}

/** Whether one round would do on a wheel that is not cold. */
function isOnlyForCold(
  product: Product,
  fraction: number,
  dwellSeconds: number,
  group: WheelGroup,
  job: Job,
): boolean {
  if (surfaceCelsiusOf(job) >= coldBelowCelsius) return false
  const { required } = needOf(group, job)
  return wheelSoils.every((soil, at) => {
    const warm = removalExponent(soil, { product, fraction, dwellSeconds, surfaceCelsius: 20 }, job.estimates)
    return ratingOf(product, soil) === 0 || warm >= (required[at] ?? 0)
  })
}

/** The strongest there is: the quickest way, but nobody's first choice where something else does it. */
export const strongest: readonly FamilyId[] = ['heavyGel', 'acidCleaner', 'alkalineFoam']

/**
 * On a finish that stands more, only neglected dirt is washed twice, and only with the strongest of the usual cleaners:
 * more dirt never gets a milder one.
 */
function isRepeated(product: Product, group: WheelGroup, job: Job): boolean {
  if (gradeFor(product, group) < 4) return false
  const present = wheelSoils.filter((soil) => worstGrade(group.corners, group.zones, soil) === 4)
  const usual = candidatesFor(job).filter(({ family }) => !strongest.includes(family))
  return present.some(
    (soil) =>
      ratingOf(product, soil) > 0 && usual.every((one) => ratingOf(one, soil) <= ratingOf(product, soil)),
  )
}

/** What a role is worked as, for its minutes. */
const kindOfRole = (role: Role, dries: boolean): StageKind =>
  dries ? 'tar' : role === 'iron' ? 'iron' : role === 'acid' ? 'mineral' : 'wash'

/** Layers that a strong cleaner costs; before a coating whatever is there has to come off anyway. */
function layersToSpare({ corners }: WheelGroup, job: Job): ProtectionKind[] {
  const layers = [...new Set(corners.flatMap(({ protection }) => protection))].filter(
    (kind) => protectionFacts[kind].on === 'wheel',
  )
  const comesOff = services[job.service].protection === 'coat' && !layers.includes('ceramicCoating')
  return comesOff ? [] : layers
}

function optionOf(
  product: Product,
  fraction: number,
  rounds: 1 | 2,
  group: WheelGroup,
  judged: JudgedDwell,
  secondsOf: (kind: StageKind, rounds: number, corners: readonly Corner[]) => number,
  job: Job,
): Option {
  const family = familyOf(product.family)
  const { dwellSeconds, labelMaxSeconds, judgement } = judged
  const use: Use = {
    product,
    fraction,
    dwellSeconds: judged.actingSeconds,
    surfaceCelsius: surfaceCelsiusOf(job),
  }
  const dries = family.purpose === 'clean' && family.needsDry
  const clay = product.family === 'ironClayLubricant' ? estimate('mechanicsClay', job.estimates) : 1
  // From a bucket the wheel's own water does not count.
  const thinned = dries || product.delivery === 'bucket' ? 1 : estimate('onWetWheel', job.estimates)
  const again = rounds === 2 ? 1 + estimate('secondRoundShare', job.estimates) : 1
  const role = roleOf(product.family)
  // Solvents, iron removers and acids are for what they are good at; what they take in passing is no reason for them.
  const isFor = (soil: WheelSoil): boolean => role === 'wash' || ratingOf(product, soil) > 1
  const full = wheelSoils.map((soil) =>
    isFor(soil) ? removalInTime(soil, use, job.estimates) * (soil === 'bondedDust' ? clay : 1) * again : 0,
  )
  const fresh = (full[wheelSoils.indexOf('freshDust')] ?? 0) / again
  const kind = kindOfRole(role, dries)
  const [corners, zones] = [cornersToTreat(kind, product, group), zonesToTreat(product, group)]
  const millilitres =
    product.delivery === 'bucket'
      ? (job.equipment.bucketLitres * 1000 * group.corners.length) / job.corners.length
      : corners.reduce((sum, corner) => sum + millilitresAtCorner(product, corner, zones, job.estimates), 0)
  const layers = layersToSpare(group, job)
  const paidRounds = product.delivery === 'bucket' ? 1 : rounds
  return {
    product,
    fraction,
    dwellSeconds,
    labelMaxSeconds,
    rounds,
    role,
    judgement,
    removes: full.map((value) => value * thinned),
    removesFirst: job.conditions.raining ? full.map((value) => value * thinned) : full,
    cost: [
      secondsOf(kind, rounds, corners),
      // Whole minor units: nobody chooses by less.
      Math.ceil((paidRounds * millilitres * fraction * product.packPriceMinor) / product.packMillilitres),
      rounds * wearShare(wearOf(product), use, layers, job.estimates) * corners.length,
      riskOf(product, judgement) +
        (role === 'wash' && !dries ? touchRisk(product, rounds, fresh, group, job) : 0),
    ],
    isLastResort:
      rounds === 2 &&
      ((!isDelicate(group) && !isRepeated(product, group, job)) ||
        isOnlyForCold(product, fraction, judged.actingSeconds, group, job)),
    ironAlone: ironAlone.includes(product.family),
  }
}

/** Every product at every strength worth trying, with what the rules say of each. */
export function optionsFor(group: WheelGroup, job: Job): Option[] {
  const sites = sitesOf(group, job)
  const known = new Map<string, number>()
  const secondsOf = (kind: StageKind, rounds: number, corners: readonly Corner[]): number => {
    const key = `${kind} ${rounds} ${positionsOf({ corners }).join()}`
    const seconds =
      known.get(key) ?? corners.reduce((sum, corner) => sum + stageSeconds(kind, rounds, corner, job), 0)
    known.set(key, seconds)
    return seconds
  }
  const has = (soil: WheelSoil): boolean => worstGrade(group.corners, group.zones, soil) > 0
  const wantsIron = has('bondedDust') && services[job.service].targets.bondedDust !== undefined
  const hasBoth = has('bondedDust') && has('tar')
  return candidatesFor(job).flatMap((product) => {
    // Half of a mixture is wasted, and the wheel dried for nothing, where there is but one of the two.
    const isPinned = job.wishes.pinned.includes(product.id)
    if (product.family === 'ironTarRemover' && !hasBoth && !isPinned) return []
    // What is not bonded is washed off; an iron remover on it is dear and only reaches the top layer.
    if (roleOf(product.family) === 'iron' && !wantsIron && !isPinned) return []
    const rules = rulesAt(rulesAbout({ product }), sites)
    return strengthsOf(product).flatMap((fraction) => {
      const judged = judgedDwell(product, sites, fraction, rules)
      // Twice at less than full strength would be a weaker once.
      const rounds = fraction === product.strength.to ? roundsOf(product, group) : ([1] as const)
      return rounds.map((times) => optionOf(product, fraction, times, group, judged, secondsOf, job))
    })
  })
}
