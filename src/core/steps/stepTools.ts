import { familyOf, type FamilyId } from '@/core/chemistry/families'
import type { Job } from '@/core/job/job'
import { cleanOf } from '@/core/reachability/means'
import type { Tool } from '@/core/tools/tool'
import type { Zone } from '@/core/wheel/zone'
import type { Act } from '@/core/acts/act'
import type { Stage } from '@/core/plan/plan'

/** Zones that something touches, in the order in which dirt runs. */
export const contactZones: readonly Zone[] = ['barrel', 'spokeBacks', 'windows', 'face', 'lip', 'lugSeats', 'cap', 'valve', 'caliper'] // prettier-ignore

const firstOf = (tools: readonly Tool[]): string[] => tools.slice(0, 1).map(({ name }) => name)

/** A cloth for the wheel. */
const towel = (job: Job): string[] => firstOf(cleanOf('towel', job, 'wheel'))

function dryers(job: Job): string[] {
  const blower = firstOf(cleanOf('blower', job))
  return job.methods.drying === 'air' || towel(job).length === 0 ? [...blower, ...towel(job)] : towel(job)
}

/** What is laid on thin goes on with the wheel's own applicator where there is one; all of it comes off with a cloth. */
const laidOn: readonly FamilyId[] = ['ceramicCoating', 'wheelWax']

const wipingOn = (stage: Stage | null, job: Job): string[] => {
  const family = stage && familyOf(stage.family)
  if (family?.purpose === 'protect' && family.onWet) return []
  const pad = stage && laidOn.includes(stage.family) ? firstOf(cleanOf('applicator', job, 'wheel')) : []
  return [...pad, ...towel(job)]
}

/** Names of the tools in the hand during an act. */
export function toolsFor(act: Act, zones: readonly Zone[], stage: Stage | null, job: Job): string[] {
  if (act === 'dress') return firstOf(cleanOf('applicator', job, 'tyre'))
  if (act === 'protect') return wipingOn(stage, job)
  if (act === 'dry') return dryers(job)
  if (act === 'wipe') return towel(job)
  if (act !== 'agitate' && act !== 'scrub') return []
  return (stage?.tools ?? []).flatMap(({ tool, zones: reached }) =>
    tool !== null && reached.some((zone) => zones.includes(zone)) ? [tool] : [],
  )
}
