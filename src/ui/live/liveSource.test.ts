import { describe, expect, it } from 'vitest'
import { hearChanges } from './liveSource'

/** A browser whose time and streams are moved by hand. */
function stage() {
  const streams: {
    address: string
    readyState: number
    close(): void
    onopen: ((event: Event) => unknown) | null
    onmessage: ((event: MessageEvent) => unknown) | null
    onerror: ((event: Event) => unknown) | null
  }[] = []
  const clocks = new Set<() => void>()
  const delays = new Set<() => void>()
  const own = (set: Set<() => void>, work: () => void) => {
    set.add(work)
    return () => void set.delete(work)
  }
  const ports = {
    open: (address: string) => {
      const stream = {
        address,
        readyState: 0,
        close: () => void (stream.readyState = 2),
        onopen: null,
        onmessage: null,
        onerror: null,
      }
      streams.push(stream)
      return stream
    },
    every: (work: () => void) => own(clocks, work),
    after: (work: () => void) => own(delays, work),
  }
  return { streams, clocks, delays, ports }
}

const event = {} as Event
const message = (data: string) => ({ data }) as MessageEvent

describe('what changes', () => {
  it('is heard from the stream, and nonsense means that everything may have changed', () => {
    const { streams, clocks, ports } = stage()
    const heard: string[] = []
    hearChanges('/api/live', ({ topic, of }) => heard.push(`${topic} ${of}`), ports)
    streams[0]!.onopen!(event)
    streams[0]!.onmessage!(message('{"topic":"job","of":"a"}'))
    streams[0]!.onmessage!(message('{"topic":"of the future","of":null}'))
    streams[0]!.onmessage!(message('{'))
    expect(heard).toEqual(['job a', 'all null', 'all null'])
    expect(clocks.size).toBe(0)
  })

  it('is looked for while the stream is broken, and no longer', () => {
    const { streams, clocks, ports } = stage()
    let heard = 0
    hearChanges('/api/live', () => (heard += 1), ports)
    streams[0]!.onerror!(event)
    streams[0]!.onerror!(event)
    expect(clocks.size).toBe(1)
    for (const tick of clocks) tick()
    expect(heard).toBe(1)
    streams[0]!.onopen!(event)
    expect(clocks.size).toBe(0)
  })

  it('comes by another stream where the first was refused, and everything ends with it', () => {
    const { streams, clocks, delays, ports } = stage()
    const end = hearChanges('/api/live', () => undefined, ports)
    streams[0]!.readyState = 2
    streams[0]!.onerror!(event)
    expect(delays.size).toBe(1)
    for (const later of [...delays]) later()
    expect(streams).toHaveLength(2)
    end()
    expect(streams[1]!.readyState).toBe(2)
    expect(clocks.size).toBe(0)
  })
})
