/**
 * Seconds this process is ahead of the machine's clock (behind, if negative). Tests run the program on a fixed day with it;
 * in the browser, and in normal use, it is 0.
 */
const offsetMilliseconds = 1000 * (Number(process.env.EVEN_SPOKE_CLOCK_OFFSET_SECONDS) || 0)

/** The present moment. Everything outside the core asks here, so that a test can choose the day. */
export const currentTime = (): Date => new Date(Date.now() + offsetMilliseconds)
