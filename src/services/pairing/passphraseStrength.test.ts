import { inEnglish } from '@/i18n/testEnglish'
import { expect, it } from 'vitest'
import { passphraseWeakness } from './passphraseStrength'

it.each(['password', '12345678', '        ', 'aaaaaaaa', 'qwertyui', 'Password1!', 'letmein123', 'abcdefgh'])(
  '%j is too easy to guess',
  (passphrase) => expect(inEnglish(passphraseWeakness(passphrase))).toContain('Use a few unrelated words'),
)

it.each(['a long wet glove', 'kettle mossy ladder nine', 'x7#Lq!9vTz2p'])('%j is taken', (passphrase) =>
  expect(passphraseWeakness(passphrase)).toBeNull(),
)
