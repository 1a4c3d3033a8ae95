/**
 * Steps are settled by `done` and `skipped`; `misted` wets once more what the named step had wetted. `undone` takes back one step,
 * `tapUndone` all that was tapped with it in one moment or one burst.
 */
export const runEventKinds = ['done', 'skipped', 'undone', 'tapUndone', 'misted', 'mistUndone'] as const

/** What happened in the bay, in order. Undo takes back the last act that still stands. */
export interface RunEvent {
  readonly kind: (typeof runEventKinds)[number]
  readonly stepId: string
  /** The moment of the tap. */
  readonly at: Date
  /** Who tapped, 0 or 1; absent where nobody said. */
  readonly person?: number
}
