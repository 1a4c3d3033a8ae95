import { familyOf, type FamilyId } from '@/core/chemistry/families'
import { ratingOf, wearOf, type Product } from '@/core/chemistry/product'
import { removalInTime } from '@/core/efficacy/removalInTime'
import type { Use } from '@/core/efficacy/removal'
import { wearShare } from '@/core/efficacy/wear'
import { estimate } from '@/core/estimates/houseEstimates'
import { surfaceCelsiusOf, type Corner, type Job } from '@/core/job/job'
import { worstGrade } from '@/core/soils/zoneLoads'
import { millilitresAtCorner } from '@/core/operator-time/amounts'
import { stageSeconds } from '@/core/operator-time/operatorTime'
import type { StageKind } from '@/core/acts/stageKind'
import { protectionFacts, type ProtectionKind } from '@/core/protection/kinds'
import { productRulesAt, type Judgement } from '@/core/rules/judge'
import { services } from '@/core/visit-kinds/service'
import type { Cost } from './cost'
import type { Zone } from '@/core/wheel/zone'
import { wheelSoils, type WheelSoil } from './need'
import { candidatesFor } from './candidates'
import { leavesHandsTime } from './handsTime'
import { judgedDwell, type JudgedDwell } from './judgedDwell'
import { riskOf, touchRisk } from './risk'
import { roleOf, type Role } from './role'
import { isLastResort, roundsOf } from './rounds'
import { sitesOf } from './sites'
import { cornersToTreat, zonesToTreat } from './spots'
import { positionsOf, type WheelGroup } from './wheelGroup'

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

/** Strengths worth considering: the label's ends and the middle between them. */
function strengthsOf({ strength: { from, to } }: Product): number[] {
  return to / from < 1.05 ? [to] : [from, Math.sqrt(from * to), to]
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
  secondsOf: (kind: StageKind, rounds: number, corners: readonly Corner[], zones: readonly Zone[]) => number,
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
      secondsOf(kind, rounds, corners, zones),
      // Whole minor units: nobody chooses by less.
      Math.ceil((paidRounds * millilitres * fraction * product.packPriceMinor) / product.packMillilitres),
      rounds * wearShare(wearOf(product), use, layers, job.estimates) * corners.length,
      riskOf(product, judgement) +
        (role === 'wash' && !dries ? touchRisk(product, rounds, fresh, group, job) : 0),
    ],
    isLastResort: rounds === 2 && isLastResort(product, fraction, judged.actingSeconds, group, job),
    ironAlone: ironAlone.includes(product.family),
  }
}

/** Every product at every strength worth trying, with what the rules say of each. */
export function optionsFor(group: WheelGroup, job: Job): Option[] {
  // What is sprayed comes to the zones that no tool reaches, too.
  const sites = sitesOf({ ...group, zones: [...group.zones, ...group.sprayedOnly] }, job)
  const rulesOf = productRulesAt(sites)
  const known = new Map<string, number>()
  const secondsOf = (
    kind: StageKind,
    rounds: number,
    corners: readonly Corner[],
    zones: readonly Zone[],
  ): number => {
    const key = `${kind} ${rounds} ${positionsOf({ corners }).join()} ${zones.join()}`
    const seconds =
      known.get(key) ??
      corners.reduce((sum, corner) => sum + stageSeconds(kind, rounds, { ...corner, zones }, job), 0)
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
    const rules = rulesOf(product)
    return strengthsOf(product).flatMap((fraction) => {
      if (!leavesHandsTime(product, fraction, sites, job)) return []
      const judged = judgedDwell(product, fraction, rules)
      // Twice at less than full strength would be a weaker once.
      const rounds = fraction === product.strength.to ? roundsOf(product, group) : ([1] as const)
      return rounds.map((times) => optionOf(product, fraction, times, group, judged, secondsOf, job))
    })
  })
}
