import { estimate, type EstimateId, type OwnEstimates } from '@/core/estimates/houseEstimates'
import type { WheelGeometry } from '@/core/wheel-geometry'
import type { Act, StageKind } from './plan'

const idOf = (act: Act): EstimateId => `seconds${act.charAt(0).toUpperCase()}${act.slice(1)}` as EstimateId

/** Hand time of an act that belongs to no wheel, seconds. House estimate. */
export const secondsOfJobAct = (act: Act, own: OwnEstimates): number => estimate(idOf(act), own)

/** Hand time of one act at one wheel, seconds; contact with the wheel takes longer with more spokes. House estimate. */
export function secondsOfAct(act: Act, wheel: WheelGeometry, own: OwnEstimates): number {
  const base = estimate(idOf(act), own)
  if (act !== 'agitate' && act !== 'protect' && act !== 'dry') return base
  const spokes = Math.max(-5, wheel.spokeCount - 10)
  return Math.round(base * (1 + estimate('extraSpokeShare', own) * spokes))
}

/** What the hands do in one stage at one wheel, in order. */
export function actsOfStage(kind: StageKind, rounds: number): readonly Act[] {
  const inRounds = (...acts: Act[]) => Array.from({ length: rounds }, () => acts).flat()
  switch (kind) {
    case 'arch':
    case 'tyre':
      return [...inRounds('spray', 'scrub'), 'rinse']
    case 'wash':
    case 'iron':
    case 'mineral':
      return inRounds('spray', 'agitate', 'rinse')
    case 'tar':
      return inRounds('dry', 'spray', 'wipe', 'rinse')
    case 'waterless':
      return inRounds('spray', 'wipe')
    case 'protect':
      return ['protect']
    case 'dress':
      return ['dress']
  }
}

export const stageSeconds = (
  kind: StageKind,
  rounds: number,
  wheel: WheelGeometry,
  own: OwnEstimates,
): number => actsOfStage(kind, rounds).reduce((sum, act) => sum + secondsOfAct(act, wheel, own), 0)
