import type { Said } from '@/core/message/message'
import { isPlannable } from '@/core/choice/candidates'
import { leavesHandsTime } from '@/core/choice/handsTime'
import { judgedDwell } from '@/core/choice/judgedDwell'
import { riskOf } from '@/core/choice/risk'
import { sitesOf } from '@/core/choice/sites'
import { familyOf } from '@/core/chemistry/families'
import { ratingOf, type Product } from '@/core/chemistry/product'
import type { Surface } from '@/core/chemistry/family'
import { mechanicsOf } from '@/core/efficacy/mechanics'
import { coldDwellSeconds } from '@/core/efficacy/coldDwell'
import { removalInTime } from '@/core/efficacy/removalInTime'
import type { Use } from '@/core/efficacy/removal'
import { surfaceCelsiusOf, type Corner, type Job } from '@/core/job/job'
import { worstGrade } from '@/core/soils/zoneLoads'
import { targetAmount } from '@/core/choice/need'
import { productRulesAt, type Judgement, type UseSite } from '@/core/rules/judge'
import type { Rule } from '@/core/rules/rule'
import { services } from '@/core/visit-kinds/service'
import { amountOfGrade, type Grade, type Soil } from '@/core/soils/soil'
import { archDepthMillimetres } from '@/core/reachability/depth'
import { pickTool, type ToolSite } from '@/core/reachability/pickTool'
import { millilitresAtCorner } from '@/core/operator-time/amounts'
import { stageSeconds } from '@/core/operator-time/operatorTime'
import type { StageKind } from '@/core/plan/plan'
import { log } from '@/core/quantity/portableMath'

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
  readonly why: Said
}

/** What is on rubber and liners. */
export const soilsOf: Record<'tyre' | 'arch', readonly Soil[]> = {
  tyre: ['tyreBrowning', 'film'],
  arch: ['film', 'organic'],
}

/** More rounds than this on one visit and the hands give up before the rubber. */
const maxRounds = 5

/** A product at a strength that could clean it, with what that would take. */
export interface RubberCandidate extends RubberStage {
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
  readonly hasTool: boolean
  /** Rules that may speak of a product here. */
  readonly rulesOf: (product: Product) => readonly Rule[]
}

/** Where a tool for rubber or liner is wanted: no gap to pass, no finish to spare. */
export const rubberToolSite = (job: Job, surface: 'tyre' | 'arch'): ToolSite => ({
  gapMillimetres: Infinity,
  depthMillimetres: surface === 'arch' ? archDepthMillimetres : 0,
  surface: null,
  liner: job.archLiner,
  methods: job.methods,
  vehicleKind: job.vehicleKind,
})

function siteFor(surface: 'tyre' | 'arch', corners: readonly Corner[], job: Job): RubberSite {
  const tool = pickTool(surface, job.tools, rubberToolSite(job, surface))
  const sites = sitesOf({ corners, zones: [surface] }, job)
  return {
    surface,
    corners,
    sites,
    rulesOf: productRulesAt(sites),
    hasTool: tool !== null,
    mechanics: mechanicsOf(tool, job.estimates),
  }
}

const browningOf = (corners: readonly Corner[]): Grade => worstGrade(corners, ['tyre'], 'tyreBrowning')

/**
 * Rounds until every soil is where the visit wants it; gummy rubber gives its browning up a layer a round. Without a brush
 * a second round does nothing that the first left.
 */
function roundsNeeded(use: Use, { surface, corners, mechanics, hasTool }: RubberSite, job: Job): number {
  if (!hasTool) return 1
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

function candidateOf(product: Product, site: RubberSite, job: Job, fraction: number): RubberCandidate {
  const { surface, corners } = site
  const { dwellSeconds, actingSeconds, labelMaxSeconds, judgement } = judgedDwell(
    product,
    fraction,
    site.rulesOf(product),
  )
  const surfaceCelsius = surfaceCelsiusOf(job)
  const use = { product, fraction, dwellSeconds: actingSeconds, surfaceCelsius }
  const needed = roundsNeeded(use, site, job)
  const rounds = Math.min(maxRounds, needed)
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
    enough: needed <= maxRounds,
    coldRounds: rounds - Math.min(maxRounds, warm),
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

/** What could clean rubber or liner at some wheels; worked out once, however many plans ask for it. */
export class RubberCandidates {
  private readonly known = new Map<string, readonly RubberCandidate[]>()

  constructor(private readonly job: Job) {}

  /** All that no rule forbids, at both ends of their labels. */
  of(surface: 'tyre' | 'arch', corners: readonly Corner[]): readonly RubberCandidate[] {
    return this.judged(surface, corners).filter(({ judgement }) => judgement.verdict !== 'no')
  }

  /** The best made for it that only a rule forbids; null where nothing else is in the way. */
  barred(
    surface: 'tyre' | 'arch',
    corners: readonly Corner[],
  ): { readonly productName: string; readonly reason: Said } | null {
    const [best] = this.judged(surface, corners)
      .filter(({ judgement }) => judgement.verdict === 'no')
      .sort((a, b) => Number(b.isMadeForIt) - Number(a.isMadeForIt) || a.seconds - b.seconds)
    return best ? { productName: best.product.name, reason: best.judgement.rules[0]?.reason ?? '' } : null
  }

  /** The best that the person ruled out and no rule forbids; null where there is none. */
  ruledOut(
    surface: 'tyre' | 'arch',
    corners: readonly Corner[],
  ): { readonly productName: string; readonly enough: boolean } | null {
    const { wishes } = this.job
    if (wishes.forbidden.length === 0) return null
    const free = new RubberCandidates({ ...this.job, wishes: { ...wishes, forbidden: [] } })
    const [best] = free
      .of(surface, corners)
      .filter(({ product }) => wishes.forbidden.includes(product.id))
      .sort((a, b) => Number(b.enough) - Number(a.enough) || Number(b.isMadeForIt) - Number(a.isMadeForIt))
    return best ? { productName: best.product.name, enough: best.enough } : null
  }

  private judged(surface: 'tyre' | 'arch', corners: readonly Corner[]): readonly RubberCandidate[] {
    const key = `${surface} ${corners.map(({ position }) => position).join()}`
    const known = this.known.get(key)
    if (known) return known
    const site = siteFor(surface, corners, this.job)
    const made = suited(surface, this.job).flatMap((product) =>
      [...new Set([product.strength.from, product.strength.to])]
        .filter((fraction) => leavesHandsTime(product, fraction, site.sites, this.job))
        .map((fraction) => candidateOf(product, site, this.job, fraction)),
    )
    this.known.set(key, made)
    return made
  }
}
