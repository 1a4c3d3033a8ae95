/** How long two people's orders are looked for: in a moment, or with time. */
export interface Patience {
  /** Ways to share the places that are looked into, the evenest first. */
  readonly shares: number
  /** States looked into for one share. */
  effortOfShare(places: number): number
  /** Orders of a share after which no more are looked for. */
  readonly enoughOrders: number
  /** Widths of the passes that look for more. */
  readonly poolWidths: readonly number[]
  /** Orders of each share that are put together with each other's. */
  readonly paired: number
  /** Width of the search that puts one share around the other, and turns of doing so. */
  readonly around: { readonly width: number; readonly turns: number }
  /** With more places the first share is put around the other only after all shares were merged: it takes its time. */
  readonly aroundFirstPlaces: number
}

export const quick: Patience = {
  shares: 3,
  effortOfShare: () => 2_000,
  enoughOrders: 2,
  poolWidths: [12],
  paired: 2,
  around: { width: 8, turns: 1 },
  aroundFirstPlaces: Infinity,
}

export const patient: Patience = {
  shares: 3,
  effortOfShare: (places) => 1_500 * places,
  enoughOrders: Infinity,
  poolWidths: [40, 100],
  paired: Infinity,
  around: { width: 20, turns: 4 },
  aroundFirstPlaces: 4,
}
