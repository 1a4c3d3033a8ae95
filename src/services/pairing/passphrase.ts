import { message } from '@/core/message/message'
import { hash, verify } from '@node-rs/argon2'
import { RateLimiterMemory } from 'rate-limiter-flexible'
import { fail, succeed, type Result } from '@/core/result'
import type { Database } from '@/data/database'
import { addDeskSession, hasDeskSession, keepPassphrase, readDesk } from '@/data/queries/desk'
import { passphraseWeakness } from './passphraseStrength'
import { hashOf, newToken } from './secrets'

/** After so many wrong ones in five minutes every further try waits. */
const wrongOnes = new RateLimiterMemory({ points: 8, duration: 300 })
/** Who guesses gets nowhere at this pace; who knows it waits once, s. */
const slowTrySeconds = 2
/** Tries that wait for their turn; more are refused. */
const maxWaiting = 5

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
    return fail({
      path: 'old',
      found: message('problems.pairing.otherPassphrase'),
      fix: message('problems.pairing.currentPassphrase'),
    })
  if (given.wanted === '') {
    await keepPassphrase(database, null)
    return succeed({ token: null })
  }
  const weakness = passphraseWeakness(given.wanted)
  if (weakness !== null)
    return fail({ path: 'wanted', found: message('problems.pairing.easyPassphrase'), fix: weakness })
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
    found: message('problems.pairing.otherPassphrase'),
    fix: message('problems.pairing.wrongPassphrase'),
  })
}

let waiting = 0
let lastTry: Promise<unknown> = Promise.resolve()

/** Tries one after the other, each after a pause once there were many wrong ones: nobody who knows it is locked out. */
async function isRight(hashed: string, given: string): Promise<boolean> {
  if (waiting >= maxWaiting) return false
  waiting += 1
  const tried = lastTry.then(async () => {
    const state = await wrongOnes.get('desk')
    if (state && state.remainingPoints <= 0)
      await new Promise((resolve) => setTimeout(resolve, slowTrySeconds * 1000))
    if (await verify(hashed, given)) return true
    await wrongOnes.consume('desk').catch(() => undefined)
    return false
  })
  lastTry = tried.catch(() => undefined)
  return tried.finally(() => (waiting -= 1))
}
