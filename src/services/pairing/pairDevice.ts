import { RateLimiterMemory } from 'rate-limiter-flexible'
import { fail, succeed, type Result } from '@/core/result'
import type { Database } from '@/data/database'
import { addPairedDevice, keepPairingCode, usePairingCode } from '@/data/queries/pairedDevices'
import type { DeviceRole } from '@/gate/roles'
import { hashOf, newCode, newToken, plainCode } from './secrets'

const codeMinutes = 5
const millisecondsPerMinute = 60_000

/** Wrong codes of one address, and of all together: guessing takes longer than a code lives. */
const byPeer = new RateLimiterMemory({ points: 5, duration: 300, blockDuration: 300 })
const byAll = new RateLimiterMemory({ points: 30, duration: 300, blockDuration: 300 })

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

/** Seconds for which nobody there may try again; null: a try is free. */
async function lockedSeconds(peer: string): Promise<number | null> {
  for (const [limiter, key] of [
    [byPeer, peer],
    [byAll, 'all'],
  ] as const) {
    const state = await limiter.get(key)
    if (state && state.remainingPoints <= 0) return Math.ceil(state.msBeforeNext / 1000)
  }
  return null
}

const spend = async (limiter: RateLimiterMemory, key: string): Promise<void> => {
  try {
    await limiter.consume(key)
  } catch {
    // Spent already: it stays locked.
  }
}

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
  const locked = await lockedSeconds(peer)
  if (locked !== null)
    return fail({
      path: 'code',
      found: 'too many wrong codes',
      mend: `Wait ${Math.ceil(locked / 60)} min, then ask for a new code at the desk.`,
    })
  const token = newToken()
  const role = await database.transaction(async (transaction) => {
    const found = await usePairingCode(transaction, hashOf(plainCode(input.code)), now)
    if (found) await addPairedDevice(transaction, { name: input.name, role: found, tokenHash: hashOf(token) })
    return found
  })
  if (role) return succeed({ token, role })
  await Promise.all([spend(byPeer, peer), spend(byAll, 'all')])
  return fail({
    path: 'code',
    found: input.code.slice(0, 20),
    mend: 'This code is not the one at the desk, or it is over or was used. Ask for a new one there; it is good for five minutes.',
  })
}
