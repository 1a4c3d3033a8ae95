import { isPlannable, judgedDwell, riskOf, sitesOf } from '@/core/choice/option'
import { familyOf, strengthOrder } from '@/core/chemistry/families'
import { ratingOf, type Product } from '@/core/chemistry/product'
import type { Surface } from '@/core/chemistry/family'
import { mechanicsOf } from '@/core/efficacy/mechanics'
import { coldDwellSeconds } from '@/core/efficacy/coldDwell'
import { removalInTime } from '@/core/efficacy/removalInTime'
import type { Use } from '@/core/efficacy/removal'
import { estimate } from '@/core/estimates/houseEstimates'
import { schoolText } from '@/core/schools/schools'
import { surfaceCelsiusOf, type Corner, type Job } from '@/core/job/job'
import { worstGrade } from '@/core/soils/zoneLoads'
import { targetAmount } from '@/core/choice/need'
import { rulesAbout, rulesAt, type Judgement, type UseSite } from '@/core/rules/judge'
import type { Rule } from '@/core/rules/rule'
import { services } from '@/core/services/service'
import { amountOfGrade, gradeNames, soilNames, type Grade, type Soil } from '@/core/soils/soil'
import { pickTool } from '@/core/reach/pickTool'
import { wheelZones } from '@/core/wheel/zone'
import { millilitresAtCorner } from '@/core/effort/amounts'
import { stageSeconds } from '@/core/effort/operatorTime'
import type { StageKind } from '@/core/plan/plan'
import { log } from '@/core/quantity/steady'

/** Chemistry for rubber or liner on some wheels. */
export interface RubberStage {
  readonly kind: Extract<StageKind, 'tyre' | 'arch'>
  readonly product: Product
  readonly fraction: number
  /** Until the brush, at least. */
  readonly dwellMinSeconds: number
  readonly labelMaxSeconds: number
  readonly rounds: number
  readonly judgement: Judgement
  readonly why: string
}

const soilsOf: Record<'tyre' | 'arch', readonly Soil[]> = {
  tyre: ['tyreBrowning', 'film'],
  arch: ['film', 'organic'],
}

/** More rounds than this on one visit and the hands give up before the rubber. */
const mostRounds = 5

const nouns = { tyre: 'tyre', arch: 'arch' } as const

interface Candidate extends RubberStage {
  readonly seconds: number
  readonly minor: number
  readonly risk: number
  readonly enough: boolean
  /** Rounds that only the cold asks for. */
  readonly coldRounds: number
  /** Made for rubber as gummy as this. */
  readonly isMadeForIt: boolean
}

/** What is the same for every candidate on one surface. */
interface RubberSite {
  readonly surface: 'tyre' | 'arch'
  readonly corners: readonly Corner[]
  readonly sites: readonly UseSite[]
  readonly mechanics: number
  /** Rules that may speak of a product here. */
  readonly rulesOf: (product: Product) => readonly Rule[]
}

function siteFor(surface: 'tyre' | 'arch', corners: readonly Corner[], job: Job): RubberSite {
  const tool = pickTool(surface, job.tools, {
    gapMillimetres: Infinity,
    surface: null,
    liner: job.archLiner,
    schools: job.schools,
    vehicleKind: job.vehicleKind,
  })
  const sites = sitesOf({ corners, zones: [surface], tools: new Map(), mechanics: new Map() }, job)
  const known = new Map<string, Rule[]>()
  return {
    surface,
    corners,
    sites,
    rulesOf: (product) => {
      const rules = known.get(product.id) ?? rulesAt(rulesAbout({ product }), sites)
      known.set(product.id, rules)
      return rules
    },
    mechanics: mechanicsOf(tool, job.estimates),
  }
}

const browningOf = (corners: readonly Corner[]): Grade => worstGrade(corners, ['tyre'], 'tyreBrowning')

/** Rounds until every soil is where the visit wants it; gummy rubber gives its browning up a layer a round. */
function roundsNeeded(use: Use, { surface, corners, mechanics }: RubberSite, job: Job): number {
  const { targets } = services[job.service]
  const layers = surface === 'tyre' ? browningOf(corners) - 1 : 1
  return soilsOf[surface].reduce(
    (most, soil) => {
      const grade = worstGrade(corners, [surface], soil)
      const target = targetAmount(targets[soil] ?? 'maintained', job.estimates)
      const wanted = grade === 0 ? 0 : log(amountOfGrade(grade) / target)
      if (wanted <= 0) return most
      const each = removalInTime(soil, use, job.estimates) * mechanics
      return Math.max(most, each > 0 ? Math.ceil(wanted / each - 1e-9) : Infinity)
    },
    Math.max(1, layers),
  )
}

function candidateOf(product: Product, site: RubberSite, job: Job, fraction: number): Candidate {
  const { surface, corners } = site
  const { dwellSeconds, actingSeconds, labelMaxSeconds, judgement } = judgedDwell(
    product,
    site.sites,
    fraction,
  )
  const surfaceCelsius = surfaceCelsiusOf(job)
  const use = { product, fraction, dwellSeconds: actingSeconds, surfaceCelsius }
  const needed = roundsNeeded(use, site, job)
  const rounds = Math.min(mostRounds, needed)
  const warm = roundsNeeded({ ...use, surfaceCelsius: Math.max(20, surfaceCelsius) }, site, job)
  const millilitres = corners.reduce(
    (sum, corner) => sum + rounds * millilitresAtCorner(product, corner, [surface], job.estimates),
    0,
  )
  return {
    kind: surface,
    product,
    fraction,
    dwellMinSeconds: coldDwellSeconds(
      Math.min(product.dwellSeconds.min, dwellSeconds),
      dwellSeconds,
      surfaceCelsius,
      job.estimates,
    ),
    labelMaxSeconds,
    rounds,
    judgement,
    why: '',
    enough: needed <= mostRounds,
    coldRounds: rounds - Math.min(mostRounds, warm),
    isMadeForIt: surface === 'arch' || ratingOf(product, 'tyreBrowning') >= browningOf(corners),
    seconds: corners.reduce((sum, corner) => sum + stageSeconds(surface, rounds, corner, job), 0),
    minor: (millilitres * fraction * product.packPriceMinor) / product.packMillilitres,
    risk: riskOf(product, judgement),
  }
}

function suited(surface: Surface, job: Job): Product[] {
  return job.cabinet.filter((product) => {
    const family = familyOf(product.family)
    return (
      isPlannable(product, job) &&
      family.purpose === 'clean' &&
      family.surfaces.includes(surface) &&
      product.family !== 'rinselessPresoak'
    )
  })
}

/** On rubber and liner a product the wheel cannot stand is kept off it, not refused. */
const keptOff = (product: Product, corners: readonly Corner[], job: Job, fraction: number): boolean => {
  const sites = sitesOf({ corners, zones: wheelZones, tools: new Map(), mechanics: new Map() }, job)
  return judgedDwell(product, sites, fraction).judgement.verdict === 'no'
}

export interface RubberChoice {
  readonly stage: RubberStage | null
  readonly keepOffWheel: boolean
  readonly shortfall: { readonly text: string; readonly mend: string } | null
  /** The shop setting that decided, if one did. */
  readonly school: string | null
}

/** Product, strength and rounds for tyres or arches: as many rounds as the grade asks for, of the kind the plan prefers. */
export function chooseForRubber(
  surface: 'tyre' | 'arch',
  corners: readonly Corner[],
  job: Job,
): RubberChoice {
  const products = suited(surface, job)
  const both = products.filter(({ family }) => family === 'wheelAndTyre')
  const bySchool = surface === 'tyre' && job.schools.wheelAndTyre === 'one' && both.length > 0
  const site = siteFor(surface, corners, job)
  const candidates = (bySchool ? both : products)
    .flatMap((product) =>
      [...new Set([product.strength.from, product.strength.to])].map((fraction) =>
        candidateOf(product, site, job, fraction),
      ),
    )
    .filter(({ judgement }) => judgement.verdict !== 'no')
  const present = soilsOf[surface]
    .map((soil) => ({ soil, grade: worstGrade(corners, [surface], soil) }))
    .filter(({ grade }) => grade > 0)
  const soilText = present.map(({ soil, grade }) => `${gradeNames[grade]} ${soilNames[soil]}`).join(' and ')
  const minute = estimate('minuteValueMinor', job.estimates)
  const score = ({ seconds, minor, risk }: Candidate) =>
    (seconds / 60) * minute + minor + risk * estimate('riskValueMinor', job.estimates) * 0.2
  const harsh = ({ product, fraction }: Candidate) => strengthOrder(product.family) + fraction
  const order: Record<Job['wishes']['prefer'], (a: Candidate, b: Candidate) => number> = {
    // Mild, but nobody scrubs five rounds to spare rubber.
    gentlest: (a, b) =>
      Number(a.rounds > 3) - Number(b.rounds > 3) || harsh(a) - harsh(b) || score(a) - score(b),
    balanced: (a, b) => score(a) - score(b) || harsh(a) - harsh(b),
    fastest: (a, b) => a.seconds - b.seconds || score(a) - score(b),
  }
  const [chosen] = [...candidates].sort(
    (a, b) =>
      Number(b.enough) - Number(a.enough) ||
      Number(b.isMadeForIt) - Number(a.isMadeForIt) ||
      a.coldRounds - b.coldRounds ||
      order[job.wishes.prefer](a, b) ||
      a.product.id.localeCompare(b.product.id),
  )
  if (!chosen) {
    return {
      stage: null,
      keepOffWheel: false,
      school: null,
      shortfall: {
        text: `Nothing in the cabinet cleans the ${nouns[surface]}${soilText ? ` of ${soilText}` : ''}.`,
        mend: `Add a product for ${soilsOf[surface].map((soil) => soilNames[soil]).join(' or ')} that is made for the ${nouns[surface]}.`,
      },
    }
  }
  const { kind, product, fraction, dwellMinSeconds, labelMaxSeconds, rounds, judgement } = chosen
  const why = soilText
    ? `For ${soilText}: ${rounds === 1 ? 'one round should do' : `expect ${rounds} rounds`}; ${surface === 'tyre' ? 'white foam means done' : 'rinse from the top'}.`
    : 'Nothing much on it, so one light round.'
  return {
    stage: { kind, product, fraction, dwellMinSeconds, labelMaxSeconds, rounds, judgement, why },
    keepOffWheel: keptOff(product, corners, job, fraction),
    school: bySchool ? schoolText('wheelAndTyre', job.schools) : null,
    shortfall: chosen.enough
      ? null
      : {
          text: `${product.name} will not take all of it off the ${nouns[surface]}: ${soilText}.`,
          mend: 'Look at the foam after the last round; what stays wants a stronger cleaner for rubber.',
        },
  }
}
