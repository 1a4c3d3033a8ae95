'use client'

import { useRouter } from 'next/navigation'
import { useEffect, useRef } from 'react'
import type { LiveTopic } from '@/contracts/live'
import { useLive } from './useLive'
import { whenThere } from './whenThere'

/** Changes come in bursts; a page is drawn again once for all of them, and no more often, ms. */
const restMilliseconds = 1500

interface LiveRefreshProps {
  readonly topics: readonly LiveTopic[]
  /** Up to which the page knows everything; null: not known. */
  readonly place: string | null
}

/** Draws the page again when something of it was changed elsewhere. What is typed stays, and so does the page where nobody answers. */
export function LiveRefresh({ topics, place }: LiveRefreshProps) {
  const router = useRouter()
  const timer = useRef<ReturnType<typeof setTimeout> | null>(null)
  const isShown = useRef(false)
  useEffect(() => {
    isShown.current = true
    return () => {
      isShown.current = false
      if (timer.current) clearTimeout(timer.current)
    }
  }, [])
  const draw = async (): Promise<void> => {
    timer.current = null
    const isDrawn = await whenThere(() => isShown.current && router.refresh())
    if (!isDrawn && isShown.current) drawSoon()
  }
  const drawSoon = () => void (timer.current ??= setTimeout(() => void draw(), restMilliseconds))
  useLive(null, place, ({ topic }) => {
    if (topic === 'all' || topics.includes(topic)) drawSoon()
  })
  return null
}
