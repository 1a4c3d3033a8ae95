import { refusalOf } from '../form/refusal'
import type { PendingTap } from './pendingTaps'

/** What the server said to one tap. */
export type TapAnswer =
  | { readonly kind: 'stored' }
  | { readonly kind: 'refused'; readonly mend: string }
  /** The device is not let in any more; what it kept stays kept. */
  | { readonly kind: 'shutOut'; readonly mend: string }
  /** No answer, or a failure of the server: worth sending again. */
  | { readonly kind: 'unreachable' }

export async function sendTap(
  jobId: string,
  { requestId, kind, stepId, at, person, answer }: PendingTap,
): Promise<TapAnswer> {
  try {
    const response = await fetch(`/api/jobs/${jobId}/events`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ requestId, kind, stepId, at, person, answer }),
      keepalive: true,
    })
    if (response.ok) return { kind: 'stored' }
    if (response.status >= 500) return { kind: 'unreachable' }
    if (response.status === 401)
      return {
        kind: 'shutOut',
        mend: 'This device was put out at the desk. Its taps are kept here and go on once it is paired again.',
      }
    const problems = await refusalOf(response)
    return { kind: 'refused', mend: problems.map(({ mend }) => mend).join(' ') }
  } catch {
    return { kind: 'unreachable' }
  }
}
