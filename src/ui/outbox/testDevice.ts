import type { OutboxNews, OutboxPorts } from './outbox'
import type { Kept, Outcome, Waiting } from './waiting'

export const settled = () => new Promise((resolve) => setImmediate(resolve))

/** Lets everything that was begun come to rest; nothing here waits for a real clock. */
export async function atRest(): Promise<void> {
  for (let turn = 0; turn < 12; turn += 1) await settled()
}

export const tapOf = (requestId: string, jobId = 'job'): Waiting => ({
  kind: 'tap',
  requestId,
  madeAt: 0,
  jobId,
  tap: { kind: 'done', stepId: requestId, at: '2026-05-01T08:00:00.000Z' },
})

export const photographOf = (requestId: string): Waiting => ({
  kind: 'photograph',
  requestId,
  madeAt: 0,
  wheelSetId: 'set',
  jobId: null,
  positions: [],
  jpeg: new Blob(),
})

/** A device that lives on while pages come and go. Nothing happens by itself: `retry` is the pause running out. */
export class TestDevice {
  shelf: readonly Kept[] = []
  hasRoom = true
  readonly sent: string[] = []
  private pages = new Map<OutboxPorts, { hear: (news: OutboxNews) => void; later: (() => void) | null }>()
  private turn: Promise<unknown> = Promise.resolve()

  constructor(private readonly answer: (item: Waiting) => Outcome) {}

  /** The ports of a new page. */
  page(): OutboxPorts {
    const ports: OutboxPorts = {
      load: () => Promise.resolve(this.shelf),
      keep: (kept) => {
        if (!this.hasRoom) return Promise.reject(new Error('full'))
        this.shelf = [...this.shelf.filter(({ item }) => item.requestId !== kept.item.requestId), kept]
        return Promise.resolve()
      },
      forget: (requestId) => {
        this.shelf = this.shelf.filter(({ item }) => item.requestId !== requestId)
        return Promise.resolve()
      },
      send: async (item) => {
        this.sent.push(item.requestId)
        await settled()
        // A page that was closed hears nothing any more.
        return this.pages.has(ports) ? this.answer(item) : new Promise<Outcome>(() => undefined)
      },
      alone: (work) => {
        const mine = this.turn.then(() =>
          this.pages.has(ports) ? Promise.race([work(), this.closed(ports)]) : undefined,
        )
        this.turn = mine.catch(() => undefined)
        return mine.then(() => undefined)
      },
      later: (work) => {
        const page = this.pages.get(ports)
        if (page) page.later = work
        return () => {
          if (page) page.later = null
        }
      },
      tell: (news) => {
        for (const [other, { hear }] of this.pages) if (other !== ports) hear(news)
      },
      hear: (listener) => {
        this.pages.set(ports, { hear: listener, later: null })
        return () => this.pages.delete(ports)
      },
    }
    return ports
  }

  /** The page goes without a word. */
  close(ports: OutboxPorts): void {
    this.pages.delete(ports)
    for (const resolve of this.closings.get(ports) ?? []) resolve()
  }

  private readonly closings = new Map<OutboxPorts, (() => void)[]>()
  private closed(ports: OutboxPorts): Promise<void> {
    return new Promise((resolve) => this.closings.set(ports, [...(this.closings.get(ports) ?? []), resolve]))
  }

  /** The pause between two tries is over, on all pages. */
  retry(): void {
    for (const page of this.pages.values()) {
      const work = page.later
      page.later = null
      work?.()
    }
  }

  ids(): string[] {
    return this.shelf.map(({ item }) => item.requestId)
  }
}
