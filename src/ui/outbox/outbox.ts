import type { Kept, Outcome, Waiting } from './waiting'

export interface OutboxSnapshot {
  readonly kept: readonly Kept[]
  /** Why nothing goes on from here; empty: no answer; null: it does. */
  readonly trouble: string | null
}

export interface OutboxPorts {
  /** All that the device keeps, in the order it was made, whichever tab it was made in. */
  load(): Promise<readonly Kept[]>
  /** Keeps it, in the place it has where it is kept already. */
  keep(kept: Kept): Promise<void>
  forget(requestId: string): Promise<void>
  send(item: Waiting): Promise<Outcome>
  /** Runs when no other tab of the device is sending. */
  alone(work: () => Promise<void>): Promise<void>
  /** Calls back after the pause between two tries; returns how to call it off. */
  later(work: () => void): () => void
}

/**
 * What was entered on this device and is on its way to the server: kept until it is stored there, sent in order, one at a time, and
 * again after a dropped connection or a restart. What is refused stays until a person has seen why.
 */
export class Outbox {
  private snapshot: OutboxSnapshot = { kept: [], trouble: null }
  private readonly listeners = new Set<() => void>()
  private readonly hopes = new Map<string, (outcome: Outcome) => void>()
  /** What the device could not keep; sent all the same. */
  private unkept: readonly Kept[] = []
  private working: Promise<void> | null = null
  private isAskedAgain = false
  private callOff: (() => void) | null = null

  constructor(private readonly ports: OutboxPorts) {}

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener)
    return () => this.listeners.delete(listener)
  }

  readonly read = (): OutboxSnapshot => this.snapshot

  /** Keeps something and sends it; gives what became of the first try. */
  async add(item: Waiting): Promise<Outcome> {
    await this.keep({ item, refusal: null })
    const hope = new Promise<Outcome>((resolve) => this.hopes.set(item.requestId, resolve))
    this.work()
    return hope
  }

  /** Sends what was refused once more. */
  async again(requestId: string): Promise<void> {
    const kept = this.snapshot.kept.find(({ item }) => item.requestId === requestId)
    if (kept) await this.keep({ ...kept, refusal: null })
    this.work()
  }

  async throwAway(requestId: string): Promise<void> {
    await this.forget(requestId)
    this.publish((await this.load()).all)
  }

  /** Sends what waits, unless that is being done. */
  work(): void {
    this.callOff?.()
    this.callOff = null
    if (this.working) {
      this.isAskedAgain = true
      return
    }
    this.working = this.ports
      .alone(() => this.sendAll())
      // The browser let nobody begin: the page is going, or has no right to wait in line.
      .catch(() => this.putOff({ kind: 'unreachable' }))
      .finally(() => {
        this.working = null
        if (!this.isAskedAgain) return
        this.isAskedAgain = false
        this.work()
      })
  }

  stop(): void {
    this.callOff?.()
    this.callOff = null
  }

  private async sendAll(): Promise<void> {
    for (;;) {
      // Only what was kept before is missed: more may come while the device is asked.
      const hoped = [...this.hopes.keys()]
      const { all, isWhole } = await this.load()
      this.publish(all)
      if (isWhole) this.settleElsewhere(hoped, all)
      const next = all.find(({ refusal }) => refusal === null)
      if (!next) {
        // What the device holds back cannot be told from what went out; it is looked for again.
        if (!isWhole && hoped.length > 0) this.putOff({ kind: 'unreachable' })
        return
      }
      const outcome = await this.ports.send(next.item)
      if (outcome.kind === 'unreachable' || outcome.kind === 'shutOut') {
        this.publish(all, outcome.kind === 'shutOut' ? outcome.mend : '')
        this.putOff(outcome)
        return
      }
      this.publish(all, null)
      if (outcome.kind === 'stored') await this.forget(next.item.requestId)
      else await this.keep({ ...next, refusal: outcome.mend })
      this.settle(next.item.requestId, outcome)
    }
  }

  /** Tries again later; who waits for the first try is told what became of it. */
  private putOff(outcome: Outcome): void {
    for (const requestId of this.hopes.keys()) this.settle(requestId, outcome)
    this.callOff = this.ports.later(() => this.work())
  }

  /** What is not here any more, or was refused, went out by another tab. */
  private settleElsewhere(hoped: readonly string[], all: readonly Kept[]): void {
    for (const requestId of hoped) {
      const kept = all.find(({ item }) => item.requestId === requestId)
      if (!kept) this.settle(requestId, { kind: 'stored', value: null })
      else if (kept.refusal !== null) this.settle(requestId, { kind: 'refused', mend: kept.refusal })
    }
  }

  private settle(requestId: string, outcome: Outcome): void {
    this.hopes.get(requestId)?.(outcome)
    this.hopes.delete(requestId)
  }

  /** All there is, as far as the device tells. */
  private async load(): Promise<{ readonly all: readonly Kept[]; readonly isWhole: boolean }> {
    const kept = await this.ports.load().catch(() => null)
    return { all: [...(kept ?? []), ...this.unkept], isWhole: kept !== null }
  }

  private async keep(kept: Kept): Promise<void> {
    try {
      await this.ports.keep(kept)
    } catch {
      // A browser that keeps nothing still sends it; only a reload without network would lose it.
      this.unkept = [...this.unkept.filter(({ item }) => item !== kept.item), kept]
    }
  }

  private async forget(requestId: string): Promise<void> {
    this.unkept = this.unkept.filter(({ item }) => item.requestId !== requestId)
    await this.ports.forget(requestId).catch(() => undefined)
  }

  private publish(kept: readonly Kept[], trouble = this.snapshot.trouble): void {
    if (kept.length === 0 && this.snapshot.kept.length === 0 && trouble === this.snapshot.trouble) return
    this.snapshot = { kept, trouble }
    for (const listener of this.listeners) listener()
  }
}
