import { protectionWearNames, type CleaningFamily } from '@/core/chemistry/family'
import { familyOf, strengthOrder, type FamilyId } from '@/core/chemistry/families'
import { ratingOf, type Product } from '@/core/chemistry/product'
import { worstGrade, type Corner, type Job } from '@/core/job/job'
import { judge, surfaceOf, type Judgement, type UseSite } from '@/core/rules/judge'
import { verdicts } from '@/core/rules/rule'
import { gradeNames, soilNames, type Soil } from '@/core/soils/soil'
import { finishZones, type Zone } from '@/core/wheel/zone'
import type { Need } from './needs'

/** A product judged for one need on some wheels. */
export interface Candidate {
  readonly product: Product
  readonly judgement: Judgement
  /** Grades left undone, summed over the soils; 0 does the job. */
  readonly shortGrades: number
}

export interface Choice {
  readonly chosen: Candidate | null
  readonly why: string
  /** Set when even the best candidate leaves dirt, or there is none. */
  readonly shortfall: { readonly text: string; readonly mend: string } | null
}

const wearOrder = { none: 0, hardly: 1, some: 2, strips: 3 } as const

/** Families that are a job of their own and never stand in for a wash. */
const notForPlan: readonly FamilyId[] = ['rinselessPresoak', 'waterlessSpray']

const siteAt = (zone: Zone, corner: Corner, job: Job): UseSite => ({
  zone,
  surface: surfaceOf(zone, corner.finishes),
  vehicleKind: job.vehicleKind,
  surfaceCelsius: job.conditions.surfaceCelsius,
  protectionLive: corner.protection.length > 0,
  schools: job.schools,
})

/** The strictest judgement over all zones a product touches on some wheels. */
export function judgeOnWheels(
  product: Product,
  zones: readonly Zone[],
  corners: readonly Corner[],
  job: Job,
): Judgement {
  const judged = corners.flatMap((corner) => zones.map((zone) => judge(product, siteAt(zone, corner, job))))
  const rules = [...new Map(judged.flatMap(({ rules }) => rules).map((rule) => [rule.id, rule])).values()]
  rules.sort((a, b) => verdicts.indexOf(b.verdict) - verdicts.indexOf(a.verdict) || a.id.localeCompare(b.id))
  return { verdict: rules[0]?.verdict ?? 'fine', rules }
}

const listed = (parts: readonly string[]): string =>
  parts.length < 2 ? parts.join('') : `${parts.slice(0, -1).join(', ')} and ${parts.at(-1)}`

/** Soils of a need that are there, with their worst grade. */
export function soilsPresent(
  need: Need,
  corners: readonly Corner[],
): { soil: Soil; grade: number; text: string }[] {
  return need.soils
    .map((soil) => ({ soil, grade: worstGrade(corners, need.zones, soil) }))
    .filter(({ grade }) => grade > 0)
    .map(({ soil, grade }) => ({ soil, grade, text: `${gradeNames[grade]} ${soilNames[soil]}` }))
}

function compare(a: Candidate, b: Candidate, protectionLive: boolean): number {
  const wear = ({ product }: Candidate) => wearOrder[(familyOf(product.family) as CleaningFamily).wear]
  return (
    a.shortGrades - b.shortGrades ||
    (protectionLive ? wear(a) - wear(b) : 0) ||
    strengthOrder(a.product.family) - strengthOrder(b.product.family) ||
    a.product.packPriceMinor / a.product.packMillilitres -
      b.product.packPriceMinor / b.product.packMillilitres ||
    a.product.id.localeCompare(b.product.id)
  )
}

/**
 * The mildest product of the cabinet that takes what is there and that every one of the wheels can stand.
 * A rating of at least the grade counts as doing it.
 */
export function chooseProduct(need: Need, corners: readonly Corner[], job: Job): Choice {
  const present = soilsPresent(need, corners)
  const protectionLive = corners.some((corner) => corner.protection.length > 0) && need.surface === 'wheel'
  const suited = job.cabinet.filter((product) => {
    const family = familyOf(product.family)
    if (family.purpose !== 'clean' || notForPlan.includes(product.family)) return false
    return family.surfaces.includes(need.surface) && need.soils.some((soil) => ratingOf(product, soil) > 0)
  })
  // Tyre and arch products drip on the wheel, so its finishes have a say there too.
  const judged = suited.map((product): Candidate => ({
    product,
    judgement: judgeOnWheels(
      product,
      need.surface === 'wheel' ? need.zones : [...need.zones, ...finishZones],
      corners,
      job,
    ),
    shortGrades: present.reduce(
      (sum, { soil, grade }) => sum + Math.max(0, grade - ratingOf(product, soil)),
      0,
    ),
  }))
  // On rubber and liner a product that the wheel cannot stand is kept off it, not refused.
  const allowed = judged
    .filter(({ judgement }) =>
      need.surface === 'wheel'
        ? judgement.verdict !== 'no'
        : !judgement.rules.some((rule) => rule.safety && rule.verdict === 'no'),
    )
    .sort((a, b) => compare(a, b, protectionLive))
  const [chosen, next] = allowed
  const soilText = listed(present.map(({ text }) => text))
  if (!chosen) {
    const refused = judged[0]?.judgement.rules[0]
    return {
      chosen: null,
      why: '',
      shortfall: {
        text: `Nothing in the cabinet may be used for ${soilText || need.kind} here.`,
        mend: refused
          ? refused.reason
          : `Add a product for ${listed(need.soils.map((soil) => soilNames[soil]))} on the ${need.surface}.`,
      },
    }
  }
  const stricter = judged.filter(
    (candidate) => candidate.judgement.verdict === 'no' && candidate.shortGrades <= chosen.shortGrades,
  )
  const refusal = stricter.find(({ judgement }) => judgement.rules[0])
  const wear = (familyOf(chosen.product.family) as CleaningFamily).wear
  const nextWear = next && (familyOf(next.product.family) as CleaningFamily).wear
  const why = [
    soilText
      ? `Mildest in your cabinet that takes ${soilText}${protectionLive ? `; it ${protectionWearNames[wear]}` : ''}.`
      : 'Nothing much to take off, so the mildest you have.',
    next && nextWear
      ? `${next.product.name} would be next${wearOrder[nextWear] > wearOrder[wear] ? `, but ${protectionWearNames[nextWear]}` : ''}.`
      : '',
    refusal && need.surface === 'wheel'
      ? `Not ${refusal.product.name}: ${refusal.judgement.rules[0]?.reason ?? ''}`
      : '',
  ]
    .filter(Boolean)
    .join(' ')
  return {
    chosen,
    why,
    shortfall:
      chosen.shortGrades > 0
        ? {
            text: `${chosen.product.name} will not take all of it: ${soilText}.`,
            mend: 'Plan a second round, and look again after the first.',
          }
        : null,
  }
}
