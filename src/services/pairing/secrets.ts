import { createHash, randomBytes, randomInt } from 'node:crypto'

/** Only this of a secret is stored; secrets of 128 bits and more need no salt. */
export const hashOf = (secret: string): string => createHash('sha256').update(secret).digest('hex')

/** A token nobody guesses. */
export const newToken = (): string => randomBytes(32).toString('base64url')

/** Letters and digits that nobody takes for one another, spoken or written. */
const codeSigns = 'ABCDEFGHJKMNPQRTUVWXY346789'
const codeLength = 8

export const newCode = (): string =>
  Array.from({ length: codeLength }, () => codeSigns[randomInt(codeSigns.length)]).join('')

/** A code as it was typed: without spaces and dashes, in capitals. */
export const plainCode = (typed: string): string => typed.toUpperCase().replaceAll(/[^A-Z0-9]/g, '')

/** A code as it is read out. */
export const spokenCode = (code: string): string => `${code.slice(0, 4)} ${code.slice(4)}`
