import type { LongestKind } from '@/core/chemistry/longest'
import type { Position } from '@/core/wheel/position'

/** A chemical that is on a wheel now, with its two clocks: the label's, since the spray, and the film's, since it was last wetted. */
export interface DwellClock {
  readonly corner: Position
  readonly stageId: string
  readonly productName: string
  readonly startedAt: Date
  /** Nobody tapped just then: the beginning is worked out. */
  readonly isEstimated?: boolean
  readonly minSeconds: number
  readonly maxSeconds: number
  /** What ends its time: a label that bites is never stretched; what only must not dry is, by a mist. */
  readonly limit: LongestKind
  /** The step that wetted it last: the spray, a brush, a mist. */
  readonly wettedBy: string
  readonly wettedAt: Date
  /** Stays wet so long after a wetting; null: nothing dries in these conditions. */
  readonly wetSeconds: number | null
}

/** From least to most serious. `keepWet`: the film is nearly dry; `dry`: it may have dried. */
export const clockPhases = ['dwelling', 'ready', 'keepWet', 'rinseNow', 'dry', 'over'] as const
export type ClockPhase = (typeof clockPhases)[number]

/** What a running clock says now. */
export interface ClockReading {
  readonly elapsedSeconds: number
  readonly phase: ClockPhase
  /** Until the dwell, the label's time or the film ends; below zero once that is past. */
  readonly remainingSeconds: number
  readonly until: 'dwell' | 'label' | 'film'
  /** What is left of the film, 0 to 1; null where nothing dries. */
  readonly filmShare: number | null
}

/** The warning turns warm in this last share of the time between dwell and limit, but not earlier than so many seconds before it. */
const warm = { share: 0.3, maxSeconds: 90 }
/** A film is called nearly dry in its last third, but not earlier than this before its end, s. */
const nearlyDry = { share: 1 / 3, maxSeconds: 60 }

/** Seconds until the first of the two limits; below zero once it is past. */
export function leftSeconds(clock: DwellClock, nowMilliseconds: number): number {
  const since = (at: Date) => Math.max(0, Math.floor((nowMilliseconds - at.getTime()) / 1000))
  return Math.min(
    clock.maxSeconds - since(clock.startedAt),
    clock.wetSeconds === null ? Infinity : Math.floor(clock.wetSeconds) - since(clock.wettedAt),
  )
}

export function readClock(clock: DwellClock, nowMilliseconds: number): ClockReading {
  const elapsedSeconds = Math.max(0, Math.floor((nowMilliseconds - clock.startedAt.getTime()) / 1000))
  const { minSeconds, maxSeconds, wetSeconds } = clock
  const labelLeft = maxSeconds - elapsedSeconds
  const filmLeft =
    wetSeconds === null ? Infinity : leftSeconds({ ...clock, maxSeconds: Infinity }, nowMilliseconds)
  const filmShare = wetSeconds === null ? null : Math.max(0, Math.min(1, filmLeft / wetSeconds))
  const says = (phase: ClockPhase, until: ClockReading['until']): ClockReading => ({
    elapsedSeconds,
    phase,
    remainingSeconds:
      until === 'dwell' ? minSeconds - elapsedSeconds : until === 'label' ? labelLeft : filmLeft,
    until,
    filmShare,
  })
  if (labelLeft < 0) return says('over', 'label')
  if (filmLeft < 0) return says('dry', 'film')
  const first = filmLeft < labelLeft ? 'film' : 'label'
  const warmSeconds = Math.min((maxSeconds - minSeconds) * warm.share, warm.maxSeconds)
  if (elapsedSeconds >= minSeconds && labelLeft <= warmSeconds) return says('rinseNow', first)
  if (filmLeft <= Math.min(nearlyDry.maxSeconds, (wetSeconds ?? 0) * nearlyDry.share))
    return says('keepWet', 'film')
  return elapsedSeconds < minSeconds ? says('dwelling', 'dwell') : says('ready', first)
}
