import { wetTimes } from '@/core/chemistry/longest'
import type { Stage } from '@/core/plan/plan'
import type { StageTiming } from '@/core/plan/stageTiming'
import { isOnRubber } from '@/core/work/stageKind'

/**
 * How long a spray may stay until the rinse once it is all on, seconds. What bites is on from its first drop: the label's time less the
 * spraying. What is kept wet and put on anew as one comes to it, with spray or mitt, has twice the label's time, and so have arch and
 * tyre, which drip until the rinse.
 * @param spraySeconds what putting it on takes
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
