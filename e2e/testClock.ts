import type { Browser } from '@playwright/test'

/** How far the run's clock is ahead of the machine's, ms; set by scripts/test.mjs. */
export const clockOffsetMilliseconds = 1000 * Number(process.env.EVEN_SPOKE_CLOCK_OFFSET_SECONDS ?? 0)

/** The present moment on the day of the run, as server and browser see it. */
export const testTime = (): Date => new Date(Date.now() + clockOffsetMilliseconds)

/** Shifts the clock of every page to the day of the run, as the server's is. */
export function shiftClocks(browser: Browser): void {
  if (clockOffsetMilliseconds === 0) return
  const newContext = browser.newContext.bind(browser)
  browser.newContext = async (...options) => {
    const context = await newContext(...options)
    await context.addInitScript((offset) => {
      const Machine = Date
      const shifted = () => Machine.now() + offset
      globalThis.Date = new Proxy(Machine, {
        construct: (target, given, made) =>
          Reflect.construct(target, given.length === 0 ? [shifted()] : given, made) as Date,
        apply: () => new Machine(shifted()).toString(),
        get: (target, key, receiver) =>
          key === 'now' ? shifted : (Reflect.get(target, key, receiver) as unknown),
      })
    }, clockOffsetMilliseconds)
    return context
  }
}
