/** Streams that are open now, by who has them; ended when the program stops. */
interface OpenStream {
  readonly device: string
  end(): void
}

/** Next bundles modules more than once, and the server ends them before it stops: a process has one list. */
const shared = globalThis as typeof globalThis & {
  evenSpokeStreams?: Set<OpenStream>
  evenSpokeEndStreams?: () => void
}
const streams = (shared.evenSpokeStreams ??= new Set())
shared.evenSpokeEndStreams ??= () => {
  for (const stream of [...streams]) stream.end()
}

/** A device has a few windows open, a shop a few dozen devices. */
const most = { ofDevice: 12, ofAll: 200 }

/** Adds a stream; null where there are too many already. Gives what takes it off again. */
export function addStream(device: string, end: () => void): (() => void) | null {
  const own = [...streams].filter((stream) => stream.device === device).length
  if (streams.size >= most.ofAll || own >= most.ofDevice) return null
  const stream = { device, end }
  streams.add(stream)
  return () => streams.delete(stream)
}
