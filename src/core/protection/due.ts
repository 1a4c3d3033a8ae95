import { axleOf, type Position } from '@/core/wheel/position'
import { protectionFacts, type ProtectionKind } from './kinds'

/** Brake dust uses up front wheels sooner. House estimate. */
export const frontLifeShare = { value: 0.75, reason: 'Fronts carry most of the brake dust and heat.' }

/** Share of the life at which a light coat renews it, before it has gone. House estimate. */
export const topUpShare = { value: 0.75, reason: 'A top-up bonds to what is still there.' }

/** One layer on one wheel. */
export interface Layer {
  readonly position: Position
  readonly kind: ProtectionKind
  readonly appliedAt: Date
}

export interface LayerDue {
  /** Middle of the estimated life, days. */
  readonly lifeDays: number
  readonly topUpAt: Date
  readonly renewAt: Date
  /** Share of the life used at the moment asked about, 0 or more. */
  readonly usedShare: number
  readonly state: 'curing' | 'good' | 'topUp' | 'renew'
}

const millisecondsPerDay = 86_400_000

/**
 * When a layer is due, by days alone: life is the geometric middle of its range, shorter on fronts.
 * @param now the moment to judge at
 */
export function layerDue(layer: Layer, now: Date): LayerDue {
  const { lifeDays: range, cureHours } = protectionFacts[layer.kind]
  const lifeDays =
    Math.sqrt(range.from * range.to) * (axleOf(layer.position) === 'front' ? frontLifeShare.value : 1)
  const applied = layer.appliedAt.getTime()
  const ageMilliseconds = Math.max(0, now.getTime() - applied)
  const usedShare = ageMilliseconds / millisecondsPerDay / lifeDays
  return {
    lifeDays,
    topUpAt: new Date(applied + topUpShare.value * lifeDays * millisecondsPerDay),
    renewAt: new Date(applied + lifeDays * millisecondsPerDay),
    usedShare,
    state:
      ageMilliseconds < cureHours * 3_600_000
        ? 'curing'
        : usedShare >= 1
          ? 'renew'
          : usedShare >= topUpShare.value
            ? 'topUp'
            : 'good',
  }
}
