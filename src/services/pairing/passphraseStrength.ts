import { message, type Message } from '@/core/message/message'
import { ZxcvbnFactory } from '@zxcvbn-ts/core'
import { adjacencyGraphs, dictionary } from '@zxcvbn-ts/language-common'

/** Of the estimate's five steps: takes at least some hours to guess even by somebody who has the stored hash. */
const leastScore = 3

const estimate = new ZxcvbnFactory({ dictionary: { ...dictionary }, graphs: adjacencyGraphs })

/** What to do about a passphrase that is easy to guess; null: it is good enough. */
export function passphraseWeakness(passphrase: string): Message | null {
  if (passphrase.trim() === '') return message('problems.pairing.onlySpaces')
  return estimate.check(passphrase).score >= leastScore ? null : message('problems.pairing.easyToGuess')
}
