import type { Finish } from '@/core/finishes/finish'

/** Share of sunlight a finish takes up. House estimates: dark takes nearly all, bright bare metal a third. */
export const absorptances: Record<Finish, { readonly value: number; readonly reason: string }> = {
  glossBlack: { value: 0.95, reason: 'Black takes nearly all.' },
  carbonFibre: { value: 0.9, reason: 'Dark weave under clear lacquer.' },
  matte: { value: 0.85, reason: 'Mostly dark greys and blacks.' },
  filmWrapped: { value: 0.8, reason: 'Any colour; dark ones are usual.' },
  powderCoat: { value: 0.75, reason: 'Greys and bronzes.' },
  magnesium: { value: 0.7, reason: 'Gold and grey conversion coats.' },
  plasticTrim: { value: 0.6, reason: 'Silver paint over plastic.' },
  paintedSteel: { value: 0.7, reason: 'Black or silver steel.' },
  anodised: { value: 0.6, reason: 'Tinted oxide.' },
  paintedGloss: { value: 0.55, reason: 'Silver with aluminium flakes.' },
  brushedBare: { value: 0.45, reason: 'A rough bright metal.' },
  diamondCut: { value: 0.4, reason: 'Bright cut face under lacquer.' },
  chrome: { value: 0.35, reason: 'A mirror.' },
  polishedBare: { value: 0.3, reason: 'Bright bare metal.' },
  unknown: { value: 0.8, reason: 'Not known: taken as rather dark.' },
}

/** Black rubber. House estimate. */
export const rubberAbsorptance = { value: 0.92, reason: 'Black rubber takes nearly all.' } as const

/**
 * Surface temperature in balance with sun and wind, °C: T_s = T_a + α G / h with h = 5.7 + 3.8 v (McAdams), v in m/s.
 * @param wattsPerM2 what reaches the surface
 */
export function surfaceCelsius(
  airCelsius: number,
  absorptance: number,
  wattsPerM2: number,
  windKilometresPerHour: number,
): number {
  const heatLoss = 5.7 + 3.8 * (windKilometresPerHour / 3.6)
  return airCelsius + (absorptance * wattsPerM2) / heatLoss
}
