import type { Said } from '@/core/message/message'
import { shopSay } from './shopSay'

/** Says something on the standard output, in the language of the shop. */
export const print = (said: Said): void => void process.stdout.write(`${shopSay()(said)}\n`)

/** Says on the standard error what is wrong. */
export const printError = (said: Said): void => void process.stderr.write(`${shopSay()(said)}\n`)
