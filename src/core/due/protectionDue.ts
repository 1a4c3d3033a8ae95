import { message } from '@/core/message/message'
import { protectionFacts } from '@/core/protection/kinds'
import type { ServiceId } from '@/core/visit-kinds/service'
import { byProduct, bandOfDate, liveLayers, surenessOf, usedMessage, whereOf } from './layerDates'
import type { LiveLayer } from './layerDates'
import type { DueItem } from './dueItem'
import type { DueContext, DueSet } from './dueSet'

/** Kinds that go on at the end of any wash, without making the wheel ready for them. */
const isQuick = ({ facts }: LiveLayer): boolean =>
  protectionFacts[facts.kind].cureHours === 0 || facts.kind === 'coatingTopper'

const positionsOf = (group: readonly LiveLayer[]) => group.flatMap(({ facts }) => facts.positions)

const againOf = (group: readonly LiveLayer[], { facts }: LiveLayer): DueItem['again'] => ({
  protection: facts.kind,
  productName: facts.productName,
  positions: positionsOf(group),
})

const keyOf = (kind: string, set: DueSet, { facts }: LiveLayer, axle = ''): string =>
  `${kind} ${set.facts.id} ${facts.kind} ${facts.appliedAt.getTime()} ${axle}${facts.productName}`.slice(
    0,
    200,
  )

const serviceFor = (first: LiveLayer, isGone: boolean): ServiceId =>
  first.facts.kind === 'ceramicCoating' || first.facts.kind === 'coatingTopper'
    ? isGone && first.facts.kind === 'ceramicCoating'
      ? 'restore'
      : 'coatedMaintenance'
    : isGone && !isQuick(first)
      ? 'decontaminate'
      : isQuick(first)
        ? 'quickRound'
        : 'maintain'

/** An axle is topped up with the one before it where its own time is no more than so many times as long. House estimate. */
const togetherTimes = 2

/** Layers of one product that are due together, the first in front: what is gone, then what is near enough to be topped up in one go. */
function dueTogether(group: readonly LiveLayer[], now: Date): { gone: LiveLayer[]; kept: LiveLayer[][] } {
  const isGone = ({ forecast }: LiveLayer): boolean =>
    forecast.renew.p50 <= now || forecast.clog.kind === 'gone'
  const kept: LiveLayer[][] = []
  for (const layer of group.filter((one) => !isGone(one))) {
    const appliedAt = layer.facts.appliedAt.getTime()
    const [first] = kept.at(-1) ?? []
    const firstTime = first ? first.forecast.topUp.p50.getTime() - appliedAt : -Infinity
    if (layer.forecast.topUp.p50.getTime() - appliedAt <= togetherTimes * firstTime) kept.at(-1)?.push(layer)
    else kept.push([layer])
  }
  return { gone: group.filter(isGone), kept }
}

function revivingDue(set: DueSet, first: LiveLayer, clogged: readonly LiveLayer[]): DueItem[] {
  const [one] = clogged
  if (!one || one.forecast.clog.kind !== 'clogged') return []
  return [
    {
      key: keyOf('reviving', set, first),
      kind: 'reviving',
      wheelSetId: set.facts.id,
      what: message('due.items.reviving.what', { product: first.facts.productName, where: whereOf(clogged) }),
      why: message('due.items.reviving.why'),
      at: one.forecast.clog.before.look.at,
      band: null,
      sureness: 'likely',
      remedy: { kind: 'visit', service: 'coatedMaintenance' },
      canBeDone: false,
    },
  ]
}

function renewalDue(set: DueSet, first: LiveLayer, gone: readonly LiveLayer[], now: Date): DueItem[] {
  const [one] = gone
  if (!one) return []
  const date = one.forecast.renew
  const isSeen = one.forecast.clog.kind === 'gone'
  return [
    {
      key: keyOf('renewal', set, first),
      kind: 'renewal',
      wheelSetId: set.facts.id,
      what: message('due.items.renewal.what', { product: one.facts.productName, where: whereOf(gone) }),
      why: isSeen ? message('due.items.renewal.seen') : usedMessage(gone),
      at: isSeen && date.p50 > now ? now : date.p50,
      // What was seen is not forecast any more.
      band: isSeen ? null : bandOfDate(date),
      sureness: isSeen ? 'sure' : surenessOf(date, one.facts.appliedAt),
      remedy: { kind: 'visit', service: serviceFor(one, true) },
      canBeDone: true,
      again: againOf(gone, one),
    },
  ]
}

function topUpDue(set: DueSet, first: LiveLayer, kept: readonly LiveLayer[]): DueItem[] {
  const [one] = kept
  if (!one) return []
  const date = one.forecast.topUp
  return [
    {
      key: keyOf('topUp', set, first, one === first ? '' : `${one.facts.axle} `),
      kind: 'topUp',
      wheelSetId: set.facts.id,
      what: message('due.items.topUp.what', { product: one.facts.productName, where: whereOf(kept) }),
      why: usedMessage(kept),
      at: date.p50,
      band: bandOfDate(date),
      sureness: surenessOf(date, one.facts.appliedAt),
      remedy: { kind: 'visit', service: serviceFor(one, false) },
      canBeDone: true,
      again: againOf(kept, one),
    },
  ]
}

/**
 * What is due of the protection on the wheels, by product: a reviving wash where it looks clogged, else a renewal of what is used up
 * or bad even after a reviving wash, and a top-up of the rest, axles whose days are near in one go.
 */
export function protectionDue(set: DueSet, { now }: DueContext): DueItem[] {
  return byProduct(liveLayers(set, 'wheel'), ({ topUp }) => topUp).flatMap((group): DueItem[] => {
    const [first] = group
    if (!first) return []
    const clogged = group.filter((one) => one.forecast.clog.kind === 'clogged')
    if (clogged.length > 0) return revivingDue(set, first, clogged)
    const { gone, kept } = dueTogether(group, now)
    return [...renewalDue(set, first, gone, now), ...kept.flatMap((one) => topUpDue(set, first, one))]
  })
}

const rubber = {
  tyre: 'tyreDressing',
  arch: 'trim',
} as const

/** Dressings and coatings of tyres, arches and trim: due when they are gone. */
export function rubberDue(set: DueSet, _context: DueContext): DueItem[] {
  return (['tyre', 'arch'] as const).flatMap((on) =>
    byProduct(liveLayers(set, on), ({ renew }) => renew).flatMap((group): DueItem[] => {
      const [first] = group
      if (!first) return []
      const { facts, forecast } = first
      return [
        {
          key: keyOf(rubber[on], set, first),
          kind: rubber[on],
          wheelSetId: set.facts.id,
          what: message(`due.items.${rubber[on]}.what`, { product: facts.productName }),
          why: usedMessage(group),
          at: forecast.renew.p50,
          band: bandOfDate(forecast.renew),
          sureness: surenessOf(forecast.renew, facts.appliedAt),
          remedy: { kind: 'visit', service: 'quickRound' },
          canBeDone: true,
          again: againOf(group, first),
        },
      ]
    }),
  )
}
