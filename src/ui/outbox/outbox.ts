import type { Kept, Outcome, RefusalReason, Waiting } from './waiting'

export interface OutboxSnapshot {
  /** Everything that is not stored yet, in the order it was made; refused things too. */
  readonly kept: readonly Kept[]
  /** Why nothing goes out: empty if there is no answer; null if all goes well. */
  readonly trouble: 'later' | 'revoked' | null
  /** How many of them this page alone holds, because the device has no room. They are lost if it is closed. */
  readonly inThisPageOnly: number
}

/** What a page tells the other pages of the device. */
export type OutboxNews =
  | { readonly kind: 'added'; readonly kept: Kept }
  | { readonly kind: 'settled'; readonly item: Waiting; readonly outcome: Outcome }
  | { readonly kind: 'discarded'; readonly requestId: string }

export interface OutboxPorts {
  /** All that the device keeps. */
  load(): Promise<readonly Kept[]>
  /** Keeps it, in place of what is kept of the same request. @throws if the device has no room */
  keep(kept: Kept): Promise<void>
  forget(requestId: string): Promise<void>
  send(item: Waiting): Promise<Outcome>
  /** Runs when no other page of the device is sending. */
  alone(work: () => Promise<void>): Promise<void>
  /** Calls back after a pause that grows with the number of failed tries; returns how to call it off. */
  later(work: () => void, failedTries: number): () => void
  tell(news: OutboxNews): void
  /** Returns how to stop hearing. */
  hear(listener: (news: OutboxNews) => void): () => void
}

interface Held extends Kept {
  /** `page`: the device has no room for it. */
  readonly place: 'writing' | 'device' | 'page'
}

const isSame = (a: Held, b: Held | undefined): boolean =>
  a.item === b?.item && a.order === b.order && a.refusal === b.refusal && a.place === b.place

/** What other devices wait for goes first: a photo may take a minute over a slow network. */
const urgency: Record<Waiting['kind'], number> = { tap: 0, look: 1, photograph: 2 }

const inOrder = (a: Kept, b: Kept): number => a.order - b.order
const asSent = (a: Kept, b: Kept): number => urgency[a.item.kind] - urgency[b.item.kind] || inOrder(a, b)

/**
 * Everything entered on this device and not yet stored by the server: taps, checks, photos. It counts at once, is kept on the
 * device, sent one at a time, taps before checks before photos and each kind in the order it was made, and again after a dropped connection or a restart. What is refused stays
 * until a person has decided. A page holds what it knows of until it hears what became of it: if the device's storage is cleared
 * under it, nothing is lost.
 */
export class Outbox {
  private snapshot: OutboxSnapshot = { kept: [], trouble: null, inThisPageOnly: 0 }
  private held = new Map<string, Held>()
  /** Stored or discarded; the device may still give them back once. */
  private readonly done = new Set<string>()
  private readonly hopes = new Map<string, (outcome: Outcome) => void>()
  private readonly listeners = new Set<() => void>()
  private readonly outcomeListeners = new Set<(item: Waiting, outcome: Outcome) => void>()
  /** Writes to the device one after the other, so that they arrive in order. */
  private writing: Promise<void> = Promise.resolve()
  private working: Promise<void> | null = null
  private isAskedAgain = false
  private failedTries = 0
  private callOff: (() => void) | null = null

  constructor(private readonly ports: OutboxPorts) {
    ports.hear((news) => this.takeNews(news))
  }

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener)
    return () => this.listeners.delete(listener)
  }

  /** Calls with whatever is stored or refused, on this page or another one. */
  readonly onOutcome = (listener: (item: Waiting, outcome: Outcome) => void): (() => void) => {
    this.outcomeListeners.add(listener)
    return () => this.outcomeListeners.delete(listener)
  }

  readonly read = (): OutboxSnapshot => this.snapshot

  /** Takes something up at once, keeps it and sends it. Returns what became of the first try. */
  add(item: Waiting): Promise<Outcome> {
    const hope = new Promise<Outcome>((resolve) => this.hopes.set(item.requestId, resolve))
    const order = 1 + Math.max(0, ...[...this.held.values()].map((one) => one.order))
    const kept: Kept = { item, order, refusal: null }
    this.hold({ ...kept, place: 'writing' })
    this.publish()
    // The other pages hold it as well, so that what they make comes after it, even if the device has no room.
    this.ports.tell({ kind: 'added', kept })
    this.keepHeld(item.requestId)
    this.work()
    return hope
  }

  /** Sends what was refused once more. */
  again(requestId: string): void {
    const held = this.held.get(requestId)
    if (!held) return
    this.hold({ ...held, refusal: null })
    this.publish()
    this.keepHeld(requestId)
    this.work()
  }

  /** Forgets something that was refused. */
  async discard(requestId: string): Promise<void> {
    this.done.add(requestId)
    this.held.delete(requestId)
    this.publish()
    this.ports.tell({ kind: 'discarded', requestId })
    await this.forgotten(requestId)
  }

  /** Takes up what the device keeps, and sends what waits. */
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
      .catch(() => this.putOff({ kind: 'later' }))
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
      await this.writing
      await this.takeUp()
      const next = this.all()
        .filter(({ refusal }) => refusal === null)
        .sort(asSent)[0]
      if (!next) {
        this.publish(null)
        return
      }
      const outcome = await this.ports.send(next.item)
      // Another page may have heard of it, or a person may have discarded it meanwhile.
      if (!this.held.has(next.item.requestId)) continue
      if (outcome.kind === 'later' || outcome.kind === 'revoked') {
        this.publish(outcome.kind)
        this.putOff(outcome)
        return
      }
      this.failedTries = 0
      await this.settle(next.item, outcome)
      this.ports.tell({ kind: 'settled', item: next.item, outcome })
      this.publish(null)
    }
  }

  /** Joins what the device keeps with what this page holds; what the device lost is kept again. */
  private async takeUp(): Promise<void> {
    const onDevice = await this.ports.load().catch(() => null)
    if (onDevice === null) return
    for (const kept of onDevice) {
      const { requestId } = kept.item
      if (this.done.has(requestId)) await this.ports.forget(requestId).catch(() => undefined)
      else this.hold({ ...kept, ...this.held.get(requestId), place: 'device' })
    }
    const ids = new Set(onDevice.map(({ item }) => item.requestId))
    for (const id of [...this.held.keys()].filter((one) => !ids.has(one))) this.keepHeld(id)
    await this.writing
    this.publish()
  }

  private async settle(item: Waiting, outcome: Outcome): Promise<void> {
    const { requestId } = item
    if (outcome.kind === 'refused') {
      const refusal: RefusalReason = { fix: outcome.fix, isJobEnded: outcome.isJobEnded }
      const held = this.held.get(requestId)
      if (held) this.hold({ ...held, refusal })
      this.tellOutcome(item, outcome)
      this.keepHeld(requestId)
      await this.writing
      return
    }
    this.done.add(requestId)
    this.held.delete(requestId)
    // Announced before the first await, so that nobody finds it neither waiting nor stored.
    this.tellOutcome(item, outcome)
    await this.forgotten(requestId)
  }

  private takeNews(news: OutboxNews): void {
    if (news.kind === 'added') {
      const { requestId } = news.kept.item
      if (!this.done.has(requestId) && !this.held.has(requestId))
        this.hold({ ...news.kept, place: 'writing' })
      return this.publish()
    }
    const requestId = news.kind === 'settled' ? news.item.requestId : news.requestId
    if (news.kind === 'settled' && news.outcome.kind === 'refused') {
      const held = this.held.get(requestId)
      if (held) this.hold({ ...held, refusal: news.outcome })
    } else {
      this.done.add(requestId)
      this.held.delete(requestId)
    }
    if (news.kind === 'settled') this.tellOutcome(news.item, news.outcome)
    this.publish()
  }

  private tellOutcome(item: Waiting, outcome: Outcome): void {
    this.hopes.get(item.requestId)?.(outcome)
    this.hopes.delete(item.requestId)
    for (const listener of this.outcomeListeners) listener(item, outcome)
  }

  /** Tries again later; who waits for the first try is told what became of it. */
  private putOff(outcome: Outcome): void {
    for (const hope of this.hopes.values()) hope(outcome)
    this.hopes.clear()
    this.failedTries += 1
    this.callOff?.()
    this.callOff = this.ports.later(() => this.work(), this.failedTries)
  }

  private hold(held: Held): void {
    this.held.set(held.item.requestId, held)
  }

  /** Writes what is held of a request to the device; without room it stays in this page alone. */
  private keepHeld(requestId: string): void {
    this.writing = this.writing.then(async () => {
      const held = this.held.get(requestId)
      if (!held) return
      const { item, order, refusal } = held
      const place = await this.ports.keep({ item, order, refusal }).then(
        () => 'device' as const,
        () => 'page' as const,
      )
      // It may have gone out while it was written.
      const still = this.held.get(requestId)
      if (still) this.hold({ ...still, place })
      else if (place === 'device') await this.ports.forget(requestId).catch(() => undefined)
      this.publish()
    })
  }

  private async forgotten(requestId: string): Promise<void> {
    await this.writing
    await this.ports.forget(requestId).catch(() => undefined)
  }

  private all(): readonly Held[] {
    return [...this.held.values()].sort(inOrder)
  }

  private publish(trouble = this.snapshot.trouble): void {
    const all = this.all()
    const before = this.snapshot.kept as readonly Held[]
    const isUnchanged = all.length === before.length && all.every((one, at) => isSame(one, before[at]))
    if (isUnchanged && trouble === this.snapshot.trouble) return
    const inThisPageOnly = all.filter(({ place }) => place === 'page').length
    this.snapshot = { kept: all, trouble, inThisPageOnly }
    for (const listener of this.listeners) listener()
  }
}
