import { currentTime } from '@/clock'
import { exhaustive } from '@/core/exhaustive'
import { refusalOf } from '../form/refusal'
import type { Outcome, Waiting } from './waiting'

async function base64Of(blob: Blob): Promise<string> {
  const bytes = new Uint8Array(await blob.arrayBuffer())
  let text = ''
  // Few at a time: each is an argument of its own.
  for (let at = 0; at < bytes.length; at += 8192)
    text += String.fromCharCode(...bytes.subarray(at, at + 8192))
  return btoa(text)
}

/** Where it goes, and what is told of it there. */
async function requestOf(item: Waiting): Promise<{ readonly path: string; readonly body: unknown }> {
  const { requestId, wheelSetId } = item
  const secondsAgo = Math.max(0, Math.round((currentTime().getTime() - item.madeAt) / 1000))
  switch (item.kind) {
    case 'look':
      return { path: `/api/wheels/${wheelSetId}/looks`, body: { ...item.look, requestId, secondsAgo } }
    case 'photograph': {
      const { jobId, positions, jpeg } = item
      return {
        path: `/api/wheels/${wheelSetId}/photographs`,
        body: { requestId, jobId, positions, secondsAgo, jpeg: await base64Of(jpeg) },
      }
    }
    default:
      return exhaustive(item)
  }
}

/** Sends one thing that waits on this device. */
export async function sendWaiting(item: Waiting): Promise<Outcome> {
  try {
    const { path, body } = await requestOf(item)
    const answer = await fetch(path, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(body),
    })
    if (answer.ok) return { kind: 'stored', value: await answer.json().catch(() => null) }
    if (answer.status >= 500 || answer.status === 429) return { kind: 'unreachable' }
    if (answer.status === 401)
      return {
        kind: 'shutOut',
        mend: 'This device was put out at the desk. What it keeps stays here and goes on once it is paired again.',
      }
    return { kind: 'refused', mend: (await refusalOf(answer)).map(({ mend }) => mend).join(' ') }
  } catch {
    return { kind: 'unreachable' }
  }
}
