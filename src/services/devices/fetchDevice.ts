import { readUpTo } from '../jobs/readUpTo'

/** A detailer waits no longer for a device, ms. */
export const patienceMilliseconds = 1500
/** No device has more to say. */
const deviceBytes = 65_536

/** What a device answered, at most so much of it. */
export class DeviceAnswer extends Error {}

/**
 * Asks a device at the address it was configured with. Redirects lead nowhere, and an answer that goes on is cut off.
 * @param limits where another program than a device is asked
 * @throws DeviceAnswer with what it did instead, in a few words; an abort where it takes too long
 */
export async function fetchDevice(
  address: string | URL,
  { milliseconds = patienceMilliseconds, bytes: maxBytes = deviceBytes } = {},
): Promise<string> {
  const response = await fetch(address, {
    signal: AbortSignal.timeout(milliseconds),
    cache: 'no-store',
    redirect: 'manual',
  })
  if (!response.ok) {
    await response.body?.cancel()
    throw new DeviceAnswer(
      response.status >= 300 && response.status < 400 ? 'a redirect' : `status ${response.status}`,
    )
  }
  const body = await readUpTo(response.body, maxBytes)
  if (!body) throw new DeviceAnswer(`more than ${maxBytes / 1024} kB`)
  return Buffer.from(body).toString('utf8')
}
