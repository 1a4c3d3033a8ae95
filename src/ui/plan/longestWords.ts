import type { Translator } from '@/i18n/translator'
import { wetTimes } from '@/core/chemistry/longest'
import type { SpokenStage } from '@/i18n/spoken'
import { formatDuration } from '@/i18n/format'

/** What the longest time of a stage means at the wheel, as a sentence; empty where there is none. */
export function longestWords(
  { longest, dwellSeconds: { max } }: Pick<SpokenStage, 'longest' | 'dwellSeconds'>,
  t: Translator,
): string {
  if (!longest || max === 0) return ''
  return longest.kind === 'wet'
    ? t('plan.product.keepWet', { reapply: formatDuration(max), rinse: formatDuration(wetTimes * max) })
    : t('plan.product.rinseWithin', { time: formatDuration(max), because: longest.because || 'none' })
}
