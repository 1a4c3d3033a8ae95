import { wetTimes } from '@/core/chemistry/longest'
import type { Stage } from '@/core/plan/plan'
import type { StageTiming } from '@/core/plan/stageTiming'
import { isOnRubber } from '@/core/acts/stageKind'

/**
 * Seconds from the end of the spray to the rinse. A contact limit counts from the first drop, so the spray is taken off it. Suds, staggered
 * sprays and cleaners on tyre and arch may stay for twice the label's time.
 * @param spraySeconds how long the spray takes
 */
export function rinseWithin(
  { kind, longest, delivery, dwellSeconds }: Pick<Stage, 'kind' | 'longest' | 'delivery' | 'dwellSeconds'>,
  timing: Pick<StageTiming, 'isStaggered'> | undefined,
  spraySeconds: number,
): number {
  if (longest?.kind === 'contact') return Math.max(dwellSeconds.min, dwellSeconds.max - spraySeconds)
  const isKeptWet =
    longest?.kind === 'wet' && (isOnRubber(kind) || delivery === 'bucket' || timing?.isStaggered === true)
  return isKeptWet ? wetTimes * dwellSeconds.max : dwellSeconds.max
}
