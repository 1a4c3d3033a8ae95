import fc from 'fast-check'
import { expect, it } from 'vitest'
import { Outbox, type OutboxPorts } from './outbox'
import { atRest, tapOf, TestDevice } from './testDevice'
import type { Outcome, Waiting } from './waiting'

/** What can happen to a phone in the bay. */
const step = fc.oneof(
  { weight: 6, arbitrary: fc.record({ kind: fc.constant('tap' as const), page: fc.nat(1), job: fc.nat(1) }) },
  { weight: 2, arbitrary: fc.record({ kind: fc.constant('network' as const), is: fc.constantFrom('up', 'down', 'busy', 'failing') }) },
  { weight: 2, arbitrary: fc.record({ kind: fc.constant('reload' as const), page: fc.nat(1) }) },
  { weight: 2, arbitrary: fc.record({ kind: fc.constant('pause' as const) }) },
  { weight: 1, arbitrary: fc.record({ kind: fc.constant('room' as const), has: fc.boolean() }) },
  { weight: 1, arbitrary: fc.record({ kind: fc.constant('cleared' as const) }) },
  { weight: 1, arbitrary: fc.record({ kind: fc.constant('paired' as const), is: fc.boolean() }) },
  { weight: 1, arbitrary: fc.record({ kind: fc.constant('ended' as const), job: fc.nat(1) }) },
  { weight: 1, arbitrary: fc.record({ kind: fc.constant('updated' as const) }) },
) // prettier-ignore
type Step = typeof step extends fc.Arbitrary<infer S> ? S : never

/** A server as far as a phone knows it. */
class TestServer {
  readonly stored: string[] = []
  network: 'up' | 'down' | 'busy' | 'failing' = 'up'
  isPaired = true
  readonly ended = new Set<string>()
  /** Answers are lost on the way back now and then. */
  private answers = 0

  answer(item: Waiting): Outcome {
    if (this.network !== 'up') return { kind: 'later' }
    if (!this.isPaired) return { kind: 'revoked' }
    const { requestId } = item
    const job = item.kind === 'tap' ? item.jobId : ''
    // Sent twice it is stored once, also after the end.
    if (!this.stored.includes(requestId)) {
      if (this.ended.has(job)) return { kind: 'refused', fix: 'This job was ended.', isJobEnded: true }
      this.stored.push(requestId)
    }
    this.answers += 1
    return this.answers % 7 === 0 ? { kind: 'later' } : { kind: 'stored', value: null }
  }
}

class History {
  readonly server = new TestServer()
  readonly device = new TestDevice((item) => this.server.answer(item))
  private pages: { ports: OutboxPorts; outbox: Outbox }[] = []
  readonly made: string[] = []

  constructor() {
    this.open(0)
    this.open(1)
  }

  private open(at: number): void {
    const ports = this.device.page()
    const outbox = new Outbox(ports)
    this.pages[at] = { ports, outbox }
    outbox.work()
  }

  page = (at: number) => this.pages[at]!.outbox

  async run(one: Step): Promise<void> {
    switch (one.kind) {
      case 'tap': {
        const id = `tap ${this.made.length}`
        this.made.push(id)
        void this.page(one.page).add(tapOf(id, `job ${one.job}`))
        break
      }
      case 'network':
        this.server.network = one.is as TestServer['network']
        break
      case 'reload': {
        // A person who is told that something is in this page only does not close it.
        if (this.pages.some(({ outbox }) => outbox.read().inThisPageOnly > 0)) return
        this.device.close(this.pages[one.page]!.ports)
        this.open(one.page)
        break
      }
      case 'pause':
        this.device.retry()
        break
      case 'room':
        this.device.hasRoom = one.has
        break
      case 'cleared':
        this.device.shelf = []
        // The pages notice at their next try.
        for (const { outbox } of this.pages) outbox.work()
        break
      case 'paired':
        this.server.isPaired = one.is
        break
      case 'ended':
        this.server.ended.add(`job ${one.job}`)
        break
      case 'updated':
        // The new server knows what the old one stored; pages stay as they are.
        this.server.network = 'down'
        await atRest()
        this.server.network = 'up'
        break
    }
    await atRest()
  }

  /** Everything works again, for long enough. */
  async fixed(): Promise<void> {
    Object.assign(this.server, { network: 'up', isPaired: true })
    this.device.hasRoom = true
    for (let round = 0; round < 12; round += 1) {
      this.device.retry()
      for (const { outbox } of this.pages) outbox.work()
      await atRest()
    }
  }
}

it('whatever happens, every tap is stored once and in order, or shown as refused with its reason', async () => {
  await fc.assert(
    fc.asyncProperty(fc.array(step, { minLength: 5, maxLength: 30 }), async (steps) => {
      const history = new History()
      for (const one of steps) await history.run(one)
      await history.fixed()
      const { stored } = history.server
      const shown = history.page(0).read().kept
      expect(new Set(stored).size).toBe(stored.length)
      for (const { refusal } of shown) expect(refusal?.fix).toBe('This job was ended.')
      const refused = shown.map(({ item }) => item.requestId)
      expect([...stored, ...refused].sort()).toEqual([...history.made].sort())
      expect(stored).toEqual(history.made.filter((id) => stored.includes(id)))
    }),
    { numRuns: 1000 },
  )
}, 240_000)
