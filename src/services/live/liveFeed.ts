import { liveTopics, type LiveChange, type LiveTopic } from '@/contracts/live'

/** A change with its place in the order of this feed. */
export interface NumberedChange extends LiveChange {
  readonly id: string
}

/** Whoever was away for longer looks at everything anew. */
const remembered = 500

const isTopic = (text: string | undefined): text is LiveTopic =>
  (liveTopics as readonly (string | undefined)[]).includes(text)

/** Everything may have changed: something was missed. */
const everything: LiveChange = { topic: 'all', of: null }

/** Hands on what has changed, in order, and again to who comes back. */
export class LiveFeed {
  private number = 0
  private readonly last: NumberedChange[] = []
  private readonly hearers = new Set<(change: NumberedChange) => void>()

  /** @param name of this feed; another one, as after a start, counts anew */
  constructor(private readonly name: string) {}

  /** Takes in what the database said: a topic, and of which one. */
  take(said: string): void {
    const [topic, of = null] = said.split(' ')
    if (!isTopic(topic)) return
    this.number += 1
    const change = { id: `${this.name}-${this.number}`, topic, of }
    this.last.push(change)
    if (this.last.length > remembered) this.last.shift()
    for (const hear of [...this.hearers]) hear(change)
  }

  /** The place of the last change. */
  get place(): string {
    return `${this.name}-${this.number}`
  }

  /** What came after a place; everything, where that is not known any more. Nothing, where none is given. */
  since(place: string | null): NumberedChange[] {
    if (place === null || place === this.place) return []
    const at = this.last.findIndex(({ id }) => id === place)
    if (at >= 0) return this.last.slice(at + 1)
    const first = this.last[0]
    const isJustBefore = first && place === `${this.name}-${this.number - this.last.length}`
    return isJustBefore ? [...this.last] : [{ id: this.place, ...everything }]
  }

  /** Calls with every change from now on, until what it gives is called. */
  hear(hearer: (change: NumberedChange) => void): () => void {
    this.hearers.add(hearer)
    return () => this.hearers.delete(hearer)
  }
}
