import * as v from 'valibot'
import type { Problem } from '@/core/result'

const answerShape = v.object({
  problems: v.optional(v.array(v.object({ path: v.string(), found: v.string(), mend: v.string() })), []),
})

/** Sends JSON to a route of the program; what it refuses comes back as problems. */
export async function postJson(
  path: string,
  body: unknown,
): Promise<{ readonly problems: readonly Problem[] }> {
  const answer = await fetch(path, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
  })
  if (answer.ok) return { problems: [] }
  const read = v.safeParse(answerShape, await answer.json().catch(() => null))
  return read.success && read.output.problems.length > 0
    ? { problems: read.output.problems }
    : { problems: [{ path: '', found: `answer ${answer.status}`, mend: 'Try again.' }] }
}
