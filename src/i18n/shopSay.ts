import { currentTime } from '@/clock'
import { english } from './messages'
import { sayerOf, type Say } from './sayer'

/** Says messages in the language of the shop, outside of pages: for files, the calendar and what is stored. */
export const shopSay = (): Say => sayerOf('en', english, currentTime())
