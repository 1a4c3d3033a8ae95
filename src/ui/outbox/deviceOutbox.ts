import * as v from 'valibot'
import { currentTime } from '@/clock'
import { newId } from '../newId'
import { forget, isKept, keep, loadKept } from './keptOnDevice'
import { Outbox, type OutboxNews } from './outbox'
import { sendWaiting } from './sendWaiting'
import type { Entered, Kept, Outcome, Waiting } from './waiting'

const firstPauseMilliseconds = 1000
/** Who comes back into the shop's network waits no longer than this. */
const longestPauseMilliseconds = 8000

/** Pages of this device speak over it; in a browser that has none each page sends for itself, which is harmless. */
const channel =
  typeof window === 'undefined' || !('BroadcastChannel' in window)
    ? null
    : new BroadcastChannel('even-spoke.outbox')

/** Pages of another version may say something else. */
const newsShape = v.variant('kind', [
  v.object({ kind: v.literal('added'), kept: v.custom<Kept>(isKept) }),
  v.object({ kind: v.literal('discarded'), requestId: v.string() }),
  v.object({
    kind: v.literal('settled'),
    item: v.looseObject({ kind: v.string(), requestId: v.string() }),
    outcome: v.looseObject({ kind: v.picklist(['stored', 'refused']) }),
  }),
])

/** One for everything entered on this page; the other pages of the device keep to the same shelf. */
export const deviceOutbox = new Outbox({
  load: loadKept,
  keep,
  forget,
  send: sendWaiting,
  alone: async (work) => {
    // Only pages that are served securely have locks; sent twice it is still stored once.
    if ('locks' in navigator) await navigator.locks.request('even-spoke.outbox', work)
    else await work()
  },
  later: (work, failedTries) => {
    const pause = Math.min(longestPauseMilliseconds, firstPauseMilliseconds * 2 ** (failedTries - 1))
    const timer = setTimeout(work, pause)
    return () => clearTimeout(timer)
  },
  tell: (news) => channel?.postMessage(news),
  hear: (listener) => {
    const hear = ({ data }: MessageEvent<unknown>): void => {
      if (v.is(newsShape, data)) listener(data as OutboxNews)
    }
    channel?.addEventListener('message', hear)
    return () => channel?.removeEventListener('message', hear)
  },
})

/**
 * Keeps and sends what a person has entered just now.
 * @param madeAt when it was made, by this device's clock, ms
 * @returns what became of the first try
 */
export const enter = (entered: Entered, madeAt = currentTime().getTime()): Promise<Outcome> =>
  deviceOutbox.add({ ...entered, requestId: newId(), madeAt } as Waiting)
