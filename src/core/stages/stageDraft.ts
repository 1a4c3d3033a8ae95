import { saidOnce, type Said } from '@/core/message/message'
import { familyOf } from '@/core/chemistry/families'
import { longestHere } from '@/core/choice/longestHere'
import { sitesOf } from '@/core/choice/sites'
import { wearOf, type Product } from '@/core/chemistry/product'
import { lanceSurfaceFraction } from '@/core/dilution/foamLance'
import { millilitresAtCorner } from '@/core/operator-time/amounts'
import { stageSeconds } from '@/core/operator-time/operatorTime'
import { wearShare } from '@/core/efficacy/wear'
import { surfaceCelsiusOf, type Corner, type Job } from '@/core/job/job'
import { isByHand } from '@/core/plan/byHand'
import type { Stage, ZoneTool } from '@/core/plan/plan'
import { protectionFacts } from '@/core/protection/kinds'
import type { Finish } from '@/core/finishes/finish'
import { surfaceOf, type Judgement, type UseSite } from '@/core/rules/judge'
import { cautionsFor } from '@/core/reasons/cautions'
import { cleansWheel, type StageKind } from '@/core/acts/stageKind'
import { finishZoneOf, type Zone } from '@/core/wheel/zone'
import { workableRecipe } from './recipes'

/** A stage before it has an amount and a price. */
export interface StageDraft {
  readonly kind: StageKind
  readonly product: Product
  readonly fraction: number
  readonly dwellSeconds: { readonly min: number; readonly max: number }
  readonly zones: readonly Zone[]
  readonly tools: readonly ZoneTool[]
  readonly judgement: Judgement
  readonly why: Said
  readonly care: readonly Said[]
  readonly rounds: number
  readonly keptOffWheel?: boolean
  readonly corners: readonly Corner[]
}

/** What is in the hand, zone by zone: a brush that fits one wheel may not fit the next. */
const handOf = ({ tools }: Omit<StageDraft, 'corners'>): string =>
  JSON.stringify(tools.flatMap(({ zones, tool }) => zones.map((zone) => `${zone} ${tool ?? ''}`)).sort())

const sameUse = (a: Omit<StageDraft, 'corners'>, b: StageDraft): boolean =>
  handOf(a) === handOf(b) &&
  a.kind === b.kind &&
  a.product.id === b.product.id &&
  a.fraction === b.fraction &&
  a.dwellSeconds.min === b.dwellSeconds.min &&
  a.dwellSeconds.max === b.dwellSeconds.max &&
  a.rounds === b.rounds

/** A stage shared by two groups has the stricter of their rules. */
const joined = (
  known: StageDraft,
  draft: Omit<StageDraft, 'corners'>,
  corners: readonly Corner[],
): StageDraft => ({
  ...known,
  corners: [...known.corners, ...corners],
  zones: [...new Set([...known.zones, ...draft.zones])],
  tools: [
    ...known.tools,
    ...draft.tools.filter((one) => !known.tools.some((other) => other.tool === one.tool)),
  ],
  judgement: draft.judgement.rules.length > known.judgement.rules.length ? draft.judgement : known.judgement,
})

/**
 * Adds a stage for some wheels; those that want the same product in the same way share one.
 * @param after place in the list behind which it has to stand; -1 for none
 * @returns its place
 */
export function addDraft(
  drafts: StageDraft[],
  draft: Omit<StageDraft, 'corners'>,
  corners: readonly Corner[],
  after = -1,
): number {
  const same = drafts.findIndex((known, at) => at > after && sameUse(draft, known))
  const known = drafts[same]
  if (known) {
    drafts[same] = joined(known, draft, corners)
    return same
  }
  drafts.splice(after + 1, 0, { ...draft, corners: [...corners] })
  return after + 1
}

/** Tools of some zones, zones with the same tool together. */
export function zoneTools(tools: ReadonlyMap<Zone, { readonly name: string } | null>): ZoneTool[] {
  const byTool = new Map<string | null, Zone[]>()
  for (const [zone, tool] of tools) {
    const name = tool?.name ?? null
    byTool.set(name, [...(byTool.get(name) ?? []), zone])
  }
  return [...byTool].map(([tool, zones]) => ({ tool, zones }))
}

/** Working mix that a draft takes, ml. */
const neededMillilitres = ({ product, corners, rounds, zones }: StageDraft, job: Job): number =>
  product.delivery === 'bucket'
    ? job.equipment.bucketLitres * 1000
    : corners.reduce(
        (sum, corner) => sum + rounds * millilitresAtCorner(product, corner, zones, job.estimates),
        0,
      )

/** Worst share of a protection's life that a draft takes at any of its wheels. */
function protectionLostShare(draft: StageDraft, job: Job): number {
  const { product, fraction, corners, rounds, dwellSeconds } = draft
  const use = { product, fraction, dwellSeconds: dwellSeconds.max, surfaceCelsius: surfaceCelsiusOf(job) }
  const lost = ({ protection }: Corner): number =>
    wearShare(
      wearOf(product),
      use,
      protection.filter((layer) => protectionFacts[layer].on === 'wheel'),
      job.estimates,
    )
  return cleansWheel(draft.kind) ? Math.min(1, rounds * Math.max(0, ...corners.map(lost))) : 0
}

/** Whether a test spot was fine on every finish it would come to. */
function wasTried({ product, corners, zones }: StageDraft, { testSpots = [] }: Job): boolean {
  const isFine = (finish: Finish | undefined): boolean =>
    testSpots.some(
      (spot) => spot.result === 'fine' && spot.productId === product.id && spot.finish === finish,
    )
  return corners.every(({ finishes }) =>
    zones.every((zone) => finishZoneOf(zone) === null || isFine(surfaceOf(zone, finishes)?.finish)),
  )
}

const sitesOfDraft = ({ corners, zones }: StageDraft, job: Job): UseSite[] => sitesOf({ corners, zones }, job)

/** The stage of a draft; its price is told once it is known what is filled together. */
export function stageOf(draft: StageDraft, index: number, job: Job): Stage {
  const { product, corners, rounds, fraction, kind, judgement } = draft
  const recipe = workableRecipe(
    fraction,
    neededMillilitres(draft, job),
    job.equipment.smallestMeasureMillilitres,
  )
  return {
    id: `${kind}-${index + 1}`,
    kind,
    productId: product.id,
    productName: product.name,
    family: product.family,
    corners: corners.map(({ position }) => position),
    zones: draft.zones,
    tools: draft.tools,
    delivery: product.delivery,
    strength: { from: fraction, to: fraction },
    recipe,
    surfaceFraction:
      product.delivery === 'lance'
        ? lanceSurfaceFraction(recipe.realFraction, job.equipment.lance)
        : recipe.realFraction,
    dwellSeconds: draft.dwellSeconds,
    ...(familyOf(product.family).purpose === 'clean'
      ? { longest: longestHere(product, fraction, sitesOfDraft(draft, job)) }
      : {}),
    rounds,
    operatorSeconds: corners.reduce(
      (sum, corner) =>
        sum +
        stageSeconds(kind, rounds, { ...corner, zones: draft.zones }, job, product.family, isByHand(draft)),
      0,
    ),
    costMinor: 0,
    verdict: judgement.verdict,
    rules: judgement.rules.map(({ id, verdict, reason, care, testSpot }) => ({
      id,
      verdict,
      reason,
      ...(care === undefined ? {} : { care }),
      ...(testSpot && !wasTried(draft, job) ? { testSpot } : {}),
    })),
    ...(draft.keptOffWheel ? { keptOffWheel: true } : {}),
    protectionLostShare: protectionLostShare(draft, job),
    why: draft.why,
    cautions: saidOnce([
      ...draft.care,
      ...judgement.rules.flatMap(({ care }) => (care === undefined ? [] : [care])),
      ...cautionsFor(familyOf(product.family)),
    ]),
  }
}
