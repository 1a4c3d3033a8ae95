import { stagesOfStep, takesOff, type Step } from '@/core/plan/plan'
import { isWorked, type RunEvent } from './runEvent'

/** When a step was over, as far as its tap tells. */
export interface TapTime {
  readonly at: Date
  /** The tap came later, for several steps at once: the time is worked out from their usual lengths. */
  readonly isEstimated: boolean
  /** It was tapped with others in a burst, to catch up with what was done before. */
  readonly isCaughtUp: boolean
}

/** Taps that follow each other in less than this share of the usual time of their steps are made up for, one after the other. */
const burstShare = 0.2
/** A clock that was begun at a guessed time leaves what is still to be done there, and this much more, s: only what is known to be late is called so. */
const leastLeftSeconds = 15
/** From one tool to the next, s. */
const changeSeconds = 10

interface Tap {
  readonly events: RunEvent[]
  readonly at: number
}
type Burst = Tap[]

const usualSeconds = (events: readonly RunEvent[], steps: ReadonlyMap<string, Step>): number =>
  events.reduce(
    (sum, { stepId, kind }) => sum + (isWorked(kind) ? (steps.get(stepId)?.operatorSeconds ?? 0) : 0),
    0,
  )

/** One person's taps; what was tapped in one moment is one tap, and quick ones after each other are a burst. */
function burstsOf(events: readonly RunEvent[], steps: ReadonlyMap<string, Step>): Burst[] {
  const taps: Tap[] = []
  // Taps of several devices, or from a pocket without network, may come in later than they were made.
  const inTime = [...events].sort((a, b) => a.at.getTime() - b.at.getTime())
  for (const event of inTime) {
    const at = event.at.getTime()
    const last = taps.at(-1)
    if (last?.at === at) last.events.push(event)
    else taps.push({ at, events: [event] })
  }
  const bursts: Burst[] = []
  for (const tap of taps) {
    const last = bursts.at(-1)?.at(-1)
    const isQuick = last && tap.at - last.at < burstShare * usualSeconds(tap.events, steps) * 1000
    if (isQuick) bursts.at(-1)?.push(tap)
    else bursts.push([tap])
  }
  return bursts
}

/** All that was tapped in one moment or one burst with an event, by the same person. */
export const burstWith = (
  event: RunEvent,
  events: readonly RunEvent[],
  steps: ReadonlyMap<string, Step>,
): readonly RunEvent[] =>
  burstsOf(
    events.filter(({ person }) => (person ?? 0) === (event.person ?? 0)),
    steps,
  )
    .find((burst) => burst.some((tap) => tap.events.includes(event)))
    ?.flatMap((tap) => tap.events) ?? []

/** Seconds from the beginning of the first step to the end of each, with the dwells they wait for. */
function usualEnds(events: readonly RunEvent[], steps: ReadonlyMap<string, Step>): number[] {
  const readyAt = new Map<string, number>()
  let now = 0
  return events.map(({ stepId, kind }) => {
    const step = steps.get(stepId)
    if (!step || !isWorked(kind)) return now
    const key = (stageId: string | null) => `${step.corner}.${stageId}`
    // A fresh round and a mist do not wait.
    if (!step.startsDwell && step.act !== 'reMist') now = Math.max(now, readyAt.get(key(step.stageId)) ?? 0)
    now += step.operatorSeconds
    if (step.startsDwell)
      for (const stageId of stagesOfStep(step)) readyAt.set(key(stageId), now + step.startsDwell.minSeconds)
    return now
  })
}

/**
 * When each settled step was over. A tap for one step is its time. A tap for several, and taps in a burst, are what was done since
 * the tap before: their times are spread over that span by their usual lengths, the last at the tap, none in the future.
 * @param events done and skipped steps that stand, in order
 */
export function tapTimes(
  events: readonly RunEvent[],
  steps: ReadonlyMap<string, Step>,
): Map<RunEvent, TapTime> {
  const times = new Map<RunEvent, TapTime>()
  const people = new Set(events.map(({ person }) => person ?? 0))
  for (const person of people) {
    let before = -Infinity
    for (const burst of burstsOf(
      events.filter((event) => (event.person ?? 0) === person),
      steps,
    )) {
      const own = burst.flatMap((tap) => tap.events)
      const end = (burst.at(-1) as Tap).at
      const ends = usualEnds(own, steps)
      const whole = ends.at(-1) ?? 0
      const share = whole > 0 ? Math.min(1, (end - before) / 1000 / whole) : 0
      own.forEach((event, at) => {
        const guessed = end - (whole - (ends[at] as number)) * share * 1000
        const latest = leastAt(event, own.slice(at + 1), steps, end)
        times.set(event, {
          at: new Date(Math.min(end, Math.round(Math.max(guessed, latest)))),
          isEstimated: at < own.length - 1,
          isCaughtUp: burst.length > 1,
        })
      })
      before = end
    }
  }
  return times
}

/** Not before this can the step have ended without its chemical being late for certain; −∞ where its rinse is over too. */
function leastAt(
  { stepId, kind }: RunEvent,
  later: readonly RunEvent[],
  steps: ReadonlyMap<string, Step>,
  end: number,
): number {
  const step = steps.get(stepId)
  if (!step || !isWorked(kind)) return -Infinity
  const isOff = later.some(({ stepId: id, kind: as }) => {
    const other = steps.get(id)
    return isWorked(as) && other?.corner === step.corner && takesOff(other, step.stageId)
  })
  if (isOff) return -Infinity
  const worked = new Set([stepId, ...later.map(({ stepId: id }) => id)])
  const { toRinse, toNext } = leftToDo(step, worked, steps)
  const limit = Math.min(
    (step.startsDwell?.maxSeconds ?? Infinity) - toRinse,
    (step.wetLimitSeconds ?? Infinity) - toNext,
  )
  return end - Math.max(surelyAgo(step, later, steps), limit - leastLeftSeconds) * 1000
}

/** Who has worked a product that was put on has waited for its dwell first: it is on for that long at least, and the work, seconds. */
function surelyAgo(step: Step, later: readonly RunEvent[], steps: ReadonlyMap<string, Step>): number {
  if (!step.startsDwell) return 0
  const started = stagesOfStep(step)
  const worked = later.flatMap(({ stepId, kind }) => {
    const other = steps.get(stepId)
    const isOfIt =
      isWorked(kind) &&
      other?.corner === step.corner &&
      !other.startsDwell &&
      other.act !== 'reMist' &&
      started.includes(other.stageId ?? '')
    return other && isOfIt ? [other.operatorSeconds] : []
  })
  return worked.length === 0 ? 0 : worked.reduce((sum, seconds) => sum + seconds, step.startsDwell.minSeconds)
}

/** Seconds of work at a wheel that are still to be done before its chemical is wetted again, and before it is rinsed off. */
function leftToDo(
  step: Step,
  worked: ReadonlySet<string>,
  steps: ReadonlyMap<string, Step>,
): { readonly toRinse: number; readonly toNext: number } {
  let seconds = 0
  let toNext: number | null = null
  let isAfter = false
  for (const other of steps.values()) {
    if (other.id === step.id) isAfter = true
    if (!isAfter || other.corner !== step.corner || worked.has(other.id)) continue
    const isRinse = takesOff(other, step.stageId)
    seconds += changeSeconds
    if (!isRinse) seconds += other.operatorSeconds
    if (isRinse || stagesOfStep(other).includes(step.stageId ?? '')) toNext ??= seconds
    if (isRinse) break
  }
  return { toRinse: seconds, toNext: toNext ?? seconds }
}
