import { protectionFacts } from '@/core/protection/kinds'
import type { ServiceId } from '@/core/visit-kinds/service'
import { byProduct, bandOfDate, liveLayers, surenessOf, usedSentence, whereOf } from './layerDates'
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

const keyOf = (kind: string, set: DueSet, { facts }: LiveLayer): string =>
  `${kind} ${set.facts.id} ${facts.kind} ${facts.appliedAt.getTime()} ${facts.productName}`.slice(0, 200)

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

/**
 * What is due of the protection on the wheels, one entry a product: a reviving wash where it looks clogged, else a top-up, or a
 * renewal once it is used up or no better after a reviving wash.
 */
export function protectionDue(set: DueSet, { now }: DueContext): DueItem[] {
  return byProduct(liveLayers(set, 'wheel'), ({ topUp }) => topUp).flatMap((group): DueItem[] => {
    const [first] = group
    if (!first) return []
    const { facts, forecast } = first
    const name = facts.productName
    const where = whereOf(group)
    const cloggedGroup = group.filter((one) => one.forecast.clog.kind === 'clogged')
    const [clogged] = cloggedGroup
    if (clogged && clogged.forecast.clog.kind === 'clogged')
      return [
        {
          key: keyOf('reviving', set, first),
          kind: 'reviving',
          wheelSetId: set.facts.id,
          what: `Reviving wash for ${name}, ${whereOf(cloggedGroup)}`,
          why: 'Water beads worse than it should on a layer that is not used up: film or minerals may hide it. Wash it with acid or decontaminating shampoo and look again before anything is renewed.',
          at: clogged.forecast.clog.before.look.at,
          band: null,
          sureness: 'likely',
          remedy: { kind: 'visit', service: 'coatedMaintenance' },
          canBeDone: false,
        },
      ]
    const goneGroup = group.filter(
      (one) => one.forecast.renew.p50 <= now || one.forecast.clog.kind === 'gone',
    )
    const [gone] = goneGroup
    const of = gone ?? first
    const date = gone ? gone.forecast.renew : forecast.topUp
    const noBetter = gone?.forecast.clog.kind === 'gone'
    return [
      {
        key: keyOf(gone ? 'renewal' : 'topUp', set, first),
        kind: gone ? 'renewal' : 'topUp',
        wheelSetId: set.facts.id,
        what: `${gone ? 'Renew' : 'Top up'} ${name}, ${gone ? whereOf(goneGroup) : where}`,
        why: noBetter
          ? `It looked no better after a reviving wash. ${usedSentence(group)}`
          : usedSentence(group),
        at: noBetter && date.p50 > now ? now : date.p50,
        band: bandOfDate(date),
        sureness: noBetter ? 'sure' : surenessOf(date, of.facts.appliedAt),
        remedy: { kind: 'visit', service: serviceFor(of, gone !== undefined) },
        canBeDone: true,
        again: againOf(gone ? goneGroup : group, of),
      },
    ]
  })
}

const rubber = {
  tyre: { kind: 'tyreDressing', verb: 'Dress the tyres' },
  arch: { kind: 'trim', verb: 'Dress liners and trim' },
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
          key: keyOf(rubber[on].kind, set, first),
          kind: rubber[on].kind,
          wheelSetId: set.facts.id,
          what: `${rubber[on].verb} with ${facts.productName}`,
          why: usedSentence(group),
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
