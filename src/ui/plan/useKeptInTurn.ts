import { useCallback, useRef } from 'react'
import type { JobFile } from '@/contracts/jobFile'
import type { KeptChange, PlanChangeInput } from '@/contracts/planChange'

export interface KeptInTurn {
  /** Sends a change once the one before it is answered. */
  send(change: PlanChangeInput): Promise<KeptChange<string>>
  /** The page shows what both windows wish now: the next change begins with it. */
  adopt(wishes: JobFile['wishes']): void
}

/**
 * Sends the changes of a plan one after another. Each tells the wishes that it began with, so that the server can see what another
 * window has changed meanwhile.
 */
export function useKeptInTurn(
  first: JobFile['wishes'],
  keep: (change: PlanChangeInput) => Promise<KeptChange<string>>,
): KeptInTurn {
  'use memo'
  const known = useRef(first)
  const last = useRef<Promise<unknown>>(Promise.resolve())
  const send = useCallback(
    (change: PlanChangeInput) => {
      const answer = last.current.then(async () => {
        const { wishes } = change
        const kept = await keep(wishes ? { ...change, knownWishes: known.current } : change)
        if (wishes && kept.problems.length === 0) known.current = wishes as JobFile['wishes']
        return kept
      })
      last.current = answer.catch(() => undefined)
      return answer
    },
    [keep],
  )
  const adopt = useCallback((wishes: JobFile['wishes']) => {
    known.current = wishes
  }, [])
  return { send, adopt }
}
