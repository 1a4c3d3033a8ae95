import type { Finish } from '@/core/finishes/finish'

export const testSpotResults = ['fine', 'marked'] as const

/** What a product did at a hidden place, on one of the finishes of this wheel set. */
export interface TestSpot {
  readonly productId: string
  readonly finish: Finish
  readonly result: (typeof testSpotResults)[number]
}
