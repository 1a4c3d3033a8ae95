import * as v from 'valibot'
import { liveChange, type LiveChange } from '@/contracts/live'

/** Without a stream one looks again so often, ms. */
const lookAgainMilliseconds = 4000
/** A stream that was refused is tried again after so long, ms. */
const tryAgainMilliseconds = 30_000

/** What the browser brings; tests give others. */
export interface LivePorts {
  open(address: string): Pick<EventSource, 'close' | 'onopen' | 'onmessage' | 'onerror' | 'readyState'>
  every(work: () => void, milliseconds: number): () => void
  after(work: () => void, milliseconds: number): () => void
}

/** Everything may have changed. */
const everything: LiveChange = { topic: 'all', of: null }
const closedState = 2

function changeOf(text: string): LiveChange {
  try {
    return v.parse(liveChange, JSON.parse(text))
  } catch {
    // Said by a newer program.
    return everything
  }
}

/**
 * Hears what changes: by a stream that the browser itself takes up again where it was broken off, and where there is none by looking
 * again every few seconds.
 * @returns what ends it
 */
export function hearChanges(
  address: string,
  hear: (change: LiveChange) => void,
  ports: LivePorts,
): () => void {
  let stopLooking: (() => void) | null = null
  let stopWaiting: (() => void) | null = null
  let source: ReturnType<LivePorts['open']> | null = null
  const look = (on: boolean) => {
    if (on) stopLooking ??= ports.every(() => hear(everything), lookAgainMilliseconds)
    else {
      stopLooking?.()
      stopLooking = null
    }
  }
  const begin = () => {
    const own = ports.open(address)
    source = own
    own.onopen = () => look(false)
    own.onmessage = ({ data }: MessageEvent) => hear(changeOf(String(data)))
    own.onerror = () => {
      look(true)
      if (own.readyState === closedState) stopWaiting = ports.after(begin, tryAgainMilliseconds)
    }
  }
  begin()
  return () => {
    look(false)
    stopWaiting?.()
    source?.close()
  }
}
