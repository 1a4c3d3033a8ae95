import { judgedDwell } from '@/core/choice/judgedDwell'
import { sitesOf } from '@/core/choice/sites'
import { strengthOrder } from '@/core/chemistry/families'
import { type Product } from '@/core/chemistry/product'
import { estimate } from '@/core/estimates/houseEstimates'
import { productRulesAt } from '@/core/rules/judge'
import { schoolText } from '@/core/schools/schools'
import { type Corner, type Job } from '@/core/job/job'
import { worstGrade } from '@/core/soils/zoneLoads'
import { gradeNames, soilNames } from '@/core/soils/soil'
import { wheelZones } from '@/core/wheel/zone'
import { coldWords } from '@/core/words/explain'

import { soilsOf, type RubberCandidate, type RubberCandidates, type RubberStage } from './rubberCandidates'

const nouns = { tyre: 'tyre', arch: 'arch' } as const

/** On rubber and liner a product the wheel cannot stand is kept off it, not refused. */
const keptOff = (product: Product, corners: readonly Corner[], job: Job, fraction: number): boolean => {
  const sites = sitesOf({ corners, zones: wheelZones }, job)
  return judgedDwell(product, fraction, productRulesAt(sites)(product)).judgement.verdict === 'no'
}

export interface RubberChoice {
  readonly stage: RubberStage | null
  readonly keepOffWheel: boolean
  readonly shortfall: { readonly text: string; readonly mend: string } | null
  /** The shop setting that decided, if one did. */
  readonly school: string | null
}

/** The one that the plan prefers: what is enough and made for it comes first. */
function bestOf(candidates: readonly RubberCandidate[], job: Job): RubberCandidate | undefined {
  const minute = estimate('minuteValueMinor', job.estimates)
  const score = ({ seconds, minor, risk }: RubberCandidate) =>
    (seconds / 60) * minute + minor + risk * estimate('riskValueMinor', job.estimates) * 0.2
  const harsh = ({ product, fraction }: RubberCandidate) => strengthOrder(product.family) + fraction
  const order: Record<Job['wishes']['prefer'], (a: RubberCandidate, b: RubberCandidate) => number> = {
    // Mild, but nobody scrubs five rounds to spare rubber.
    gentlest: (a, b) =>
      Number(a.rounds > 3) - Number(b.rounds > 3) || harsh(a) - harsh(b) || score(a) - score(b),
    balanced: (a, b) => score(a) - score(b) || harsh(a) - harsh(b),
    fastest: (a, b) => a.seconds - b.seconds || score(a) - score(b),
  }
  return [...candidates].sort(
    (a, b) =>
      Number(b.enough) - Number(a.enough) ||
      Number(b.isMadeForIt) - Number(a.isMadeForIt) ||
      a.coldRounds - b.coldRounds ||
      order[job.wishes.prefer](a, b) ||
      a.product.id.localeCompare(b.product.id),
  )[0]
}

/** Why rubber or liner is left alone: the person's own wish or a rule, where one alone is in the way, else the cabinet. */
function sayNothingFor(
  surface: 'tyre' | 'arch',
  corners: readonly Corner[],
  soilText: string,
  all: RubberCandidates,
): NonNullable<RubberChoice['shortfall']> {
  const noun = nouns[surface]
  const suited = `a product for ${soilsOf[surface].map((soil) => soilNames[soil]).join(' or ')} that is made for the ${noun}`
  const out = all.ruledOut(surface, corners)
  if (out)
    return {
      text: `The ${noun} is left alone: you ruled out ${out.productName}, which cleans it.`,
      mend: `Allow it again, or add ${suited}.`,
    }
  const barred = all.barred(surface, corners)
  if (barred)
    return {
      text: `The ${noun} is left alone: ${barred.productName} would clean it, but not now.`,
      mend: barred.reason,
    }
  return {
    text: `Nothing in the cabinet cleans the ${noun}${soilText ? ` of ${soilText}` : ''}.`,
    mend: `Add ${suited}.`,
  }
}

/** What would take more than the best that may be used. */
function sayNotEnough(
  surface: 'tyre' | 'arch',
  corners: readonly Corner[],
  { product }: RubberCandidate,
  soilText: string,
  all: RubberCandidates,
): NonNullable<RubberChoice['shortfall']> {
  const out = all.ruledOut(surface, corners)
  return {
    text: `${product.name} will not take all of it off the ${nouns[surface]}: ${soilText}.`,
    mend: out?.enough
      ? `You ruled out ${out.productName}, which would; allow it again, or look at the foam after the last round.`
      : 'Look at the foam after the last round; what stays wants a stronger cleaner for rubber.',
  }
}

/** Product, strength and rounds for tyres or arches: as many rounds as the grade asks for, of the kind the plan prefers. */
export function chooseForRubber(
  surface: 'tyre' | 'arch',
  corners: readonly Corner[],
  job: Job,
  all: RubberCandidates,
): RubberChoice {
  const able = all.of(surface, corners)
  const both = able.filter(({ product }) => product.family === 'wheelAndTyre')
  const bySchool = surface === 'tyre' && job.schools.wheelAndTyre === 'one' && both.length > 0
  const pinned = able.filter(({ product }) => job.wishes.pinned.includes(product.id))
  const candidates = pinned.length > 0 ? pinned : bySchool ? both : able
  const present = soilsOf[surface]
    .map((soil) => ({ soil, grade: worstGrade(corners, [surface], soil) }))
    .filter(({ grade }) => grade > 0)
  const soilText = present.map(({ soil, grade }) => `${gradeNames[grade]} ${soilNames[soil]}`).join(' and ')
  const chosen = bestOf(candidates, job)
  if (!chosen)
    return {
      stage: null,
      keepOffWheel: false,
      school: null,
      shortfall: sayNothingFor(surface, corners, soilText, all),
    }
  const { kind, product, fraction, dwellMinSeconds, labelMaxSeconds, rounds, judgement } = chosen
  const why = soilText
    ? `For ${soilText}: ${rounds === 1 ? 'one round should do' : `expect ${rounds} rounds`}; ${surface === 'tyre' ? 'white foam means done' : 'rinse from the top'}.`
    : 'Nothing much on it, so one light round.'
  return {
    stage: {
      kind,
      product,
      fraction,
      dwellMinSeconds,
      labelMaxSeconds,
      rounds,
      judgement,
      why: [why, coldWords(product.dwellSeconds.min, dwellMinSeconds)].filter(Boolean).join(' '),
    },
    keepOffWheel: keptOff(product, corners, job, fraction),
    school: bySchool ? schoolText('wheelAndTyre', job.schools) : null,
    shortfall: chosen.enough ? null : sayNotEnough(surface, corners, chosen, soilText, all),
  }
}
