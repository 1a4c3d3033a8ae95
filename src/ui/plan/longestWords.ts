import { wetTimes } from '@/core/chemistry/longest'
import type { Stage } from '@/core/plan/plan'
import { formatDuration } from '../format/format'

/** What the longest time of a stage means at the wheel, as a sentence; empty where there is none. */
export function longestWords({
  longest,
  dwellSeconds: { max },
}: Pick<Stage, 'longest' | 'dwellSeconds'>): string {
  if (!longest || max === 0) return ''
  return longest.kind === 'wet'
    ? `Keep it wet. Reapply after ${formatDuration(max)} and rinse within ${formatDuration(wetTimes * max)}.`
    : `Rinse within ${formatDuration(max)}${longest.because ? `, because ${longest.because}` : ': it bites'}.`
}
