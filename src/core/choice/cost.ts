/**
 * What a plan costs: hand time, product in minor units, lives of protection (share lost times wheels), things that ask
 * for care. Less is better in each.
 */
export type Cost = readonly [seconds: number, minor: number, wear: number, risk: number]

/** Where each cost stands, for those who go through all of them. */
export const costKinds = { seconds: 0, minor: 1, wear: 2, risk: 3 } as const
export const costCount = 4

export const noCost: Cost = [0, 0, 0, 0]
export const addCost = (a: Cost, b: Cost): Cost => [a[0] + b[0], a[1] + b[1], a[2] + b[2], a[3] + b[3]]

export const noMoreThan = (a: Cost, b: Cost): boolean =>
  a[0] <= b[0] && a[1] <= b[1] && a[2] <= b[2] && a[3] <= b[3]

export const secondsOf = (cost: Cost): number => cost[costKinds.seconds]
export const minorOf = (cost: Cost): number => cost[costKinds.minor]
/** What it does to finish and protection, in one figure of the house scale. */
export const harshOf = (cost: Cost): number => cost[costKinds.wear] * 3 + cost[costKinds.risk]
