import { currentTime } from '@/clock'
import { exhaustive } from '@/core/exhaustive'
import { readRefusal } from '../form/refusal'
import type { Outcome, Waiting } from './waiting'

async function base64Of(blob: Blob): Promise<string> {
  const bytes = new Uint8Array(await blob.arrayBuffer())
  let text = ''
  // Few at a time: each is an argument of its own.
  for (let at = 0; at < bytes.length; at += 8192)
    text += String.fromCharCode(...bytes.subarray(at, at + 8192))
  return btoa(text)
}

interface Request {
  readonly path: string
  readonly body: unknown
  /** Longer than this nobody waits for an answer, ms. */
  readonly longestMilliseconds: number
}

const usualMilliseconds = 20_000
/** A photo over a slow network. */
const photographMilliseconds = 120_000

/** Where it goes, and what is told of it there. */
async function requestOf(item: Waiting): Promise<Request> {
  const { requestId } = item
  const secondsAgo = Math.max(0, Math.round((currentTime().getTime() - item.madeAt) / 1000))
  switch (item.kind) {
    case 'tap':
      return {
        path: `/api/jobs/${item.jobId}/events`,
        body: { ...item.tap, requestId },
        longestMilliseconds: usualMilliseconds,
      }
    case 'look':
      return {
        path: `/api/wheels/${item.wheelSetId}/looks`,
        body: { ...item.look, requestId, secondsAgo },
        longestMilliseconds: usualMilliseconds,
      }
    case 'photograph': {
      const { wheelSetId, jobId, positions, jpeg } = item
      return {
        path: `/api/wheels/${wheelSetId}/photographs`,
        body: { requestId, jobId, positions, secondsAgo, jpeg: await base64Of(jpeg) },
        longestMilliseconds: photographMilliseconds,
      }
    }
    default:
      return exhaustive(item)
  }
}

/** Answers that a later try may turn into another one: too slow, too early, too many. */
const laterStatuses = [408, 425, 429]
/** The job is in the log already. */
const jobEndedStatus = 410

/** Sends one thing that waits on this device. */
export async function sendWaiting(item: Waiting): Promise<Outcome> {
  try {
    const { path, body, longestMilliseconds } = await requestOf(item)
    const answer = await fetch(path, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(body),
      // A tap goes out although the page is left.
      keepalive: item.kind === 'tap',
      signal: AbortSignal.timeout(longestMilliseconds),
    })
    if (answer.ok) return { kind: 'stored', value: await answer.json().catch(() => null) }
    if (answer.status >= 500 || laterStatuses.includes(answer.status)) return { kind: 'later' }
    if (answer.status === 401) return { kind: 'revoked' }
    const fix = (await readRefusal(answer)).map((one) => one.fix).join(' ')
    return { kind: 'refused', fix, isJobEnded: answer.status === jobEndedStatus }
  } catch {
    return { kind: 'later' }
  }
}
