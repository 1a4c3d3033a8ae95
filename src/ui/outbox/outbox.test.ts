import { describe, expect, it } from 'vitest'
import { Outbox, type OutboxPorts } from './outbox'
import type { Kept, Outcome, Waiting } from './waiting'

const look = (requestId: string): Waiting => ({
  kind: 'look',
  requestId,
  wheelSetId: 'set',
  madeAt: 0,
  look: { positions: ['frontLeft'], beading: 3, release: null, slickness: null, glossUnits: null, afterReviving: false },
}) // prettier-ignore
const stored: Outcome = { kind: 'stored', value: null }
const unreachable: Outcome = { kind: 'unreachable' }
const settled = () => new Promise((resolve) => setTimeout(resolve, 0))

/** A device that lives on while pages come and go. */
function device(answers: Record<string, Outcome[]> = {}) {
  let shelf: readonly Kept[] = []
  const sent: string[] = []
  let waiting: (() => void) | null = null
  let turn: Promise<unknown> = Promise.resolve()
  const ports: OutboxPorts = {
    load: () => Promise.resolve(shelf),
    keep: (kept) => {
      const known = shelf.some(({ item }) => item.requestId === kept.item.requestId)
      shelf = known
        ? shelf.map((one) => (one.item.requestId === kept.item.requestId ? kept : one))
        : [...shelf, kept]
      return Promise.resolve()
    },
    forget: (requestId) => {
      shelf = shelf.filter(({ item }) => item.requestId !== requestId)
      return Promise.resolve()
    },
    send: async ({ requestId }) => {
      sent.push(requestId)
      await settled()
      return answers[requestId]?.shift() ?? stored
    },
    alone: (work) => {
      const mine = turn.then(work)
      turn = mine
      return mine
    },
    later: (work) => {
      waiting = work
      return () => (waiting = null)
    },
  }
  const open = (changes: Partial<OutboxPorts> = {}) => new Outbox({ ...ports, ...changes })
  const pass = () => {
    const work = waiting
    waiting = null
    work?.()
  }
  return {
    open,
    pass,
    sent,
    shelf: () => shelf.map(({ item }) => item.requestId),
    isWaiting: () => waiting !== null,
  }
}

describe('what waits on the device', () => {
  it('is sent in order and forgotten once it is stored', async () => {
    const { open, sent, shelf } = device({ a: [{ kind: 'stored', value: 7 }] })
    const outbox = open()
    const [a, b] = await Promise.all([outbox.add(look('a')), outbox.add(look('b'))])
    expect([a, b]).toEqual([{ kind: 'stored', value: 7 }, stored])
    expect(sent).toEqual(['a', 'b'])
    await settled()
    expect(shelf()).toEqual([])
    expect(outbox.read()).toEqual({ kept: [], trouble: null })
  })

  it('stays through a page that is closed, and goes on from the next one; what is made meanwhile comes after', async () => {
    const { open, pass, sent, shelf, isWaiting } = device({ a: [unreachable, unreachable] })
    const first = open()
    expect(await first.add(look('a'))).toEqual(unreachable)
    expect(first.read().trouble).toBe('')
    first.stop()
    expect(isWaiting()).toBe(false)
    const later = open()
    expect(await later.add(look('b'))).toEqual(unreachable)
    expect(shelf()).toEqual(['a', 'b'])
    pass()
    await settled()
    await expect.poll(shelf).toEqual([])
    expect(sent).toEqual(['a', 'a', 'a', 'b'])
    expect(later.read()).toEqual({ kept: [], trouble: null })
  })

  it('of two tabs goes out one at a time, each thing once', async () => {
    const { open, sent } = device()
    const [one, other] = [open(), open()]
    await Promise.all([one.add(look('a')), other.add(look('b')), one.add(look('c'))])
    await settled()
    expect([...sent].sort()).toEqual(['a', 'b', 'c'])
  })

  it('that is refused holds nothing up, and waits for a person to decide', async () => {
    const { open, sent, shelf } = device({ a: [{ kind: 'refused', mend: 'No such wheel.' }] })
    const outbox = open()
    await Promise.all([outbox.add(look('a')), outbox.add(look('b'))])
    await expect.poll(shelf).toEqual(['a'])
    expect(outbox.read().kept.map(({ refusal }) => refusal)).toEqual(['No such wheel.'])
    await outbox.again('a')
    await expect.poll(shelf).toEqual([])
    expect(sent).toEqual(['a', 'b', 'a'])
    const other = device({ a: [{ kind: 'refused', mend: 'No.' }] })
    const second = other.open()
    await second.add(look('a'))
    await second.throwAway('a')
    expect(other.shelf()).toEqual([])
    expect(second.read().kept).toEqual([])
  })

  it('of a device that was put out stays, with the reason', async () => {
    const { open, shelf } = device({ a: [{ kind: 'shutOut', mend: 'Pair it again.' }] })
    const outbox = open()
    await outbox.add(look('a'))
    expect(outbox.read().trouble).toBe('Pair it again.')
    expect(shelf()).toEqual(['a'])
  })

  it('is sent also where the device keeps nothing', async () => {
    const { open, pass, sent } = device({ a: [unreachable] })
    const refuse = () => Promise.reject(new Error('full'))
    const outbox = open({ load: refuse, keep: refuse, forget: refuse })
    expect(await outbox.add(look('a'))).toEqual(unreachable)
    pass()
    await expect.poll(() => outbox.read().kept).toEqual([])
    expect(sent).toEqual(['a', 'a'])
  })

  it('that the device keeps but does not give back at once is not called stored, and goes on later', async () => {
    const { open, pass, sent, shelf } = device()
    let isShut = true
    const outbox = open({
      load: () => (isShut ? Promise.reject(new Error('busy')) : Promise.resolve(kept)),
      keep: (one) => Promise.resolve(void kept.push(one)),
      forget: () => Promise.resolve(void kept.pop()),
    })
    const kept: Kept[] = []
    expect(await outbox.add(look('a'))).toEqual(unreachable)
    expect([sent, shelf()]).toEqual([[], []])
    isShut = false
    pass()
    await expect.poll(() => kept).toEqual([])
    expect(sent).toEqual(['a'])
  })

  it('of a page that may not wait in line is put off', async () => {
    const { open, sent, pass, isWaiting } = device()
    let mayWait = false
    const outbox = open({
      alone: (work) => (mayWait ? work() : Promise.reject(new Error('not active'))),
    })
    expect(await outbox.add(look('a'))).toEqual(unreachable)
    expect(isWaiting()).toBe(true)
    mayWait = true
    pass()
    await expect.poll(() => sent).toEqual(['a'])
  })
})
