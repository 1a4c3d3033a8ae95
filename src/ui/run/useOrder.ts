import { useEffect, useRef, useState } from 'react'
import type { Resumed } from '@/core/rescheduling/resume'
import { settledSteps } from '@/core/rescheduling/settledSteps'
import type { RunState } from '@/core/run/runState'
import type { JobFile } from '@/contracts/jobFile'
import { PlanClient } from '@/workers/planClient'
import type { Away } from './CalledAway'

/** While something is wet the order is looked at this often, ms. */
const everyMilliseconds = 15_000

/** Seconds until each person is back, up to the one who is away. */
const secondsAway = (away: Away | null, nowMilliseconds: number): number[] =>
  away
    ? Array.from({ length: away.person + 1 }, (_, person) =>
        person === away.person ? Math.max(0, (away.untilMilliseconds - nowMilliseconds) / 1000) : 0,
      )
    : []

/**
 * The order of what is left, worked out in a worker after every tap and now and then while clocks run. The planned order stands
 * while it keeps every limit; null until the first answer, then the plan's order serves.
 */
export function useOrder(
  jobFile: JobFile,
  state: RunState,
  serverNow: () => number,
  away: Away | null,
): Resumed | null {
  const [order, setOrder] = useState<Resumed | null>(null)
  const client = useRef<PlanClient | null>(null)
  const latest = useRef({ jobFile, state, serverNow, away })
  useEffect(() => {
    latest.current = { jobFile, state, serverNow, away }
  })
  const tapped = [
    ...[...state.settled].map(([id, { at }]) => `${id}@${at.getTime()}`),
    ...state.clocks.map(({ wettedAt }) => wettedAt.getTime()),
  ].join()
  const isWet = state.clocks.length > 0
  useEffect(() => {
    const mine = (client.current ??= new PlanClient())
    let isGone = false
    const ask = async () => {
      const now = latest.current
      try {
        const answer = await mine.resume(
          now.jobFile,
          now.state.plan,
          settledSteps(now.state, now.serverNow()),
          secondsAway(now.away, now.serverNow()),
        )
        if (answer && !isGone) setOrder(answer)
      } catch {
        // Without the worker the planned order stands.
      }
    }
    void ask()
    const timer = isWet ? setInterval(() => void ask(), everyMilliseconds) : undefined
    return () => {
      isGone = true
      clearInterval(timer)
    }
  }, [tapped, isWet, away])
  useEffect(() => () => client.current?.stop(), [])
  return state.plan.sequence ? order : null
}
