import { getFormatter, getTranslations } from 'next-intl/server'
import { getFormats } from './getFormats'
import { currentTime } from '@/clock'
import { sayer, type Say } from './sayer'

/** Says what the core has to say, for pages and routes that wait for their data. */
export async function getSay(): Promise<Say> {
  const [t, format, formats] = await Promise.all([getTranslations(), getFormatter(), getFormats()])
  return sayer({ t, formats, list: (parts, type) => format.list(parts, { type }), now: currentTime() })
}
