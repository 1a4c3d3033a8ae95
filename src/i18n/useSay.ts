import { useFormatter, useTranslations } from 'next-intl'
import { useMemo } from 'react'
import { currentTime } from '@/clock'
import { sayer, type Say } from './sayer'
import { useFormats } from './useFormats'
import { spoken, type Spoken } from './spoken'

/** Says what the core has to say, in the language of the page. */
export function useSay(): Say {
  const t = useTranslations()
  const format = useFormatter()
  const formats = useFormats()
  return useMemo(
    () => sayer({ t, formats, list: (parts, type) => format.list(parts, { type }), now: currentTime() }),
    [t, format, formats],
  )
}

/** A value in which every message is text. */
export function useSpoken<T>(value: T): Spoken<T> {
  const say = useSay()
  return useMemo(() => spoken(value, say), [value, say])
}
