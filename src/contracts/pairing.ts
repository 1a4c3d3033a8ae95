import { issueText } from './issueText'
import * as v from 'valibot'
import { deviceRoles } from '@/access-control/roles'
import { noLongerThan, oneOf, shortText } from './fields'

/** What a device sends to be let in. */
export const pairInput = v.strictObject({
  code: v.pipe(
    v.string(),
    v.trim(),
    v.minLength(4, issueText('problems.pairing.enterCode')),
    v.maxLength(40, issueText('problems.pairing.codeLength')),
  ),
  name: shortText('deviceName', 60),
})

export const pairingInput = v.strictObject({ role: oneOf(deviceRoles) })

const passphrase = v.pipe(v.string(), noLongerThan('passphrase', 200))
export const unlockInput = v.strictObject({ passphrase })
export const passphraseInput = v.strictObject({
  old: passphrase,
  wanted: v.pipe(
    passphrase,
    v.check((text) => text === '' || text.length >= 8, issueText('problems.pairing.passphraseLength')),
  ),
})
