import { message, sentences, type Message, type Said } from '@/core/message/message'
import { judgedDwell } from '@/core/choice/judgedDwell'
import { sitesOf } from '@/core/choice/sites'
import { strengthOrder } from '@/core/chemistry/families'
import type { Product } from '@/core/chemistry/product'
import { estimate } from '@/core/estimates/houseEstimates'
import { productRulesAt } from '@/core/rules/judge'
import { sayMethod } from '@/core/methods/methods'
import type { Corner, Job } from '@/core/job/job'
import { worstGrade } from '@/core/soils/zoneLoads'
import { wheelZones } from '@/core/wheel/zone'
import { coldWords, sayGraded } from '@/core/reasons/explain'

import { soilsOf, type RubberCandidate, type RubberCandidates, type RubberStage } from './rubberCandidates'

const nouns = {
  tyre: message('reasons.shortfall.rubber.tyre'),
  arch: message('reasons.shortfall.rubber.arch'),
} as const

/** On rubber and liner a product the wheel cannot stand is kept off it, not refused. */
const keptOff = (product: Product, corners: readonly Corner[], job: Job, fraction: number): boolean => {
  const sites = sitesOf({ corners, zones: wheelZones }, job)
  return judgedDwell(product, fraction, productRulesAt(sites)(product)).judgement.verdict === 'no'
}

export interface RubberChoice {
  readonly stage: RubberStage | null
  readonly keepOffWheel: boolean
  readonly shortfall: { readonly text: Said; readonly fix: Said } | null
  /** The shop setting that decided, if one did. */
  readonly method: Message | null
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
  soils: readonly Message[],
  all: RubberCandidates,
): NonNullable<RubberChoice['shortfall']> {
  const noun = nouns[surface]
  const isTyre = surface === 'tyre'
  const add = message(isTyre ? 'reasons.shortfall.rubber.addTyre' : 'reasons.shortfall.rubber.addArch')
  const out = all.ruledOut(surface, corners)
  if (out)
    return {
      text: message('reasons.shortfall.rubber.ruledOut', { surface: noun, product: out.productName }),
      fix: message(
        isTyre ? 'reasons.shortfall.rubber.allowOrAddTyre' : 'reasons.shortfall.rubber.allowOrAddArch',
      ),
    }
  const barred = all.barred(surface, corners)
  if (barred)
    return {
      text: message('reasons.shortfall.rubber.barred', { surface: noun, product: barred.productName }),
      fix: barred.reason,
    }
  return {
    text:
      soils.length > 0
        ? message('reasons.shortfall.rubber.nothingFor', { soils, surface: noun })
        : message('reasons.shortfall.rubber.nothing', { surface: noun }),
    fix: add,
  }
}

/** What would take more than the best that may be used. */
function sayNotEnough(
  surface: 'tyre' | 'arch',
  corners: readonly Corner[],
  { product }: RubberCandidate,
  soils: readonly Message[],
  all: RubberCandidates,
): NonNullable<RubberChoice['shortfall']> {
  const out = all.ruledOut(surface, corners)
  return {
    text: message('reasons.shortfall.rubber.notAll', {
      product: product.name,
      surface: nouns[surface],
      soils,
    }),
    fix: out?.enough
      ? message('reasons.shortfall.rubber.strongerOut', { product: out.productName })
      : message('reasons.shortfall.rubber.checkFoam'),
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
  const byMethod = surface === 'tyre' && job.methods.wheelAndTyre === 'one' && both.length > 0
  const pinned = able.filter(({ product }) => job.wishes.pinned.includes(product.id))
  const candidates = pinned.length > 0 ? pinned : byMethod ? both : able
  const present = soilsOf[surface]
    .map((soil) => ({ soil, grade: worstGrade(corners, [surface], soil) }))
    .filter(({ grade }) => grade > 0)
  const soils = present.map(({ soil, grade }) => sayGraded(grade, soil))
  const chosen = bestOf(candidates, job)
  if (!chosen)
    return {
      stage: null,
      keepOffWheel: false,
      method: null,
      shortfall: sayNothingFor(surface, corners, soils, all),
    }
  const { kind, product, fraction, dwellMinSeconds, labelMaxSeconds, rounds, judgement } = chosen
  const why =
    soils.length === 0
      ? message('reasons.why.lightRound')
      : message(surface === 'tyre' ? 'reasons.why.tyreRound' : 'reasons.why.archRound', { soils, rounds })
  return {
    stage: {
      kind,
      product,
      fraction,
      dwellMinSeconds,
      labelMaxSeconds,
      rounds,
      judgement,
      why: sentences(why, coldWords(product.dwellSeconds.min, dwellMinSeconds)),
    },
    keepOffWheel: keptOff(product, corners, job, fraction),
    method: byMethod ? sayMethod('wheelAndTyre', job.methods) : null,
    shortfall: chosen.enough ? null : sayNotEnough(surface, corners, chosen, soils, all),
  }
}
