import type { Job } from '@/core/job/job'
import type { Zone } from '@/core/wheel/zone'
import type { Act } from '@/core/work/act'
import type { Stage } from '@/core/plan/plan'

/** Zones that something touches, in the order in which dirt runs. */
export const contactZones: readonly Zone[] = ['barrel', 'spokeBacks', 'windows', 'face', 'lip', 'lugSeats', 'cap', 'valve', 'caliper'] // prettier-ignore

const firstOfKind = (kind: string, job: Job): string[] =>
  job.tools
    .filter((tool) => tool.kind === kind && tool.state === 'clean' && tool.dedicatedTo !== 'paint')
    .slice(0, 1)
    .map(({ name }) => name)

/** Names of the tools in the hand during an act. */
export function toolsFor(act: Act, zones: readonly Zone[], stage: Stage | null, job: Job): string[] {
  if (act === 'dress') return firstOfKind('applicator', job)
  if (act === 'dry' || act === 'wipe') {
    return act === 'dry' && job.schools.drying === 'air'
      ? [...firstOfKind('blower', job), ...firstOfKind('towel', job)]
      : firstOfKind('towel', job)
  }
  if (act !== 'agitate' && act !== 'scrub') return []
  return (stage?.tools ?? []).flatMap(({ tool, zones: reached }) =>
    tool !== null && reached.some((zone) => zones.includes(zone)) ? [tool] : [],
  )
}
