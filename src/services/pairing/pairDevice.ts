import { message } from '@/core/message/message'
import { RateLimiterMemory } from 'rate-limiter-flexible'
import { fail, succeed, type Result } from '@/core/result'
import type { Database } from '@/data/database'
import {
  addPairedDevice,
  keepPairingCode,
  openPairingCode,
  usePairingCode,
} from '@/data/queries/pairedDevices'
import type { DeviceRole } from '@/access-control/roles'
import { hashOf, newCode, newToken, plainCode } from './secrets'

const codeMinutes = 5
const millisecondsPerMinute = 60_000

const lockSeconds = 300
/** Wrong tries of one address at one code. A new code at the desk lifts the lock: whoever mistyped can try that one. */
const byPeer = new RateLimiterMemory({ points: 5, duration: lockSeconds, blockDuration: lockSeconds })
/**
 * Wrong tries of all addresses together at one code; then the code is over. There are 27^8 codes, so guessing one within so
 * many tries is out of reach, and a single guest cannot use them up.
 */
const byCode = new RateLimiterMemory({
  points: 500,
  duration: 2 * lockSeconds,
  blockDuration: 2 * lockSeconds,
})

/** A code for one device, good for five minutes and once. */
export async function beginPairing(
  database: Database,
  role: DeviceRole,
  now: Date,
): Promise<{ readonly code: string; readonly expiresAt: Date }> {
  const code = newCode()
  const expiresAt = new Date(now.getTime() + codeMinutes * millisecondsPerMinute)
  await keepPairingCode(database, { hash: hashOf(code), role, expiresAt })
  return { code, expiresAt }
}

/** Takes one try; false: there is none left. Taken before the code is looked at, so that a burst counts as one by one. */
const mayTry = (limiter: RateLimiterMemory, key: string): Promise<boolean> =>
  limiter.consume(key).then(
    () => true,
    () => false,
  )

/**
 * Lets the device in that knows the code.
 * @param peer address it asks from
 * @returns its token, told once
 */
export async function pairDevice(
  database: Database,
  input: { readonly code: string; readonly name: string },
  peer: string,
  now: Date,
): Promise<Result<{ readonly token: string; readonly role: DeviceRole }>> {
  const open = await openPairingCode(database, now)
  const place = `${peer} ${open ?? ''}`
  if (!(await mayTry(byPeer, place)) || (open !== null && !(await mayTry(byCode, open))))
    return fail({
      path: 'code',
      found: message('problems.pairing.manyWrong'),
      fix: message('problems.pairing.waitForCode', { time: { seconds: lockSeconds } }),
    })
  const token = newToken()
  const role = await database.transaction(async (transaction) => {
    const found = await usePairingCode(transaction, hashOf(plainCode(input.code)), now)
    if (found) await addPairedDevice(transaction, { name: input.name, role: found, tokenHash: hashOf(token) })
    return found
  })
  if (role) return succeed({ token, role })
  return fail({
    path: 'code',
    found: input.code.slice(0, 20),
    fix: message('problems.pairing.wrongCode'),
  })
}
