import { message } from '@/core/message/message'
import type { FinishState } from '@/core/finishes/finishState'
import { familyOf } from '@/core/chemistry/families'
import { speaksOfChlorine } from '@/core/chemistry/chlorine'
import { speaksOfFluoride } from '@/core/chemistry/fluoride'
import { wearOf, type Product } from '@/core/chemistry/product'
import { judgedAs, type Finish } from '@/core/finishes/finish'
import type { Exposure } from '@/core/conditions/exposure'
import type { Methods } from '@/core/methods/methods'
import type { Grade } from '@/core/soils/soil'
import type { Tool } from '@/core/tools/tool'
import type { ArchLiner, VehicleKind } from '@/core/wheel/position'
import { finishZoneOf, type Zone } from '@/core/wheel/zone'
import { ruleBook } from './book'
import { strictness, type Rule, type Verdict } from './rule'

/** The place something would be used at, and how. What is absent is not known, and no rule about it speaks up. */
export interface UseSite {
  readonly zone: Zone
  /** Null where the zone has no finish (rubber, liner, rotor). */
  readonly surface: FinishState | null
  readonly vehicleKind: VehicleKind
  readonly methods: Methods
  readonly protectionLive: boolean
  readonly protectionCuring?: boolean
  /** Absent: nobody knows. */
  readonly surfaceCelsius?: number
  /** Worked out from air, sun and wind, not measured. */
  readonly isReckoned?: boolean
  readonly exposure?: Exposure
  readonly airCelsius?: number
  readonly humidityShare?: number
  readonly raining?: boolean
  readonly fraction?: number
  readonly dwellSeconds?: number
  readonly wheelWet?: boolean
  readonly grit?: Grade
  /** Worst grade of film or dust. */
  readonly dirt?: Grade
  readonly filmAmount?: number
  readonly unrinsed?: 'acid' | 'alkali'
  readonly usedSprayer?: boolean
  readonly overResidue?: boolean
  readonly liner?: ArchLiner
  readonly pressureBar?: number
  /** Products that marked this finish at a test spot, by id. */
  readonly marked?: readonly string[]
  /** All finishes of the same wheel. */
  readonly beside?: readonly Finish[]
}

/** What is to be used: chemistry, a tool, or both. */
export interface Used {
  readonly product?: Product
  readonly tool?: Tool
}

export interface Judgement {
  readonly verdict: Verdict
  /** The rules that fired, strictest first. */
  readonly rules: readonly Rule[]
}

const among = <T>(list: readonly T[] | undefined, value: T | null | undefined): boolean =>
  list === undefined || (value !== null && value !== undefined && list.includes(value))
const above = (limit: number | undefined, value: number | undefined): boolean =>
  limit === undefined || (value !== undefined && value > limit)
const below = (limit: number | undefined, value: number | undefined): boolean =>
  limit === undefined || (value !== undefined && value < limit)
const least = (limit: number | undefined, value: number | undefined): boolean =>
  limit === undefined || (value !== undefined && value >= limit)
const flagged = (wanted: true | undefined, value: boolean | undefined): boolean =>
  wanted === undefined || value === true

function productFits(rule: Rule, product: Product | undefined): boolean {
  const speaksOfProduct =
    rule.traits ??
    rule.families ??
    rule.purpose ??
    rule.wear ??
    rule.fluoride ??
    rule.fluorideByWords ??
    rule.chlorineByWords ??
    rule.residueAtLeast
  if (!product) return speaksOfProduct === undefined
  const family = familyOf(product.family)
  return (
    (rule.traits === undefined || rule.traits.some((trait) => family.traits.includes(trait))) &&
    among(rule.families, product.family) &&
    (rule.purpose === undefined || rule.purpose === family.purpose) &&
    among(rule.wear, wearOf(product)) &&
    flagged(rule.fluoride, product.containsFluoride) &&
    flagged(rule.fluorideByWords, speaksOfFluoride(product)) &&
    (rule.chlorineByWords === undefined || speaksOfChlorine(product)) &&
    least(rule.residueAtLeast, family.residue)
  )
}

const toolFits = (rule: Rule, tool: Tool | undefined): boolean =>
  among(rule.toolStiffness, tool?.stiffness) &&
  among(rule.toolKinds, tool?.kind) &&
  among(rule.toolStates, tool?.state) &&
  among(rule.toolDuties, tool?.dedicatedTo)

/** A rule about chemistry says nothing about a bare tool, and one about tools nothing about chemistry. */
const speaksOf = (rule: Rule, used: Used): boolean => {
  const aboutTool = Boolean(rule.toolStiffness ?? rule.toolKinds ?? rule.toolStates ?? rule.toolDuties)
  const aboutPressure = rule.pressureAboveBar !== undefined
  return aboutPressure || (aboutTool ? used.tool !== undefined : used.product !== undefined)
}

/** Whether a rule speaks of a place, whatever the strength and the dwell. */
const placeFits = (rule: Rule, site: UseSite): boolean =>
  among(rule.zones, site.zone) &&
  among(rule.finishes, site.surface && judgedAs(site.surface.finish)) &&
  among(rule.conditions, site.surface && site.surface.condition) &&
  (rule.besideFinishes === undefined ||
    (site.beside ?? []).some((finish) => rule.besideFinishes?.includes(judgedAs(finish)))) &&
  among(rule.vehicleKinds, site.vehicleKind) &&
  (rule.liner === undefined || rule.liner === site.liner) &&
  (rule.exposure === undefined || rule.exposure === site.exposure) &&
  above(rule.surfaceAboveCelsius, site.surfaceCelsius) &&
  (rule.reckoned === undefined || rule.reckoned === (site.isReckoned ?? false)) &&
  below(rule.airBelowCelsius, site.airCelsius) &&
  above(rule.airAboveCelsius, site.airCelsius) &&
  above(rule.humidityAboveShare, site.humidityShare) &&
  flagged(rule.inRain, site.raining) &&
  above(rule.filmAbove, site.filmAmount) &&
  above(rule.pressureAboveBar, site.pressureBar) &&
  least(rule.gritAtLeast, site.grit) &&
  least(rule.dirtAtLeast, site.dirt) &&
  flagged(rule.onLiveProtection, site.protectionLive) &&
  flagged(rule.onCuringProtection, site.protectionCuring) &&
  flagged(rule.onWetWheel, site.wheelWet) &&
  flagged(rule.inUsedSprayer, site.usedSprayer) &&
  flagged(rule.overResidue, site.overResidue) &&
  (rule.unrinsed === undefined || rule.unrinsed === site.unrinsed) &&
  (rule.markedBy === undefined || (site.marked ?? []).includes(rule.markedBy)) &&
  (rule.method === undefined || site.methods[rule.method.name] === rule.method.value)

/** Whether a rule applies to this strength and dwell. */
const amountFits = (rule: Rule, use: Pick<UseSite, 'fraction' | 'dwellSeconds'>): boolean =>
  above(rule.strengthAbove, use.fraction) && above(rule.dwellAboveSeconds, use.dwellSeconds)

const siteFits = (rule: Rule, site: UseSite): boolean => amountFits(rule, site) && placeFits(rule, site)

const rulesAt = (rules: readonly Rule[], sites: readonly UseSite[]): Rule[] =>
  rules.filter((rule) => sites.some((site) => placeFits(rule, site)))

/**
 * Finds the rules that may apply to a product at some places, at any strength and dwell. The places are checked once for
 * all products.
 */
export function productRulesAt(sites: readonly UseSite[]): (product: Product) => readonly Rule[] {
  const here = rulesAt(ruleBook, sites)
  return (product) => {
    const about = rulesAbout({ product }, here)
    // Rules from the rule book were already checked against the places.
    return about.filter((rule) => rule.markedBy === undefined || rulesAt([rule], sites).length > 0)
  }
}

/** Judges a strength and a dwell by the rules that `productRulesAt` found. */
export const judgeUse = (
  rules: readonly Rule[],
  use: { readonly fraction: number; readonly dwellSeconds: number },
): Judgement => judgementOf(rules.filter((rule) => amountFits(rule, use)))

/** Whether a rule holds for today's weather only: another reason holds tomorrow, too. */
const isOfToday = (rule: Rule): boolean =>
  rule.inRain === true ||
  [
    rule.exposure,
    rule.surfaceAboveCelsius,
    rule.airBelowCelsius,
    rule.airAboveCelsius,
    rule.humidityAboveShare,
  ].some((limit) => limit !== undefined)

/** Strictest first, what lasts before what another day fixes; ties by id, so that the same facts always read the same. */
export const byStrictness = (a: Rule, b: Rule): number =>
  strictness(b.verdict) - strictness(a.verdict) ||
  Number(b.safety) - Number(a.safety) ||
  Number(isOfToday(a)) - Number(isOfToday(b)) ||
  a.id.localeCompare(b.id)

/** Rules that could speak of what is used, wherever that is; for judging many places without asking all rules at each. */
export const rulesAbout = (used: Used, book: readonly Rule[] = ruleBook): Rule[] => [
  ...book.filter(
    (rule) => speaksOf(rule, used) && productFits(rule, used.product) && toolFits(rule, used.tool),
  ),
  ...(used.product ? [markedBefore(used.product)] : []),
]

/** What marked a finish once does not go on it again: not a row of the book, but of these wheels. */
const markedBefore = ({ id, name }: Product): Rule => ({
  id: 'marked-before',
  verdict: 'no',
  safety: false,
  markedBy: id,
  reason: message('reasons.verdict.marked', { product: name }),
})

const judgementOf = (rules: Rule[]): Judgement => {
  rules.sort(byStrictness)
  return { verdict: rules[0]?.verdict ?? 'fine', rules }
}

/** What the rule book says of a product, a tool or both at one place; the strictest rule wins. */
export const judge = (used: Used, site: UseSite, book: readonly Rule[] = ruleBook): Judgement =>
  judgementOf(rulesAbout(used, book).filter((rule) => siteFits(rule, site)))

/** The strictest of several places, each rule once, from rules that were already found to be about what is used. */
export const judgePlaces = (rules: readonly Rule[], sites: readonly UseSite[]): Judgement =>
  judgementOf(rules.filter((rule) => sites.some((site) => siteFits(rule, site))))

/** The finish that speaks for a zone of a wheel. */
export function surfaceOf(zone: Zone, finishes: Partial<Record<Zone, FinishState>>): FinishState | null {
  const finishZone = finishZoneOf(zone)
  if (finishZone === null) return null
  return finishes[finishZone] ?? { finish: 'unknown', condition: 'unknown' }
}
