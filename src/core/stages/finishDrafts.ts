import { message, sentences, type Message } from '@/core/message/message'
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
import type { MethodsUsed } from './methodsUsed'
import type { Miss } from './shortfallBook'
import type { Undone } from '@/core/reasons/shortfalls'
import { addDraft, type StageDraft } from './stageDraft'

export interface Finishing {
  readonly drafts: StageDraft[]
  readonly protections: PlannedProtection[]
}

const cureCare = ({ kind }: ProtectionChoice): Message[] => {
  const { cureHours } = protectionFacts[kind]
  return cureHours > 1
    ? [message('reasons.care.cureHours', { hours: cureHours })]
    : cureHours === 1
      ? [message('reasons.care.cureHour')]
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
function sayNothingProtects(corner: Corner, job: Job): Undone {
  const free = { ...job, wishes: { ...job.wishes, forbidden: [] } }
  const { choice } = chooseWheelProtection(corner, free, null)
  return choice && job.wishes.forbidden.includes(choice.product.id)
    ? [
        message('reasons.stays.ruledOutProtects', { product: choice.product.name }),
        message('reasons.stays.allowOrLeave'),
      ]
    : [message('reasons.stays.nothingProtects'), message('reasons.stays.addProtection')]
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
  methods: MethodsUsed,
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
    if (choice.method) methods.add(choice.method)
  }
  for (const corner of inWalkingOrder(job.corners)) {
    if (!cleaned.has(corner.position)) continue
    if (service.protection !== 'none') {
      const { choice, refused } = chooseWheelProtection(corner, job, stays.get(corner.position) ?? null)
      if (choice) put(choice, 'protect', corner)
      if (refused)
        miss(
          [corner.position],
          message('reasons.notToday.text', { product: refused.productName, reason: refused.reason }),
          choice || refused.fix
            ? sentences(
                choice && message('reasons.notToday.insteadOf', { product: choice.product.name }),
                refused.fix,
              )
            : message('reasons.notToday.leaveClean'),
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
        message('reasons.notToday.notDressed', { reason: refused.reason }),
        refused.fix ?? message('reasons.notToday.leaveTyre'),
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

const sayNoPolish = (ruledOut: Product | undefined): Undone =>
  ruledOut
    ? [message('reasons.stays.dullRuledOut', { product: ruledOut.name }), message('reasons.stays.allowShine')]
    : [message('reasons.stays.dullNoPolish'), message('reasons.stays.addPolish')]

/** Metal polish on bare polished metal, where the visit restores and the cabinet has one. */
export function polishDrafts(job: Job, groups: readonly WheelGroup[], miss: Miss): StageDraft[] {
  if (!services[job.service].polishes) {
    const scaled = groups.filter(({ corners, zones }) =>
      corners.some((corner) => zones.some((zone) => keepsScale(zone, corner, job))),
    )
    if (scaled.length > 0)
      miss(scaled.flatMap(positionsOf), message('reasons.stays.scale'), message('reasons.stays.scaleFix'))
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
      miss(positionsOf(group), message('reasons.stays.dullNoTowel'), message('reasons.stays.addPolishTowels'))
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
        why: message('reasons.why.polish'),
        care: [message('reasons.care.polish')],
        rounds: 1,
      },
      group.corners,
    )
  }
  return drafts
}
