import { bondedIndex, type Need } from './need'
import type { Cost } from './cost'
import type { Option } from './option'

export const maxStages = 4

export interface SearchRules {
  /** Iron removers wait until the film is off (a shop method). */
  readonly ironWaitsForWash: boolean
  /** Share of its bonded rating an iron remover has over film. */
  readonly ironOverFilm: number
  /** The first stage goes onto a dry wheel. */
  readonly dryStart: boolean
  /** Products that must be among the stages, by id. */
  readonly pinned: readonly string[]
}

/** An ordered plan: indexes into the options, and what it costs. */
export interface Found {
  readonly stages: readonly number[]
  readonly cost: Cost
}

/** Sums are floating point: a hair under the need is enough. */
export const hair = 1e-9

/**
 * What a stage adds to the sums, or null where it may not come now. An iron remover over film works at a fraction, or
 * waits for the wash.
 */
export function effectOf(
  option: Option,
  first: boolean,
  filmSoFar: number,
  need: Need,
  rules: SearchRules,
): readonly number[] | null {
  const removes = first && rules.dryStart ? option.removesFirst : option.removes
  if (!option.ironAlone || filmSoFar >= need.filmClear - hair) return removes
  if (rules.ironWaitsForWash) return null
  return removes.map((value, at) => (at === bondedIndex ? value * rules.ironOverFilm : value))
}
