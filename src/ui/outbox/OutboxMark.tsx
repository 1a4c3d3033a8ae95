'use client'

import { CloudOff } from 'lucide-react'
import { useEffect, useSyncExternalStore } from 'react'
import { deviceOutbox } from './deviceOutbox'
import type { OutboxSnapshot } from './outbox'
import type { Waiting } from './waiting'

const names: Record<Waiting['kind'], readonly [string, string]> = {
  look: ['look', 'looks'],
  photograph: ['photograph', 'photographs'],
}

/** How many of what wait, in words; empty: none. */
function waitingWords({ kept }: OutboxSnapshot): string {
  const waiting = kept.filter(({ refusal }) => refusal === null)
  return (['look', 'photograph'] as const)
    .flatMap((kind) => {
      const count = waiting.filter(({ item }) => item.kind === kind).length
      return count === 0 ? [] : [`${count} ${names[kind][count === 1 ? 0 : 1]}`]
    })
    .join(' and ')
}

const nothing: OutboxSnapshot = { kept: [], trouble: null }

/** Sends what waits on this device from whichever page is open, and says what still waits or was not taken. */
export function OutboxMark() {
  const snapshot = useSyncExternalStore(deviceOutbox.subscribe, deviceOutbox.read, () => nothing)
  useEffect(() => {
    const work = () => deviceOutbox.work()
    work()
    window.addEventListener('online', work)
    return () => {
      window.removeEventListener('online', work)
      deviceOutbox.stop()
    }
  }, [])
  const words = snapshot.trouble === null ? '' : waitingWords(snapshot)
  return (
    <>
      {words !== '' && (
        <p className="device-taps" role="status">
          <CloudOff aria-hidden size={16} /> On this device, not with the program yet: {words}.{' '}
          {snapshot.trouble}
        </p>
      )}
      {snapshot.kept
        .filter(({ refusal }) => refusal !== null)
        .map(({ item, refusal }) => (
          <div key={item.requestId} className="device-taps" role="alert">
            <span>
              A {names[item.kind][0]} of {new Date(item.madeAt).toLocaleString()} was not taken. {refusal}
            </span>
            <button
              type="button"
              className="btn btn-quiet"
              onClick={() => void deviceOutbox.again(item.requestId)}
            >
              Send it again
            </button>
            <button
              type="button"
              className="btn btn-quiet"
              onClick={() => void deviceOutbox.throwAway(item.requestId)}
            >
              Throw it away
            </button>
          </div>
        ))}
    </>
  )
}
