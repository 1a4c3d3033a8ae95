import { familyOf } from '@/core/chemistry/families'
import type { Product } from '@/core/chemistry/product'
import { judgedAs, type Condition, type Finish } from '@/core/finishes/finish'
import type { Schools } from '@/core/job/schools'
import type { VehicleKind } from '@/core/wheel/position'
import { finishZoneOf, type Zone } from '@/core/wheel/zone'
import { verdicts, type Rule, type Verdict } from './rule'
import { ruleBook } from './ruleBook'

export interface FinishState {
  readonly finish: Finish
  readonly condition: Condition
}

/** The place a product would be used at. */
export interface UseSite {
  readonly zone: Zone
  /** Null where the zone has no finish (rubber, liner, rotor). */
  readonly surface: FinishState | null
  readonly vehicleKind: VehicleKind
  /** Absent: not measured, taken as cool to the touch. */
  readonly surfaceCelsius?: number
  readonly protectionLive: boolean
  readonly schools: Schools
}

export interface Judgement {
  readonly verdict: Verdict
  /** The rules that fired, strictest first. */
  readonly rules: readonly Rule[]
}

const allows = <T>(list: readonly T[] | undefined, value: T | null): boolean =>
  list === undefined || (value !== null && list.includes(value))

function fires(rule: Rule, product: Product, site: UseSite): boolean {
  const family = familyOf(product.family)
  return (
    allows(rule.zones, site.zone) &&
    allows(rule.finishes, site.surface && judgedAs(site.surface.finish)) &&
    allows(rule.conditions, site.surface && site.surface.condition) &&
    (rule.traits === undefined || rule.traits.some((trait) => family.traits.includes(trait))) &&
    allows(rule.families, product.family) &&
    (rule.purpose === undefined || rule.purpose === family.purpose) &&
    allows(rule.vehicleKinds, site.vehicleKind) &&
    (rule.surfaceAboveCelsius === undefined ||
      (site.surfaceCelsius !== undefined && site.surfaceCelsius > rule.surfaceAboveCelsius)) &&
    (rule.onLiveProtection === undefined || site.protectionLive) &&
    (rule.strips === undefined || (family.purpose === 'clean' && family.wear === 'strips')) &&
    (rule.school === undefined || site.schools[rule.school.name] === rule.school.value)
  )
}

/** What the rule book says of a product at one place; the strictest rule wins. */
export function judge(product: Product, site: UseSite, book: readonly Rule[] = ruleBook): Judgement {
  const rules = book
    .filter((rule) => fires(rule, product, site))
    .sort((a, b) => verdicts.indexOf(b.verdict) - verdicts.indexOf(a.verdict) || a.id.localeCompare(b.id))
  return { verdict: rules[0]?.verdict ?? 'fine', rules }
}

/** The finish that speaks for a zone of a wheel. */
export function surfaceOf(zone: Zone, finishes: Partial<Record<Zone, FinishState>>): FinishState | null {
  const finishZone = finishZoneOf(zone)
  if (finishZone === null) return null
  return finishes[finishZone] ?? { finish: 'unknown', condition: 'unknown' }
}
