/** What a route asks about what changes while a page is open. */
export { feedOf } from './feedOf'
export type { NumberedChange } from './liveFeed'
export { addStream } from './streams'
