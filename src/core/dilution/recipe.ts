/** What to pour, with the strength that really comes of it. */
export interface MixingRecipe {
  readonly concentrateMillilitres: number
  readonly waterMillilitres: number
  /** Concentrate plus water, exactly. */
  readonly totalMillilitres: number
  /** Share of concentrate in what is poured. */
  readonly realFraction: number
}
