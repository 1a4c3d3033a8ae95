/**
 * Strength of a mix as the share of concentrate in it, 0 < fraction ≤ 1.
 * A label may give a range; `from` is the weaker end and equals `to` for a single strength.
 */
export interface Mix {
  readonly from: number
  readonly to: number
}

export const singleMix = (fraction: number): Mix => ({ from: fraction, to: fraction })

/** One part concentrate in `waterParts` parts of water: c = 1/(1+n). */
export const fractionFromRatio = (waterParts: number): number => 1 / (1 + waterParts)

/** Parts of water to one part of concentrate: n = 1/c − 1. */
export const waterPartsOf = (fraction: number): number => 1 / fraction - 1

/** Dose added to a volume of water: d/(V+d). Both in the same unit. */
export const fractionOfDoseAdded = (dose: number, water: number): number => dose / (water + dose)

/** Dose made up with water to a total volume: d/V. Both in the same unit. */
export const fractionOfDoseMadeUp = (dose: number, total: number): number => dose / total

/** A mix thinned again: the shares of several stages multiply. */
export const combineStages = (fractions: readonly number[]): number =>
  fractions.reduce((product, fraction) => product * fraction, 1)
