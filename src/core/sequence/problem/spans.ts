/** A span of time, seconds from the start. */
export interface Span {
  readonly from: number
  readonly to: number
}

/** The first gap between spans that leaves room for so many seconds, at a time or after it. */
export function gapFor(
  spans: readonly Span[] | undefined,
  earliest: number,
  seconds: number,
): { start: number; until: number } {
  let start = earliest
  for (const { from, to } of spans ?? []) {
    if (to <= start) continue
    if (start + seconds <= from) return { start, until: from }
    start = to
  }
  return { start, until: Infinity }
}
