import { useFormatter, useTranslations } from 'next-intl'
import { currentTime } from '@/clock'
import { sayer, type Say } from './sayer'

/** Says what the core has to say, in the language of the page. */
export function useSay(): Say {
  const t = useTranslations()
  const format = useFormatter()
  return sayer({ t, list: (parts) => format.list(parts, { type: 'conjunction' }), now: currentTime() })
}
