import type { Translator } from '@/i18n/translator'
import { refusalOf } from '../form/refusal'
import type { Kept } from './waiting'

/** Adds taps to the visit of a job that was ended. Returns what is in the way; null: they were added. */
export async function addToVisit(
  jobId: string,
  kept: readonly Kept[],
  t: Translator,
): Promise<string | null> {
  const taps = kept.flatMap(({ item }) =>
    item.kind === 'tap' ? [{ kind: item.tap.kind, stepId: item.tap.stepId, at: item.tap.at }] : [],
  )
  try {
    const answer = await fetch(`/api/jobs/${jobId}/corrections`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ taps }),
    })
    if (answer.ok) return null
    return (await refusalOf(answer, t)).map(({ fix }) => fix).join(' ')
  } catch {
    return t('outbox.noConnection')
  }
}
