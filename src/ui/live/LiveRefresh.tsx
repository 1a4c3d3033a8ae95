'use client'

import { useRouter } from 'next/navigation'
import { useEffect, useRef } from 'react'
import type { LiveTopic } from '@/contracts/live'
import { useLive } from './useLive'

/** Changes come in bursts; a page is drawn again once for all of them, and no more often, ms. */
const restMilliseconds = 1500

interface LiveRefreshProps {
  readonly topics: readonly LiveTopic[]
  /** Up to which the page knows everything; null: not known. */
  readonly place: string | null
}

/** Draws the page again when something of it was changed elsewhere. What is typed stays. */
export function LiveRefresh({ topics, place }: LiveRefreshProps) {
  const router = useRouter()
  const timer = useRef<ReturnType<typeof setTimeout> | null>(null)
  useEffect(
    () => () => {
      if (timer.current) clearTimeout(timer.current)
    },
    [],
  )
  useLive(null, place, ({ topic }) => {
    if (topic !== 'all' && !topics.includes(topic)) return
    timer.current ??= setTimeout(() => {
      timer.current = null
      router.refresh()
    }, restMilliseconds)
  })
  return null
}
