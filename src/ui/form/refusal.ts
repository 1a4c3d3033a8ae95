import type { Translator } from '@/i18n/translator'
import * as v from 'valibot'
import type { Problem } from '@/core/result'

const refusalShape = v.object({
  problems: v.array(v.object({ path: v.string(), found: v.string(), mend: v.string() })),
})

/** Where an answer is not what this page expects: of another version, or from another program. */
export const notUnderstood = (t: Translator): Problem => ({
  path: '',
  found: '',
  mend: t('errors.sending.notUnderstood'),
})

/** The problems a route names; empty where its answer is not understood. */
export async function readRefusal(answer: Response): Promise<readonly Problem[]> {
  const read = v.safeParse(refusalShape, await answer.json().catch(() => null))
  return read.success ? read.output.problems : []
}

/** What a route has against what was sent. */
export async function refusalOf(answer: Response, t: Translator): Promise<readonly Problem[]> {
  const problems = await readRefusal(answer)
  return problems.length > 0 ? problems : [notUnderstood(t)]
}
