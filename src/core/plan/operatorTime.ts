import type { WheelGeometry } from '@/core/wheel-geometry'
import { actSeconds, extraSpokeShare } from './estimates'
import type { Act, StageKind } from './plan'

/** Hand time of one act at one wheel, seconds; contact with the wheel takes longer with more spokes. House estimate. */
export function secondsOfAct(act: Act, wheel: WheelGeometry): number {
  const base = actSeconds[act].value
  if (act !== 'agitate' && act !== 'protect' && act !== 'dry') return base
  const spokes = Math.max(-5, wheel.spokeCount - 10)
  return Math.round(base * (1 + extraSpokeShare.value * spokes))
}

/** What the hands do in one stage at one wheel, in order. */
export function actsOfStage(kind: StageKind, rounds: number): readonly Act[] {
  switch (kind) {
    case 'arch':
      return ['spray', 'scrub', 'rinse']
    case 'tyre':
      return [...Array.from({ length: rounds }, () => ['spray', 'scrub'] as const).flat(), 'rinse']
    case 'wash':
    case 'iron':
    case 'mineral':
      return ['spray', 'agitate', 'rinse']
    case 'tar':
      return ['dry', 'spray', 'wipe', 'rinse']
    case 'protect':
      return ['protect']
    case 'dress':
      return ['dress']
  }
}

export const operatorSecondsOfStage = (kind: StageKind, rounds: number, wheel: WheelGeometry): number =>
  actsOfStage(kind, rounds).reduce((sum, act) => sum + secondsOfAct(act, wheel), 0)
