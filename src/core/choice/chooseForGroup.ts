import { estimate } from '@/core/estimates/houseEstimates'
import type { Corner, Job } from '@/core/job/job'
import { soils, type Soil } from '@/core/soils/soil'
import { zones, type Zone } from '@/core/wheel/zone'
import { worstGrade } from '@/core/soils/zoneLoads'
import { ratingOf, wearOf, type Product } from '@/core/chemistry/product'
import { protectionFacts } from '@/core/protection/kinds'
import { services } from '@/core/visit-kinds/service'
import { bareFinishes, isDarkOrSoft, judgedAs } from '@/core/finishes/finish'
import { needOf, wheelSoils, type Need, type WheelSoil } from './need'
import { optionsFor, type Option } from './option'
import { strongest } from './candidates'
import { wantsPresoak } from './presoak'
import { searchPlans } from './search'
import { roles } from './role'
import type { Found, SearchRules } from './stages'
import type { WheelGroup } from './wheelGroup'

/** What the search knows of one group of wheels. */
export interface GroupChoice {
  readonly group: WheelGroup
  readonly options: readonly Option[]
  readonly need: Need
  readonly rules: SearchRules
  /** Efficient plans; empty only where nothing at all may be used. */
  readonly plans: readonly Found[]
  /** Soils that cannot reach their target with this cabinet; the plans do what they can. */
  readonly unreached: readonly WheelSoil[]
  /** The first chemical goes onto a dry wheel. */
  readonly startsDry: boolean
  /** The shop's way of maintaining left options out. */
  readonly byMethod: boolean
  /** Something stronger was left out because the metal is bare. */
  readonly staysMild: boolean
}

/**
 * Whether the first chemical goes on dry: by the shop's method; left to the finish, only film on a sound, hard finish
 * without grit is treated dry.
 */
function startsDry(group: WheelGroup, job: Job): boolean {
  if (job.conditions.raining || wantsPresoak(group, job)) return false
  if (job.methods.rinseFirst !== 'byFinish') return job.methods.rinseFirst === 'never'
  // The same moves at every wheel: one that has to be rinsed first is enough to rinse them all.
  return job.corners.every((corner) => gainsByDryStart(corner, group.zones))
}

/** Dust and grit are rinsed off before anything touches them, in the arch too; only film gains by undiluted chemistry. */
function gainsByDryStart(corner: Corner, wheel: readonly Zone[]): boolean {
  const worst = (soil: Soil, at: readonly Zone[]) => worstGrade([corner], at, soil)
  return (
    corner.finishes.face !== undefined &&
    !Object.values(corner.finishes).some(isDarkOrSoft) &&
    worst('grit', zones) === 0 &&
    worst('film', wheel) >= 2 &&
    worst('freshDust', wheel) <= 1
  )
}

/** The most that each role can do for one soil alone. */
const reachByRole = (options: readonly Option[], soil: number): number[] =>
  roles.map((role) =>
    Math.max(
      0,
      ...options
        .filter((option) => option.role === role && option.judgement.verdict !== 'no')
        .map(({ removesFirst }) => removesFirst[soil] ?? 0),
    ),
  )

/** Soils in the order in which they are given up when not all can be reached: the least harmful first. */
const givenUpFirst: readonly WheelSoil[] = ['mineral', 'tar', 'organic', 'bondedDust', 'freshDust', 'film']

/** Plans for as much of the need as can be met, what has to stay, and the need that is met. */
export function searchWhatCan(
  options: readonly Option[],
  need: Need,
  rules: SearchRules,
): Pick<GroupChoice, 'plans' | 'unreached'> & { readonly met: readonly number[] } {
  const unreached = new Set<WheelSoil>()
  let required = need.required.map((wanted, soil) => {
    const reach = reachByRole(options, soil)
    if (wanted <= reach.reduce((sum, one) => sum + one, 0)) return wanted
    // The best product for it does what it can; heaping others on top would only be more chemistry.
    unreached.add(wheelSoils[soil] as WheelSoil)
    return Math.max(...reach) * 0.85
  })
  let plans = searchPlans(options, { ...need, required }, rules)
  const wanted = required
  const givenUp: number[] = []
  for (const soil of givenUpFirst) {
    if (plans.length > 0) break
    const at = wheelSoils.indexOf(soil)
    if ((required[at] ?? 0) === 0) continue
    unreached.add(soil)
    givenUp.push(at)
    // Half of what one soil wants often leaves room for the others; nothing of it is the last resort.
    for (const share of [0.5, 0]) {
      required = required.map((wanted, index) => (index === at ? wanted * share : wanted))
      plans = searchPlans(options, { ...need, required }, rules)
      if (plans.length > 0) break
    }
  }
  // What was given up in vain, before the soil that stood in the way, is wanted again.
  for (const at of givenUp.slice(0, -1).reverse()) {
    const again = required.map((share, index) => (index === at ? (wanted[at] ?? 0) : share))
    const found = searchPlans(options, { ...need, required: again }, rules)
    if (plans.length === 0 || found.length === 0) continue
    required = again
    plans = found
    if ((wanted[at] ?? 0) >= (need.required[at] ?? 0)) unreached.delete(wheelSoils[at] as WheelSoil)
  }
  return { plans, unreached: wheelSoils.filter((soil) => unreached.has(soil)), met: required }
}

const isProtected = (group: WheelGroup): boolean =>
  group.corners.some(({ protection }) => protection.some((kind) => protectionFacts[kind].on === 'wheel'))

/** Options the shop's settings leave for this group. */
function byMethod(options: readonly Option[], group: WheelGroup, job: Job): readonly Option[] {
  if (!services[job.service].sparesProtection || !isProtected(group)) return options
  const isCleaner = ({ product }: Option) => product.family === 'maintenanceCleaner'
  const isShampoo = ({ product }: Option) =>
    product.family === 'carShampoo' || product.family === 'wheelShampoo'
  const [wanted, other] =
    job.methods.maintenance === 'shampoo' ? [isShampoo, isCleaner] : [isCleaner, isShampoo]
  const usable = ({ judgement }: Option) => judgement.verdict !== 'no'
  return options.some((one) => wanted(one) && usable(one)) ? options.filter((one) => !other(one)) : options
}

/** Light or clear dirt on live protection is no case for what strips it. */
function nothingStronger(options: readonly Option[], group: WheelGroup): readonly Option[] {
  const soils = wheelSoils.filter((soil) => soil !== 'tar')
  const worst = Math.max(0, ...soils.map((soil) => worstGrade(group.corners, group.zones, soil)))
  if (!isProtected(group) || worst > 2) return options
  const mild = options.filter(({ product, role }) => wearOf(product) !== 'strips' || role === 'tar')
  return mild.some(({ judgement }) => judgement.verdict !== 'no') ? mild : options
}

/** Bare metal gets soap and time, never something stronger; what stays is for the look to decide. */
function mildOnBare(options: readonly Option[], { corners }: WheelGroup): readonly Option[] {
  const isBare = corners.some(({ finishes }) =>
    Object.values(finishes).some(({ finish }) => bareFinishes.includes(judgedAs(finish))),
  )
  if (!isBare) return options
  const mild = options.filter(({ product, role }) => wearOf(product) !== 'strips' || role === 'tar')
  return mild.some(({ judgement, role }) => role === 'wash' && judgement.verdict !== 'no') ? mild : options
}

/** Whether there is anything on the wheels that a product takes off. */
export const takesSomething = (product: Product, { corners, zones }: WheelGroup): boolean =>
  soils.some((soil) => ratingOf(product, soil) > 0 && worstGrade(corners, zones, soil) > 0)

/** What the person pinned and a rule of the house left out comes back: they know what they want it for. */
const withPinned = (left: readonly Option[], all: readonly Option[], { wishes }: Job): readonly Option[] =>
  all.filter((option) => left.includes(option) || wishes.pinned.includes(option.product.id))

/** Searches the plans of one group of wheels. */
export function chooseForGroup(
  group: WheelGroup,
  job: Job,
  allOptions = optionsFor(group, job),
): GroupChoice {
  const ofMethod = byMethod(allOptions, group, job)
  const unspared = nothingStronger(ofMethod, group)
  const spared = mildOnBare(unspared, group)
  const options = withPinned(spared, allOptions, job)
  const inTime = options.filter(({ isLastResort }) => !isLastResort)
  const dry = startsDry(group, job)
  const rules: SearchRules = {
    ironWaitsForWash: job.methods.ironOn === 'afterWash',
    ironOverFilm: estimate('ironOverFilm', job.estimates),
    dryStart: dry,
    pinned: [...new Set(job.wishes.pinned)].filter((id) =>
      options.some(
        ({ product, judgement }) =>
          product.id === id && judgement.verdict !== 'no' && takesSomething(product, group),
      ),
    ),
  }
  const need = needOf(group, job)
  const known = {
    group,
    need,
    rules,
    startsDry: dry,
    byMethod: ofMethod.length < allOptions.length,
    staysMild: spared.length < unspared.length,
  }
  if (group.zones.length === 0) return { ...known, options, plans: [], unreached: [] }
  // On a protected wheel strong cleaners are a mistake; where mild ones do it, they are not even weighed.
  const mild = inTime.filter(({ product }) => wearOf(product) === 'none' || wearOf(product) === 'hardly')
  if (services[job.service].sparesProtection && isProtected(group) && rules.pinned.length === 0) {
    const found = searchWhatCan(mild, need, rules)
    if (found.plans.length > 0 && found.unreached.length === 0) return { ...known, options: mild, ...found }
  }
  // A second round comes before the strongest there is, and after everything else.
  if (inTime.length < options.length) {
    const found = searchWhatCan(inTime, need, rules)
    const isUsual = ({ stages }: Found): boolean =>
      stages.every((at) => !strongest.includes(inTime[at]?.product.family ?? 'heavyGel'))
    if (found.unreached.length === 0 && found.plans.some(isUsual))
      return { ...known, options: inTime, ...found }
  }
  return { ...known, options, ...searchWhatCan(options, need, rules) }
}
