import type { WearEstimates } from './record'

/** House estimates as a shop's record brings them. */
export const testEstimates: WearEstimates = {
  kinds: {
    sprayRinseSilica: { lifeDays: 60, lifeKilometres: 3500, washFactor: 1 },
    sprayWax: { lifeDays: 95, lifeKilometres: 5000, washFactor: 2 },
    spraySealant: { lifeDays: 190, lifeKilometres: 9000, washFactor: 1 },
    wheelWax: { lifeDays: 110, lifeKilometres: 4500, washFactor: 2 },
    ceramicCoating: { lifeDays: 1100, lifeKilometres: 60_000, washFactor: 0.1 },
    coatingTopper: { lifeDays: 140, lifeKilometres: 8000, washFactor: 1 },
  },
  rearDustShare: 0.45,
  winterFactor: 1.5,
  winterMonths: [11, 12, 1, 2, 3],
  storedFactor: 0.1,
  setSpread: 0.35,
  productSpread: 0.3,
  axleSpread: 0.35,
  lookSpread: 0.11,
  clogPerWeek: 0.03,
  clogWinterPerWeek: 0.08,
  clogLeftByWash: 0.6,
  clogMost: 0.7,
}
