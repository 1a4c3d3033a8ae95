/** How far the run's clock is ahead of the machine's, ms; set by scripts/test.mjs. */
export const clockOffsetMilliseconds = 1000 * Number(process.env.EVEN_SPOKE_CLOCK_OFFSET_SECONDS ?? 0)

/** The present moment on the day of the run, as server and browser see it. */
export const testTime = (): Date => new Date(Date.now() + clockOffsetMilliseconds)
