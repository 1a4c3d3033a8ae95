import type { Answer } from './answer'

/**
 * Steps are settled by `done`, `answered` (done, and what was seen at it) and `skipped`; `misted` wets once more what the named
 * step had wetted. `undone` takes back one step, `tapUndone` all that was tapped with it in one moment or one burst; an answer only
 * what the same tap settled.
 */
export const runEventKinds = [
  'done', 'answered', 'skipped', 'undone', 'tapUndone', 'misted', 'mistUndone',
] as const // prettier-ignore
export type RunEventKind = (typeof runEventKinds)[number]

/** What happened in the bay, in order. Undo takes back the last act that still stands. */
export interface RunEvent {
  readonly kind: RunEventKind
  readonly stepId: string
  /** The moment of the tap. */
  readonly at: Date
  /** Who tapped, 0 or 1; absent where nobody said. */
  readonly person?: number
  /** What was seen; with `answered` only. */
  readonly answer?: Answer
}

/** Whether an event says that its step was worked. */
export const isWorked = (kind: RunEventKind): kind is 'done' | 'answered' =>
  kind === 'done' || kind === 'answered'

/** Whether an event settles its step, one way or the other. */
export const settles = (kind: RunEventKind): kind is 'done' | 'answered' | 'skipped' =>
  isWorked(kind) || kind === 'skipped'
