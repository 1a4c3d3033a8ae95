import { useEffect, useState } from 'react'
import * as v from 'valibot'

const tickMilliseconds = 200

const clockAnswer = v.object({ milliseconds: v.pipe(v.number(), v.finite()) })

/**
 * The server's clock in this browser, ticking. Dwell clocks count from instants that the server keeps, so a phone whose
 * own clock is minutes off still shows them right.
 * @param renderedAt the server's instant of rendering; the first value, so that both sides draw the same
 */
export function useServerNow(renderedAt: number): { nowMilliseconds: number; serverNow: () => number } {
  const [nowMilliseconds, setNow] = useState(renderedAt)
  const [offset, setOffset] = useState(0)

  useEffect(() => {
    let stopped = false
    void (async () => {
      try {
        const asked = Date.now()
        const answer = v.parse(clockAnswer, await (await fetch('/api/clock', { cache: 'no-store' })).json())
        // The answer was made half-way between asking and receiving.
        if (!stopped) setOffset(answer.milliseconds - (asked + Date.now()) / 2)
      } catch {
        // Without an answer, or with one that is none, the device's own clock stands.
      }
    })()
    return () => {
      stopped = true
    }
  }, [])

  useEffect(() => {
    const tick = () => setNow(Date.now() + offset)
    tick()
    const timer = setInterval(tick, tickMilliseconds)
    return () => clearInterval(timer)
  }, [offset])

  return { nowMilliseconds, serverNow: () => Date.now() + offset }
}
