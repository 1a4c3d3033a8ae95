import * as v from 'valibot'
import { deviceRoles } from '@/access-control/roles'
import { oneOf, shortText } from './fields'

/** What a device sends to be let in. */
export const pairInput = v.strictObject({
  code: v.pipe(
    v.string(),
    v.trim(),
    v.minLength(4, 'Enter the code shown on the shop’s computer.'),
    v.maxLength(40, 'A code has eight characters.'),
  ),
  name: shortText('name of this device', 60),
})

export const pairingInput = v.strictObject({ role: oneOf(deviceRoles) })

const passphrase = v.pipe(v.string(), v.maxLength(200, 'Keep it to 200 characters.'))
export const unlockInput = v.strictObject({ passphrase })
export const passphraseInput = v.strictObject({
  old: passphrase,
  wanted: v.pipe(
    passphrase,
    v.check((text) => text === '' || text.length >= 8, 'Use at least 8 characters, or none at all.'),
  ),
})
