import * as v from 'valibot'
import type { Problem } from '@/core/result'

const refusalShape = v.object({
  problems: v.array(v.object({ path: v.string(), found: v.string(), mend: v.string() })),
})

/** Where an answer is not what this page expects: of another version, or from another program. */
export const notUnderstood: Problem = { path: '', found: 'another answer', mend: 'Load the page again.' }

/** What a route has against what was sent. */
export async function refusalOf(answer: Response): Promise<readonly Problem[]> {
  const read = v.safeParse(refusalShape, await answer.json().catch(() => null))
  return read.success && read.output.problems.length > 0 ? read.output.problems : [notUnderstood]
}
