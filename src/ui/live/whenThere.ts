/** Longer than this an answer is not waited for, ms. */
const patienceMilliseconds = 3000

/** What the browser brings; tests give another. */
export type Ask = () => Promise<{ readonly status: number }>

const ask: Ask = () =>
  fetch('/api/clock', { cache: 'no-store', signal: AbortSignal.timeout(patienceMilliseconds) })

/**
 * Does something that asks the program for a page only where it answers: where it does not, the framework gives the page that is
 * shown up for the browser's own word that nothing is there. A device that was put out is answered, too.
 * @returns whether it was done
 */
export async function whenThere(work: () => void, isThere: Ask = ask): Promise<boolean> {
  try {
    if ((await isThere()).status >= 500) return false
  } catch {
    return false
  }
  work()
  return true
}
