import { withName } from '@/core/message/withName'
import type { Job } from '@/core/job/job'
import type { SequenceEntry, Step } from '@/core/plan/plan'
import { spareOf } from '@/core/tools/spareTool'
import type { Act } from '@/core/acts/act'

const held: readonly Act[] = ['agitate', 'scrub']

/** A step worked with another tool of the kit, in its words too. */
const withTool = (step: Step, name: string, instead: string): Step => ({
  ...step,
  tools: step.tools.map((tool) => (tool === name ? instead : tool)),
  detail: withName(step.detail, name, instead),
})

/** Gives the second person the spare of what the first one holds at the same time. */
export function withOwnTools(steps: readonly Step[], entries: readonly SequenceEntry[], job: Job): Step[] {
  if (job.crew.people === 1) return [...steps]
  const entryOf = new Map(entries.map((entry) => [entry.stepId, entry]))
  const firsts = steps.flatMap(({ id, act, tools }) => {
    const entry = entryOf.get(id)
    return entry?.person === 0 && held.includes(act) ? [{ entry, tools }] : []
  })
  return steps.map((step) => {
    const mine = entryOf.get(step.id)
    if (!mine || mine.person === 0 || !held.includes(step.act)) return step
    const taken = firsts
      .filter(({ entry }) => entry.startSeconds < mine.endSeconds && mine.startSeconds < entry.endSeconds)
      .flatMap(({ tools }) => tools)
    return step.tools
      .filter((name) => taken.includes(name))
      .reduce((one, name) => {
        const spare = spareOf(name, job.tools)
        return spare ? withTool(one, name, spare.name) : one
      }, step)
  })
}
