/** So long a page waits for what is slow only sometimes before it shows the rest without it, ms. */
const patienceMilliseconds = 200

/** Waits until something is there, or for a moment: what is there by then is drawn in one go, the rest is streamed. */
export async function soon(work: Promise<unknown>): Promise<void> {
  let timer: NodeJS.Timeout | undefined
  const moment = new Promise((resolve) => (timer = setTimeout(resolve, patienceMilliseconds)))
  // What fails is said where it is drawn.
  await Promise.race([work.catch(() => undefined), moment])
  clearTimeout(timer)
}
