import { wetTimes } from '@/core/chemistry/longest'
import type { Stage } from '@/core/plan/plan'
import type { StageTiming } from '@/core/plan/stageTiming'
import { isOnRubber } from '@/core/work/stageKind'

/**
 * How long a spray may stay until the rinse, seconds: the label's time. What is kept wet and sprayed anew as one comes to it has twice
 * that, and so have arch and tyre, which drip until the rinse.
 */
export function rinseWithin(
  { kind, longest, dwellSeconds }: Pick<Stage, 'kind' | 'longest' | 'dwellSeconds'>,
  timing: Pick<StageTiming, 'isStaggered'> | undefined,
): number {
  const isKeptWet = longest?.kind === 'wet' && (isOnRubber(kind) || timing?.isStaggered === true)
  return isKeptWet ? wetTimes * dwellSeconds.max : dwellSeconds.max
}
