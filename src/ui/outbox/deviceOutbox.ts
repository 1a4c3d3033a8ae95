import { currentTime } from '@/clock'
import { newId } from '../newId'
import { Outbox } from './outbox'
import { forget, keep, loadKept } from './keptOnDevice'
import { sendWaiting } from './sendWaiting'
import type { Entered, Outcome } from './waiting'

const retryMilliseconds = 3000

/** One for all that is entered in this tab; the other tabs of the device keep to the same shelf. */
export const deviceOutbox = new Outbox({
  load: loadKept,
  keep,
  forget,
  send: sendWaiting,
  alone: async (work) => {
    // Only pages that are served securely have locks; sent twice it is still kept once.
    if ('locks' in navigator) await navigator.locks.request('even-spoke.outbox', work)
    else await work()
  },
  later: (work) => {
    const timer = setTimeout(work, retryMilliseconds)
    return () => clearTimeout(timer)
  },
})

/**
 * Keeps and sends what a person has entered just now.
 * @param madeAt where it was made before, by this device's clock, ms
 * @returns what became of the first try
 */
export const enter = (entered: Entered, madeAt = currentTime().getTime()): Promise<Outcome> =>
  deviceOutbox.add({ ...entered, requestId: newId(), madeAt })
