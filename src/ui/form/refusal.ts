import type { Translator } from '@/i18n/translator'
import * as v from 'valibot'
import type { SaidProblem } from '@/i18n/saidProblems'

const refusalShape = v.object({
  problems: v.array(v.object({ path: v.string(), found: v.string(), fix: v.string() })),
})

/** Where an answer is not what this page expects: of another version, or from another program. */
export const notUnderstood = (t: Translator): SaidProblem => ({
  path: '',
  found: '',
  fix: t('errors.sending.notUnderstood'),
})

/** The problems a route names; empty where its answer is not understood. */
export async function readRefusal(answer: Response): Promise<readonly SaidProblem[]> {
  const read = v.safeParse(refusalShape, await answer.json().catch(() => null))
  return read.success ? read.output.problems : []
}

/** What a route has against what was sent. */
export async function refusalOf(answer: Response, t: Translator): Promise<readonly SaidProblem[]> {
  const problems = await readRefusal(answer)
  return problems.length > 0 ? problems : [notUnderstood(t)]
}
