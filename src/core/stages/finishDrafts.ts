import { isPolishedMetal } from '@/core/choice/polishedMetal'
import { sitesOf } from '@/core/choice/sites'
import { positionsOf, type WheelGroup } from '@/core/choice/wheelGroup'
import type { Product } from '@/core/chemistry/product'
import type { Corner, Job } from '@/core/job/job'
import type { PlannedProtection } from '@/core/plan/plan'
import { protectionFacts } from '@/core/protection/kinds'
import { hasCloth } from '@/core/reachability/means'
import { isHere } from '@/core/reachability/zoneReach'
import { judgePlaces, rulesAbout } from '@/core/rules/judge'
import type { Soil } from '@/core/soils/soil'
import { services } from '@/core/visit-kinds/service'
import { inWalkingOrder, type Position } from '@/core/wheel/position'
import { finishZoneOf, sealedZones, type Zone } from '@/core/wheel/zone'
import { chooseDressing, chooseWheelProtection, type ProtectionChoice } from './chooseProtection'
import type { Miss } from './shortfallBook'
import type { Said } from '@/core/words/shortfalls'
import { addDraft, type StageDraft } from './stageDraft'

export interface Finishing {
  readonly drafts: StageDraft[]
  readonly protections: PlannedProtection[]
}

const cureCare = ({ kind }: ProtectionChoice): string[] => {
  const { cureHours } = protectionFacts[kind]
  return cureHours > 1
    ? [`Cures ${cureHours} hours: no water, no rain and no chemistry before that.`]
    : cureHours === 1
      ? ['Leave it dry for an hour.']
      : []
}

const draftOf = (
  choice: ProtectionChoice,
  kind: 'protect' | 'dress',
  zones: readonly Zone[],
): Omit<StageDraft, 'corners'> => ({
  kind,
  product: choice.product,
  fraction: choice.product.strength.to,
  dwellSeconds: choice.product.dwellSeconds,
  zones,
  tools: [],
  judgement: choice.judgement,
  why: choice.why,
  care: cureCare(choice),
  rounds: 1,
})

/** Why nothing protects a wheel: what the person ruled out, where that would, else the cabinet. */
function sayNothingProtects(corner: Corner, job: Job): Said {
  const free = { ...job, wishes: { ...job.wishes, forbidden: [] } }
  const { choice } = chooseWheelProtection(corner, free, null)
  return choice && job.wishes.forbidden.includes(choice.product.id)
    ? [
        `You ruled out ${choice.product.name}, which protects this finish.`,
        'Allow it again, or leave the wheel clean and dry.',
      ]
    : [
        'Nothing in the cabinet protects this finish.',
        'Add a protection that suits it, or leave the wheel clean and dry.',
      ]
}

/** Scale on polished metal comes off with polish alone: until then nothing is put over it. */
const keepsScale = (zone: Zone, corner: Corner, job: Job): boolean =>
  isPolishedMetal(zone, corner) &&
  (corner.loads[zone]?.mineral ?? 0) > 0 &&
  services[job.service].polishes !== true

/**
 * Protection and dressing of the wheels that were cleaned: nothing is sealed over dirt.
 * @param cleaned which zones, by wheel
 * @param stays a soil that does not all come off, by wheel
 */
export function finishDrafts(
  job: Job,
  cleaned: ReadonlyMap<Position, readonly Zone[]>,
  stays: ReadonlyMap<Position, Soil>,
  miss: Miss,
  schools: Set<string>,
): Finishing {
  const protect: StageDraft[] = []
  const dress: StageDraft[] = []
  const protections: PlannedProtection[] = []
  const service = services[job.service]
  const put = (choice: ProtectionChoice, kind: 'protect' | 'dress', corner: Corner): void => {
    const washed = cleaned.get(corner.position) ?? []
    const zones =
      kind === 'dress'
        ? (['tyre'] as const)
        : sealedZones.filter((zone) => washed.includes(zone) && !keepsScale(zone, corner, job))
    addDraft(kind === 'dress' ? dress : protect, draftOf(choice, kind, zones), [corner])
    protections.push({ corner: corner.position, kind: choice.kind, productId: choice.product.id })
    if (choice.school) schools.add(choice.school)
  }
  for (const corner of inWalkingOrder(job.corners)) {
    if (!cleaned.has(corner.position)) continue
    if (service.protection !== 'none') {
      const { choice, refused } = chooseWheelProtection(corner, job, stays.get(corner.position) ?? null)
      if (choice) put(choice, 'protect', corner)
      if (refused)
        miss(
          [corner.position],
          `Not ${refused.productName} today: ${refused.reason}`,
          [choice ? `${choice.product.name} goes on instead.` : null, refused.mend]
            .filter(Boolean)
            .join(' ') || 'Leave the wheel clean, and protect it another day.',
        )
      else if (!choice && isHere('face', corner, job))
        miss([corner.position], ...sayNothingProtects(corner, job))
    }
    const { choice: dressing, refused } = service.tyres
      ? chooseDressing(corner, job)
      : { choice: null, refused: null }
    if (dressing) put(dressing, 'dress', corner)
    else if (refused)
      miss(
        [corner.position],
        `The tyre is not dressed: ${refused.reason}`,
        refused.mend ?? 'Leave it clean and dry.',
      )
  }
  return { drafts: [...protect, ...dress], protections }
}

/** Zones of a group that are known to be bare, polished metal. */
const polishedZones = ({ corners: [corner], zones }: WheelGroup): Zone[] =>
  sealedZones.filter((zone) => {
    if (!zones.includes(zone)) return false
    const of = finishZoneOf(zone)
    const state = of === null || of === 'caliper' ? undefined : corner?.finishes[of]
    return state?.finish === 'polishedBare' && state.condition === 'sound'
  })

const sayNoPolish = (ruledOut: Product | undefined): Said =>
  ruledOut
    ? [
        `The bare metal stays as dull as it is: you ruled out ${ruledOut.name}.`,
        'Allow it again, or leave the shine for another visit.',
      ]
    : [
        'The bare metal stays as dull as it is: the cabinet has no metal polish.',
        'Add one for polished bare metal, or leave the shine for another visit.',
      ]

/** Metal polish on bare polished metal, where the visit restores and the cabinet has one. */
export function polishDrafts(job: Job, groups: readonly WheelGroup[], miss: Miss): StageDraft[] {
  if (!services[job.service].polishes) {
    const scaled = groups.filter(({ corners, zones }) =>
      corners.some((corner) => zones.some((zone) => keepsScale(zone, corner, job))),
    )
    if (scaled.length > 0)
      miss(
        scaled.flatMap(positionsOf),
        'The scale on the polished metal stays: no cleaner is safe on it. Nothing is sealed over it.',
        'A restoration removes it by hand, with metal polish.',
      )
    return []
  }
  const drafts: StageDraft[] = []
  const polishes = job.cabinet.filter(({ family, archived }) => family === 'metalPolish' && !archived)
  const product: Product | undefined = polishes.find(({ id }) => !job.wishes.forbidden.includes(id))
  const [ruledOut] = polishes
  for (const group of groups) {
    const zones = polishedZones(group)
    if (zones.length === 0) continue
    if (product && !hasCloth(job)) {
      miss(
        positionsOf(group),
        'The bare metal stays as dull as it is: there is no clean towel in the kit to polish with.',
        'Add towels that are kept for polish.',
      )
      continue
    }
    if (!product) {
      miss(positionsOf(group), ...sayNoPolish(ruledOut))
      continue
    }
    const judgement = judgePlaces(rulesAbout({ product }), sitesOf({ ...group, zones }, job))
    if (judgement.verdict === 'no') continue
    addDraft(
      drafts,
      {
        kind: 'polish',
        product,
        fraction: 1,
        dwellSeconds: product.dwellSeconds,
        zones,
        tools: [],
        judgement,
        why: 'Bare, polished metal is clean only when it shines again.',
        care: ['Small areas, little product, wiped off before it dries; black on the cloth is the metal.'],
        rounds: 1,
      },
      group.corners,
    )
  }
  return drafts
}
