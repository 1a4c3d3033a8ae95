export const exposures = ['shade', 'partSun', 'fullSun'] as const
/** How much sun reaches the wheels. */
export type Exposure = (typeof exposures)[number]
