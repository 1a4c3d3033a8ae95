/** The records of the shop: routes open them here and hand them to services. */
export { openAtStart } from '@/data/openAtStart'
export { database, dataFolder } from '@/data/connection'
export type { Database } from '@/data/database'
export { isDataFailure } from '@/data/dataFailure'
