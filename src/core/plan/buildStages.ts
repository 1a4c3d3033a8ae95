import { familyOf } from '@/core/chemistry/families'
import { ratingOf, type Product } from '@/core/chemistry/product'
import { lanceSurfaceFraction } from '@/core/dilution/foamLance'
import { mixingRecipe, type MixingRecipe } from '@/core/dilution/recipe'
import { worstGrade, type Corner, type Job } from '@/core/job/job'
import { costMinor } from '@/core/quantity/money'
import { verdicts, type Verdict } from '@/core/rules/rule'
import { axleOf, inWalkingOrder, type Position } from '@/core/wheel/position'
import { wheelZones, type Zone } from '@/core/wheel/zone'
import { millilitresAtCorner } from './amounts'
import { cautionsFor } from './cautions'
import { chooseDressing, chooseWheelProtection } from './chooseProtection'
import { chooseProduct, soilsPresent } from './chooseProduct'
import { operatorSecondsOfStage } from './operatorTime'
import { cleaningNeeds, type Need } from './needs'
import type { PlannedProtection, Shortfall, Stage, StageKind } from './plan'

interface StageDraft {
  readonly kind: StageKind
  readonly product: Product
  readonly zones: readonly Zone[]
  readonly verdict: Verdict
  readonly why: string
  readonly care: readonly string[]
  readonly rounds: number
  readonly strong: boolean
  readonly corners: readonly Corner[]
}

/** Whether a need is worth a stage on some wheels, given what the wash before it already takes. */
function wanted(need: Need, corners: readonly Corner[], job: Job, wash: Product | null): boolean {
  const present = soilsPresent(need, corners)
  if (need.kind === 'wash') return true
  if (need.kind === 'tyre') return true
  if (need.kind === 'arch') return job.schools.arches === 'always' || present.length > 0
  return present.some(({ soil, grade }) => !wash || ratingOf(wash, soil) < grade)
}

/** The least workable recipe for an amount: raised to what the person's measure can do. */
function workableRecipe(fraction: number, wantedMillilitres: number, measure: number): MixingRecipe {
  const rounded = Math.max(50, Math.ceil(wantedMillilitres / 50) * 50)
  const recipe = mixingRecipe(fraction, rounded, measure)
  if (recipe.ok) return recipe.value
  const least = mixingRecipe(fraction, Math.ceil(measure / fraction / 50) * 50, measure)
  if (!least.ok) throw new Error(`No workable recipe for ${fraction}`)
  return least.value
}

function stageOf(draft: StageDraft, index: number, job: Job): Stage {
  const { product, corners, zones, rounds } = draft
  const bottleFraction = draft.strong ? product.strength.to : product.strength.from
  const needed =
    product.delivery === 'bucket'
      ? job.equipment.bucketLitres * 1000
      : corners.reduce(
          (sum, corner) => sum + rounds * millilitresAtCorner(corner.wheel, zones, product.delivery),
          0,
        )
  const recipe = workableRecipe(bottleFraction, needed, job.equipment.smallestMeasureMillilitres)
  return {
    id: `${draft.kind}-${index + 1}`,
    kind: draft.kind,
    productId: product.id,
    productName: product.name,
    family: product.family,
    corners: corners.map(({ position }) => position),
    zones,
    delivery: product.delivery,
    strength: { from: bottleFraction, to: bottleFraction },
    recipe,
    surfaceFraction:
      product.delivery === 'lance'
        ? lanceSurfaceFraction(recipe.realFraction, job.equipment.lance)
        : recipe.realFraction,
    dwellSeconds: product.dwellSeconds,
    rounds,
    operatorSeconds: corners.reduce(
      (sum, corner) => sum + operatorSecondsOfStage(draft.kind, rounds, corner.wheel),
      0,
    ),
    costMinor: costMinor(recipe.concentrateMillilitres, product.packMillilitres, product.packPriceMinor),
    verdict: draft.verdict,
    why: draft.why,
    cautions: [...draft.care, ...cautionsFor(familyOf(product.family))],
  }
}

/** Tyre rounds by browning: one for a light bloom, up to three for sludge. House estimate. */
const tyreRounds = (corners: readonly Corner[]): number =>
  Math.max(1, worstGrade(corners, ['tyre'], 'tyreBrowning') - 1)

export interface StagedJob {
  readonly stages: Stage[]
  readonly protections: PlannedProtection[]
  readonly shortfalls: Shortfall[]
}

/** Stages of chemistry for all corners; wheels that want the same product in the same way share a stage. */
export function buildStages(job: Job): StagedJob {
  const drafts: StageDraft[] = []
  const protections: PlannedProtection[] = []
  const shortfalls = new Map<string, { corners: Position[]; text: string; mend: string }>()
  const add = (draft: Omit<StageDraft, 'corners'>, corners: readonly Corner[]) => {
    const same = drafts.findIndex(
      ({ kind, product, rounds, strong }) =>
        kind === draft.kind &&
        product.id === draft.product.id &&
        rounds === draft.rounds &&
        strong === draft.strong,
    )
    const known = drafts[same]
    if (!known) {
      drafts.push({ ...draft, corners: [...corners] })
      return
    }
    const stricter = verdicts.indexOf(draft.verdict) > verdicts.indexOf(known.verdict) ? draft : known
    drafts[same] = { ...stricter, corners: [...known.corners, ...corners] }
  }
  const miss = (corners: readonly Corner[], text: string, mend: string) => {
    const positions = corners.map(({ position }) => position)
    const known = shortfalls.get(text)
    shortfalls.set(text, { corners: [...(known?.corners ?? []), ...positions], text, mend })
  }

  // Both wheels of an axle get the same product: one bottle in the hand, and the stricter finish decides.
  const axles = (['front', 'rear'] as const)
    .map((axle) => inWalkingOrder(job.corners).filter(({ position }) => axleOf(position) === axle))
    .filter((corners) => corners.length > 0)
  for (const corners of axles) {
    let wash: Product | null = null
    for (const need of cleaningNeeds) {
      if (!wanted(need, corners, job, wash)) continue
      // Rubber and liners are no reason for a second bottle: one product and strength for the whole vehicle.
      const judgedOn = need.surface === 'wheel' ? corners : job.corners
      const { chosen, why, shortfall } = chooseProduct(need, judgedOn, job)
      if (shortfall) miss(corners, shortfall.text, shortfall.mend)
      if (!chosen) continue
      if (need.kind === 'wash') wash = chosen.product
      const onWheel = need.surface === 'wheel'
      add(
        {
          kind: need.kind,
          product: chosen.product,
          zones: need.zones,
          verdict: onWheel ? chosen.judgement.verdict : 'fine',
          why,
          care: onWheel
            ? chosen.judgement.rules.flatMap((rule) => (rule.care ? [rule.care] : []))
            : chosen.judgement.verdict === 'no'
              ? ['Keep it off the wheel: rinse the wheel first and again at once.']
              : [],
          rounds: need.kind === 'tyre' ? tyreRounds(corners) : 1,
          strong: soilsPresent(need, judgedOn).some(({ grade }) => grade >= 3),
        },
        corners,
      )
    }
    for (const corner of corners) {
      const protection = chooseWheelProtection(corner, job)
      if (protection) {
        const { product, kind, why } = protection
        add(
          {
            kind: 'protect',
            product,
            zones: wheelZones,
            verdict: 'fine',
            why,
            care: [],
            rounds: 1,
            strong: true,
          },
          [corner],
        )
        protections.push({ corner: corner.position, kind, productId: product.id })
      } else {
        miss(
          [corner],
          'Nothing in the cabinet protects this finish.',
          'Add a protection that suits it, or leave the wheel clean and dry.',
        )
      }
      const dressing = chooseDressing(corner, job)
      if (dressing) {
        const { product, kind, why } = dressing
        add(
          {
            kind: 'dress',
            product,
            zones: ['tyre'],
            verdict: 'fine',
            why,
            care: [],
            rounds: 1,
            strong: true,
          },
          [corner],
        )
        protections.push({ corner: corner.position, kind, productId: product.id })
      }
    }
  }
  const order: readonly StageKind[] =
    job.schools.tyre === 'beforeWheel'
      ? ['arch', 'tyre', 'wash', 'iron', 'mineral', 'tar', 'protect', 'dress']
      : ['arch', 'wash', 'iron', 'mineral', 'tyre', 'tar', 'protect', 'dress']
  drafts.sort((a, b) => order.indexOf(a.kind) - order.indexOf(b.kind))
  return {
    stages: drafts.map((draft, index) => stageOf(draft, index, job)),
    protections,
    shortfalls: [...shortfalls.values()],
  }
}
