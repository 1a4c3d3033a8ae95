import { hash, verify } from '@node-rs/argon2'
import { RateLimiterMemory } from 'rate-limiter-flexible'
import { fail, succeed, type Result } from '@/core/result'
import type { Database } from '@/data/database'
import { addDeskSession, hasDeskSession, keepPassphrase, readDesk } from '@/data/queries/desk'
import { hashOf, newToken } from './secrets'

const wrongOnes = new RateLimiterMemory({ points: 8, duration: 300, blockDuration: 300 })

/** Whether the desk is free, or who sits at it has given the passphrase. */
export async function isAtDesk(database: Database, token: string | undefined): Promise<boolean> {
  if ((await readDesk(database)).passphraseHash === null) return true
  return token !== undefined && (await hasDeskSession(database, hashOf(token)))
}

/**
 * Sets, changes or takes away the passphrase of the desk.
 * @param wanted empty: none
 */
export async function setPassphrase(
  database: Database,
  given: { readonly old: string; readonly wanted: string },
): Promise<Result<{ readonly token: string | null }>> {
  const { passphraseHash } = await readDesk(database)
  if (passphraseHash !== null && !(await isRight(passphraseHash, given.old)))
    return fail({ path: 'old', found: 'another passphrase', mend: 'Give the passphrase that is set now.' })
  if (given.wanted === '') {
    await keepPassphrase(database, null)
    return succeed({ token: null })
  }
  const token = newToken()
  const hashed = await hash(given.wanted)
  await database.transaction(async (transaction) => {
    await keepPassphrase(transaction, hashed)
    await addDeskSession(transaction, hashOf(token))
  })
  return succeed({ token })
}

/** Begins a sitting at the desk. */
export async function unlockDesk(
  database: Database,
  given: string,
): Promise<Result<{ readonly token: string }>> {
  const { passphraseHash } = await readDesk(database)
  if (passphraseHash === null || (await isRight(passphraseHash, given))) {
    const token = newToken()
    await addDeskSession(database, hashOf(token))
    return succeed({ token })
  }
  return fail({
    path: 'passphrase',
    found: 'another passphrase',
    mend: 'Try again; after some wrong ones it waits five minutes.',
  })
}

async function isRight(hashed: string, given: string): Promise<boolean> {
  const state = await wrongOnes.get('desk')
  if (state && state.remainingPoints <= 0) return false
  if (await verify(hashed, given)) return true
  await wrongOnes.consume('desk').catch(() => undefined)
  return false
}
