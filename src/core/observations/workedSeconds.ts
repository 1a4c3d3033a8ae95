import type { RunState } from '@/core/run/runState'

/** A pause between two taps that is this much longer than their steps take is a break, not work. House estimates. */
const breakFrom = { share: 4, seconds: 900 }

/**
 * Seconds on the clock from the beginning of the first step to the last tap; of a break only what the steps after it take.
 * @returns null where fewer than two taps were made
 */
export function workedSeconds({ plan, settled }: RunState): number | null {
  const usual = new Map<number, number>()
  for (const { id, operatorSeconds } of plan.steps) {
    const one = settled.get(id)
    if (one?.as !== 'done') continue
    const at = one.tappedAt.getTime()
    usual.set(at, (usual.get(at) ?? 0) + operatorSeconds)
  }
  const taps = [...usual].sort(([a], [b]) => a - b)
  const [first] = taps
  if (!first || taps.length < 2) return null
  return Math.round(
    taps.slice(1).reduce((sum, [at, seconds], index) => {
      const taken = (at - (taps[index]?.[0] ?? at)) / 1000
      const isBreak = taken > Math.max(breakFrom.seconds, breakFrom.share * seconds)
      return sum + (isBreak ? seconds : taken)
    }, first[1]),
  )
}
