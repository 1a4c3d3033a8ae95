import type { ProductUse } from './jobOutcome'

/** What a person says was used of a product. */
export interface ToldUse {
  readonly productId: string
  readonly concentrateMillilitres?: number | undefined
}

/** What was used as the person corrected it; money follows the amount. */
export const correctedUse = (used: readonly ProductUse[], told: readonly ToldUse[]): ProductUse[] =>
  used.map((one) => {
    const millilitres = told.find(({ productId }) => productId === one.id)?.concentrateMillilitres
    return millilitres === undefined || one.concentrateMillilitres === 0
      ? one
      : {
          ...one,
          concentrateMillilitres: millilitres,
          costMinor: Math.round((one.costMinor * millilitres) / one.concentrateMillilitres),
        }
  })
