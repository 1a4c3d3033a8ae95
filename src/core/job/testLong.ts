/** `npm run test:long`: searches of full length, which an ordinary run shortens. */
export const isLong = process.env.EVEN_SPOKE_LONG === '1'

/** How many times the usual number of situations is tried: `PROPERTY_TIMES=20 npx vitest run …` looks further. */
export const times = Number(process.env.PROPERTY_TIMES ?? 1)
