import { startTransition, useCallback, useEffect, useRef, useState } from 'react'
import type { JobFile } from '@/contracts/jobFile'
import type { PlanFile } from '@/contracts/planFile'
import { PlanClient } from '@/workers/planClient'

/** A search for a better order that a person begins and may stop. */
export interface OrderSearch {
  readonly isRunning: boolean
  /** Seconds the order became shorter by the last search; null before the first. */
  readonly gainedSeconds: number | null
  begin(): void
  stop(): void
}

/**
 * Looks on in a worker of its own: every better plan is shown as it is found, and the last is kept when the search rests or is
 * stopped.
 */
export function useOrderSearch(
  file: JobFile,
  plan: PlanFile,
  show: (better: PlanFile) => void,
  keep: (better: PlanFile) => void,
): OrderSearch {
  'use memo'
  const [isRunning, setIsRunning] = useState(false)
  const [gainedSeconds, setGainedSeconds] = useState<number | null>(null)
  const client = useRef<PlanClient | null>(null)
  const best = useRef<PlanFile | null>(null)
  const end = useCallback(() => {
    client.current?.stop()
    client.current = null
    setIsRunning(false)
    if (best.current) keep(best.current)
    best.current = null
  }, [keep])
  useEffect(() => () => client.current?.stop(), [])
  // Another wish is another job: what was looked for means nothing any more.
  const searched = useRef(file)
  useEffect(() => {
    if (searched.current === file) return
    searched.current = file
    best.current = null
    client.current?.stop()
    client.current = null
    startTransition(() => {
      setIsRunning(false)
      setGainedSeconds(null)
    })
  }, [file])
  const begin = () => {
    const mine = new PlanClient()
    client.current = mine
    const before = plan.sequence?.endSeconds ?? 0
    setIsRunning(true)
    setGainedSeconds(0)
    mine
      .refine(file, (better) => {
        if (client.current !== mine) return
        best.current = better
        startTransition(() => {
          show(better)
          setGainedSeconds(before - (better.sequence?.endSeconds ?? before))
        })
      })
      .finally(() => {
        if (client.current === mine) end()
      })
      .catch(() => undefined)
  }
  return { isRunning, gainedSeconds, begin, stop: end }
}
