import { message } from '@/core/message/message'
import { layerId } from '@/core/protection/setHistory'
import { protectionFacts, type ProtectionKind } from '@/core/protection/kinds'
import { cureEnds } from './cure'
import type { DueItem } from './dueItem'
import type { DueContext, DueSet } from './dueSet'

/** Layers that still cure: until then nothing wet. */
export function cureDue(set: DueSet, { now }: DueContext): DueItem[] {
  const curing = set.facts.layers
    .filter(({ endedAt }) => endedAt === null)
    .map((layer) => ({
      layer,
      until: cureEnds(layer, set.cureUntil.get(layerId(set.facts.id, layer)) ?? null),
    }))
    // What needs no cure is never waited for, however lately it was put on.
    .filter(({ layer, until }) => until > now && until > layer.appliedAt)
  const byKind = new Map<ProtectionKind, (typeof curing)[number]>()
  for (const one of curing) {
    const known = byKind.get(one.layer.kind)
    if (!known || one.until > known.until) byKind.set(one.layer.kind, one)
  }
  return [...byKind.values()].map(({ layer, until }) => ({
    key: `cureOver ${set.facts.id} ${layer.kind} ${layer.appliedAt.getTime()}`,
    kind: 'cureOver',
    wheelSetId: set.facts.id,
    what: message('due.items.cure.what', { product: layer.productName }),
    why: message('due.items.cure.why', {
      kind: layer.kind,
      hours: protectionFacts[layer.kind].cureHours,
    }),
    at: until,
    band: null,
    sureness: 'sure',
    remedy: { kind: 'none' },
    canBeDone: false,
  }))
}
