import { estimate, type EstimateId, type OwnEstimates } from '@/core/estimates/houseEstimates'
import type { Job } from '@/core/job/job'
import type { Paces } from '@/core/run/paces'
import { millimetresPerInch } from '@/core/tyre/tyreCode'
import { spokeGapMillimetres, usualHardwarePieces, type WheelGeometry } from '@/core/wheel-geometry'
import type { Act, StageKind } from './plan'

const idOf = (act: Act): EstimateId => `seconds${act.charAt(0).toUpperCase()}${act.slice(1)}` as EstimateId

/** What a person's hours depend on: the shop's values, and how the person's own logged times compare. */
export type Hands = Pick<Job, 'estimates' | 'pace'>

const paced = (act: Act, seconds: number, pace: Paces): number => seconds * (pace[act]?.factor ?? 1)

/** Hand time of an act that belongs to no wheel, seconds. House estimate, corrected by logged times. */
export const secondsOfJobAct = (act: Act, { estimates, pace }: Hands): number =>
  Math.round(paced(act, estimate(idOf(act), estimates), pace))

/** 0 where there is plenty, 1 where there is nothing. */
const lack = (value: number, plenty: number): number => Math.max(0, 1 - value / plenty)

/**
 * How much longer contact with this wheel takes than with one of ten spokes, wide gaps, an open face and five lugs.
 * @returns a factor, and seconds on top for hardware
 */
export function contactOf(
  wheel: WheelGeometry,
  own: OwnEstimates,
): { readonly factor: number; readonly hardwareSeconds: number } {
  const { spokeCount, spokeWidthMillimetres, tyre, openness, hardwarePieces } = wheel
  const spokes = Math.max(-5, spokeCount - 10)
  const gap = spokeGapMillimetres(
    spokeCount,
    spokeWidthMillimetres,
    tyre.rimDiameterInches * millimetresPerInch,
  )
  // A closed disc has neither gaps nor a barrel to reach.
  const isSpoked = spokeCount > 0
  return {
    factor:
      1 +
      estimate('extraSpokeShare', own) * spokes +
      (isSpoked ? estimate('tightGapShare', own) * lack(gap, estimate('easyGapMillimetres', own)) : 0) +
      (isSpoked ? estimate('closedFaceShare', own) * lack(openness, estimate('easyOpenness', own)) : 0),
    hardwareSeconds: estimate('secondsPerPiece', own) * (hardwarePieces - usualHardwarePieces),
  }
}

/** Hand time of one act at one wheel, seconds, from its geometry. House estimate, corrected by logged times. */
export function secondsOfAct(act: Act, wheel: WheelGeometry, { estimates, pace }: Hands): number {
  const base = estimate(idOf(act), estimates)
  if (act !== 'agitate' && act !== 'protect' && act !== 'dry') return Math.round(paced(act, base, pace))
  const { factor, hardwareSeconds } = contactOf(wheel, estimates)
  const seconds = base * factor + (act === 'agitate' ? hardwareSeconds : 0)
  return Math.round(paced(act, Math.max(5, seconds), pace))
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

export const stageSeconds = (kind: StageKind, rounds: number, wheel: WheelGeometry, hands: Hands): number =>
  actsOfStage(kind, rounds).reduce((sum, act) => sum + secondsOfAct(act, wheel, hands), 0)
