import { useEffect, useEffectEvent } from 'react'
import type { LiveChange } from '@/contracts/live'
import { hearChanges } from './liveSource'

const browser = {
  open: (address: string) => new EventSource(address),
  every: (work: () => void, milliseconds: number) => {
    const timer = setInterval(work, milliseconds)
    return () => clearInterval(timer)
  },
  after: (work: () => void, milliseconds: number) => {
    const timer = setTimeout(work, milliseconds)
    return () => clearTimeout(timer)
  },
}

/**
 * Hears what other devices change while the page is looked at; who comes back to it looks anew.
 * @param jobId of the one job whose taps matter here; null: every job's
 * @param place up to which the page knows everything; null: not known
 */
export function useLive(
  jobId: string | null,
  place: string | null,
  hear: (change: LiveChange) => void,
): void {
  const heard = useEffectEvent(hear)
  const addressOf = useEffectEvent(() => {
    const asked = new URLSearchParams({
      ...(jobId ? { job: jobId } : {}),
      ...(place ? { since: place } : {}),
    })
    return `/api/live?${asked.toString()}`
  })
  useEffect(() => {
    let end: (() => void) | null = null
    const follow = () => {
      const isLooked = document.visibilityState === 'visible'
      if (isLooked && !end) end = hearChanges(addressOf(), (change) => heard(change), browser)
      else if (!isLooked) {
        end?.()
        end = null
      }
    }
    const look = () => {
      if (document.visibilityState === 'visible') heard({ topic: 'all', of: null })
      follow()
    }
    follow()
    document.addEventListener('visibilitychange', look)
    return () => {
      document.removeEventListener('visibilitychange', look)
      end?.()
    }
  }, [jobId])
}
