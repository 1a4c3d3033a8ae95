import type { RunEvent } from '@/core/run/runEvent'
import { eventOfTap, type PendingTap } from './pendingTaps'
import type { TapAnswer } from './sendTap'

export interface QueueSnapshot {
  /** What the server knows, then what is still on its way. */
  readonly events: readonly RunEvent[]
  readonly saving: 'saved' | 'saving' | 'offline'
  /** Set when the server refused the last tap for good. */
  readonly refusal: string | null
}

export interface QueuePorts {
  send(tap: PendingTap): Promise<TapAnswer>
  /** Taps of this job that the device keeps, whichever tab they were made in. */
  load(): readonly PendingTap[]
  keep(tap: PendingTap): void
  forget(requestId: string): void
  /** Everything the server has stored for this job; null where it does not answer. */
  fetchStored(): Promise<readonly RunEvent[] | null>
  /** What this device last knew to be stored; a page that comes from the device itself is older. */
  loadStored(): readonly RunEvent[]
  keepStored(stored: readonly RunEvent[]): void
  /** Calls back after the pause between two tries; returns how to call it off. */
  later(work: () => void): () => void
}

/**
 * Taps of the bay on their way to the server, in order, one at a time. Every tap counts at once, is kept on the device
 * until the server has stored it, and is sent again after a dropped connection or a reload.
 */
export class TapQueue {
  private pending: readonly PendingTap[] = []
  private snapshot: QueueSnapshot
  private readonly listeners = new Set<() => void>()
  private sending = false
  /** Answered here; another tab may not have cleared it from the device yet. */
  private readonly sent = new Set<string>()
  /** Counts up with everything that happens here, so that an answer from before it is told apart. */
  private happened = 0
  private callOff: (() => void) | null = null

  constructor(
    private stored: readonly RunEvent[],
    private readonly ports: QueuePorts,
  ) {
    this.snapshot = { events: stored, saving: 'saved', refusal: null }
  }

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener)
    return () => this.listeners.delete(listener)
  }

  readonly read = (): QueueSnapshot => this.snapshot

  /** Takes up what an earlier page left behind, or another tab has kept since. */
  takeUp(): void {
    // Nothing is ever taken out of what is stored: the longer list is the later one.
    const last = this.ports.loadStored()
    if (last.length > this.stored.length) {
      this.stored = last
      this.publish({})
    }
    const known = new Set(this.pending.map(({ requestId }) => requestId))
    const left = this.ports
      .load()
      .filter(({ requestId }) => !known.has(requestId) && !this.sent.has(requestId))
    if (left.length === 0) return
    this.happened += 1
    this.pending = [...left, ...this.pending].sort((a, b) => a.at.localeCompare(b.at))
    this.publish({ saving: this.snapshot.saving === 'offline' ? 'offline' : 'saving' })
    void this.sendNext()
  }

  stop(): void {
    this.callOff?.()
    this.callOff = null
  }

  /** Takes up what other devices have stored meanwhile; what is on its way from here goes first. */
  async catchUp(): Promise<void> {
    if (this.pending.length > 0) return
    const asked = this.happened
    const stored = await this.ports.fetchStored()
    if (stored === null || asked !== this.happened || stored.length === this.stored.length) return
    this.takeStored(stored)
    this.publish({})
  }

  /** Takes up taps made in one moment, in their order. */
  add(...taps: readonly PendingTap[]): void {
    this.happened += 1
    this.pending = [...this.pending, ...taps]
    for (const tap of taps) this.ports.keep(tap)
    this.publish({ saving: this.snapshot.saving === 'offline' ? 'offline' : 'saving', refusal: null })
    void this.sendNext()
  }

  private async sendNext(): Promise<void> {
    const next = this.pending[0]
    if (!next || this.sending || this.callOff) return
    this.sending = true
    this.happened += 1
    const answer = await this.ports.send(next)
    this.sending = false
    if (answer.kind === 'unreachable' || answer.kind === 'shutOut') {
      this.publish({ saving: 'offline', refusal: answer.kind === 'shutOut' ? answer.mend : null })
      this.callOff = this.ports.later(() => {
        this.callOff = null
        void this.sendNext()
      })
      return
    }
    this.pending = this.pending.filter((tap) => tap !== next)
    this.sent.add(next.requestId)
    this.ports.forget(next.requestId)
    if (answer.kind === 'stored') this.takeStored([...this.stored, eventOfTap(next)])
    this.publish({
      saving: this.pending.length === 0 ? 'saved' : 'saving',
      refusal: answer.kind === 'refused' ? answer.mend : this.snapshot.refusal,
    })
    void this.sendNext()
  }

  private takeStored(stored: readonly RunEvent[]): void {
    this.stored = stored
    this.ports.keepStored(stored)
  }

  private publish(changes: Partial<QueueSnapshot>): void {
    this.snapshot = {
      ...this.snapshot,
      ...changes,
      events: [...this.stored, ...this.pending.map(eventOfTap)],
    }
    for (const listener of this.listeners) listener()
  }
}
