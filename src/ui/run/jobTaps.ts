import { currentTime } from '@/clock'
import type { RunEvent } from '@/core/run/runEvent'
import { newId } from '../newId'
import type { Outbox } from '../outbox/outbox'
import type { Tap, WaitingTap } from '../outbox/waiting'

export const eventOfTap = ({ kind, stepId, at, person, answer }: Tap): RunEvent => ({
  kind,
  stepId,
  at: new Date(at),
  person,
  ...(answer ? { answer } : {}),
})

export interface JobTapsSnapshot {
  /** What the server knows, then what is still on its way. */
  readonly events: readonly RunEvent[]
  readonly saving: 'saved' | 'saving' | 'offline'
}

export interface JobTapsPorts {
  /** Everything the server has stored for this job; null if it does not answer. */
  fetchStored(): Promise<readonly RunEvent[] | null>
  /** What this device last knew to be stored; a page that comes from the device itself is older. */
  loadStored(): readonly RunEvent[]
  keepStored(stored: readonly RunEvent[]): void
}

/** The taps of one job: those that are stored, and those that wait in the outbox. Every tap counts at once. */
export class JobTaps {
  private snapshot: JobTapsSnapshot
  private readonly listeners = new Set<() => void>()
  /** Stored, although the outbox may not have dropped them yet. */
  private readonly storedIds = new Set<string>()
  /** Counts up with everything that happens here, so that an answer from before it is told apart. */
  private happened = 0

  constructor(
    private readonly jobId: string,
    private stored: readonly RunEvent[],
    private readonly outbox: Pick<Outbox, 'add' | 'read' | 'subscribe' | 'onOutcome'>,
    private readonly ports: JobTapsPorts,
  ) {
    this.snapshot = { events: stored, saving: 'saved' }
  }

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener)
    return () => this.listeners.delete(listener)
  }

  readonly read = (): JobTapsSnapshot => this.snapshot

  /** Follows the outbox until what it returns is called. */
  start(): () => void {
    this.takeLastKnown()
    const stops = [
      this.outbox.subscribe(() => this.publish()),
      this.outbox.onOutcome((item, outcome) => {
        if (item.kind !== 'tap' || item.jobId !== this.jobId) return
        this.happened += 1
        if (outcome.kind === 'stored' && !this.storedIds.has(item.requestId)) {
          this.storedIds.add(item.requestId)
          this.takeStored([...this.stored, eventOfTap(item.tap)])
        }
        this.publish()
      }),
    ]
    this.publish()
    return () => {
      for (const stop of stops) stop()
    }
  }

  /** Takes up what other devices have stored meanwhile; what is on its way from here goes first. */
  async catchUp(): Promise<void> {
    this.takeLastKnown()
    if (this.waiting().length > 0) return
    const asked = this.happened
    const stored = await this.ports.fetchStored()
    if (stored === null || asked !== this.happened || stored.length === this.stored.length) return
    this.takeStored(stored)
    this.publish()
  }

  /** Takes up taps made in one moment, in their order. */
  add(...taps: readonly Tap[]): void {
    this.happened += 1
    for (const tap of taps)
      void this.outbox.add({
        kind: 'tap',
        requestId: newId(),
        madeAt: currentTime().getTime(),
        jobId: this.jobId,
        tap,
      })
    this.publish()
  }

  /** Nothing is ever taken out of what is stored: the longer list is the later one. */
  private takeLastKnown(): void {
    const last = this.ports.loadStored()
    if (last.length <= this.stored.length) return
    this.stored = last
    this.publish()
  }

  private takeStored(stored: readonly RunEvent[]): void {
    this.stored = stored
    this.ports.keepStored(stored)
  }

  private waiting(): readonly WaitingTap[] {
    return this.outbox
      .read()
      .kept.flatMap(({ item, refusal }) =>
        item.kind === 'tap' &&
        item.jobId === this.jobId &&
        refusal === null &&
        !this.storedIds.has(item.requestId)
          ? [item]
          : [],
      )
  }

  private publish(): void {
    const waiting = this.waiting()
    const { trouble } = this.outbox.read()
    const saving = waiting.length === 0 ? 'saved' : trouble === null ? 'saving' : 'offline'
    const events = [...this.stored, ...waiting.map(({ tap }) => eventOfTap(tap))]
    this.snapshot = { events, saving }
    for (const listener of this.listeners) listener()
  }
}
