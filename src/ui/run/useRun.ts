import { useCallback, useEffect, useMemo, useRef, useState } from 'react'
import type { Plan } from '@/core/plan/plan'
import { runState, type RunEvent, type RunState } from '@/core/run/runState'
import { eventOfTap, loadPending, storePending, type PendingTap } from './pendingTaps'

const retryMilliseconds = 2000

export interface Run {
  readonly state: RunState
  readonly saving: 'saved' | 'saving' | 'offline'
  /** Set when the server refused a tap for good. */
  readonly refusal: string | null
  tap(kind: RunEvent['kind'], stepId: string): void
}

/** Random id that also works where the page is not served over https. */
function newRequestId(): string {
  const bytes = crypto.getRandomValues(new Uint8Array(16))
  bytes[6] = ((bytes[6] ?? 0) & 0x0f) | 0x40
  bytes[8] = ((bytes[8] ?? 0) & 0x3f) | 0x80
  const hex = Array.from(bytes, (byte) => byte.toString(16).padStart(2, '0')).join('')
  return [hex.slice(0, 8), hex.slice(8, 12), hex.slice(12, 16), hex.slice(16, 20), hex.slice(20)].join('-')
}

/**
 * The run: every tap counts at once, is kept on this device and sent until the server has it.
 * A reload replays what the server knows and what is still waiting here.
 */
export function useRun(jobId: string, plan: Plan, stored: readonly RunEvent[], serverNow: () => number): Run {
  const [acknowledged, setAcknowledged] = useState<readonly RunEvent[]>(stored)
  const [pending, setPending] = useState<readonly PendingTap[]>([])
  const [offline, setOffline] = useState(false)
  const [refusal, setRefusal] = useState<string | null>(null)
  const sending = useRef(false)

  useEffect(() => {
    const left = loadPending(jobId)
    if (left.length > 0) setPending((known) => [...left, ...known])
  }, [jobId])

  useEffect(() => {
    const next = pending[0]
    if (!next || sending.current) return
    sending.current = true
    let timer: ReturnType<typeof setTimeout> | undefined
    const settle = (accepted: boolean) => {
      sending.current = false
      if (accepted) setAcknowledged((known) => [...known, eventOfTap(next)])
      setPending((known) => {
        const rest = known.filter(({ requestId }) => requestId !== next.requestId)
        storePending(jobId, rest)
        return rest
      })
    }
    const tryAgain = () => {
      setOffline(true)
      timer = setTimeout(() => {
        sending.current = false
        setPending((known) => [...known])
      }, retryMilliseconds)
    }
    void (async () => {
      try {
        const answer = await fetch(`/api/jobs/${jobId}/events`, {
          method: 'POST',
          headers: { 'content-type': 'application/json' },
          body: JSON.stringify(next),
          keepalive: true,
        })
        if (answer.ok) {
          setOffline(false)
          setRefusal(null)
          settle(true)
        } else if (answer.status >= 400 && answer.status < 500) {
          const { problems } = (await answer.json()) as { problems: { mend: string }[] }
          setRefusal(problems.map(({ mend }) => mend).join(' '))
          settle(false)
        } else tryAgain()
      } catch {
        tryAgain()
      }
    })()
    return () => clearTimeout(timer)
  }, [jobId, pending])

  const tap = useCallback(
    (kind: RunEvent['kind'], stepId: string) => {
      const made: PendingTap = {
        requestId: newRequestId(),
        kind,
        stepId,
        at: new Date(serverNow()).toISOString(),
      }
      setPending((known) => {
        const all = [...known, made]
        storePending(jobId, all)
        return all
      })
    },
    [jobId, serverNow],
  )

  const state = useMemo(
    () => runState(plan, [...acknowledged, ...pending.map(eventOfTap)]),
    [plan, acknowledged, pending],
  )
  return { state, saving: pending.length === 0 ? 'saved' : offline ? 'offline' : 'saving', refusal, tap }
}
