import type { Translator } from '@/i18n/translator'
import type { SaidProblem } from '@/i18n/saidProblems'
import { refusalOf } from './refusal'

/** Sends JSON to a route of the program; what it refuses comes back as problems. */
export async function postJson(
  path: string,
  body: unknown,
  t: Translator,
): Promise<{ readonly problems: readonly SaidProblem[] }> {
  const answer = await fetch(path, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
  })
  return { problems: answer.ok ? [] : await refusalOf(answer, t) }
}
