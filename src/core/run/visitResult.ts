export const visitResults = ['clean', 'someLeft', 'notClean'] as const
/** How the wheels looked at the end, as the person says it. */
export type VisitResult = (typeof visitResults)[number]

/** The result that goes with what stayed; the person may say otherwise. */
export const resultOf = (leftovers: readonly unknown[]): VisitResult =>
  leftovers.length === 0 ? 'clean' : 'someLeft'
