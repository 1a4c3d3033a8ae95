/** Where the server reaches itself: as it was started, never as a request names it. */
export const ownOrigin = (): string => process.env.EVEN_SPOKE_ADDRESS ?? 'http://127.0.0.1:3000'
