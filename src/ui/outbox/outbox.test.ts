import { describe, expect, it } from 'vitest'
import { Outbox } from './outbox'
import { atRest, photographOf, tapOf, TestDevice } from './testDevice'
import type { Outcome } from './waiting'

const stored: Outcome = { kind: 'stored', value: null }
const later: Outcome = { kind: 'later' }
const refused: Outcome = { kind: 'refused', fix: 'No such step.', isJobEnded: false }

/** A device whose server gives these answers, one after the other for each thing, and stores everything else. */
function device(answers: Record<string, Outcome[]> = {}) {
  const made = new TestDevice(({ requestId }) => answers[requestId]?.shift() ?? stored)
  return { device: made, open: () => new Outbox(made.page()) }
}

describe('what waits on the device', () => {
  it('counts at once, is sent in order and forgotten once it is stored', async () => {
    const { device: phone, open } = device({ a: [{ kind: 'stored', value: 7 }] })
    const outbox = open()
    const added = [outbox.add(tapOf('a')), outbox.add(tapOf('b'))]
    expect(outbox.read().kept.map(({ item }) => item.requestId)).toEqual(['a', 'b'])
    expect(await Promise.all(added)).toEqual([{ kind: 'stored', value: 7 }, stored])
    await atRest()
    expect([phone.sent, phone.ids()]).toEqual([['a', 'b'], []])
    expect(outbox.read()).toEqual({ kept: [], trouble: null, inThisPageOnly: 0 })
  })

  it('goes out taps first, whatever photos were taken before them', async () => {
    const { device: phone, open } = device({ photo: [later] })
    const outbox = open()
    await outbox.add(photographOf('photo'))
    await Promise.all([outbox.add(tapOf('a')), outbox.add(tapOf('b'))])
    await atRest()
    expect(phone.sent).toEqual(['photo', 'a', 'b', 'photo'])
    expect(outbox.read().kept).toEqual([])
  })

  it('stays through a page that is closed, and is sent by the next one; what is made meanwhile comes after', async () => {
    const { device: phone, open } = device({ a: [later, later] })
    const ports = phone.page()
    const first = new Outbox(ports)
    expect(await first.add(tapOf('a'))).toEqual(later)
    expect(first.read().trouble).toBe('later')
    await atRest()
    phone.close(ports)
    const next = open()
    next.work()
    await atRest()
    void next.add(tapOf('b'))
    await atRest()
    phone.retry()
    await atRest()
    expect(phone.sent.filter((id, at, all) => all.lastIndexOf(id) === at)).toEqual(['a', 'b'])
    expect(next.read().kept).toEqual([])
  })

  it('of two pages is sent one at a time, and both know what became of it', async () => {
    const { device: phone, open } = device()
    const [one, other] = [open(), open()]
    const heard: string[] = []
    other.onOutcome((item, { kind }) => heard.push(`${item.requestId} ${kind}`))
    await Promise.all([one.add(tapOf('a')), one.add(tapOf('b'))])
    await atRest()
    expect(phone.sent).toEqual(['a', 'b'])
    expect(heard).toEqual(['a stored', 'b stored'])
    expect(other.read().kept).toEqual([])
  })

  it('that is refused holds nothing up, and waits with its reason until a person decides', async () => {
    const { device: phone, open } = device({ a: [refused] })
    const outbox = open()
    await Promise.all([outbox.add(tapOf('a')), outbox.add(tapOf('b'))])
    await atRest()
    expect(phone.ids()).toEqual(['a'])
    expect(outbox.read().kept.map(({ refusal }) => refusal?.fix)).toEqual(['No such step.'])
    outbox.again('a')
    await atRest()
    expect([phone.sent, phone.ids()]).toEqual([['a', 'b', 'a'], []])
  })

  it('that was refused is gone from all pages once it is discarded', async () => {
    const { device: phone, open } = device({ a: [refused] })
    const [one, other] = [open(), open()]
    await one.add(tapOf('a'))
    await atRest()
    expect(other.read().kept).toHaveLength(1)
    await other.discard('a')
    await atRest()
    expect([phone.ids(), one.read().kept, other.read().kept]).toEqual([[], [], []])
  })

  it.each([
    ['a device whose access was revoked', { kind: 'revoked' }, 'revoked'],
    ['a server that asks to wait', later, 'later'],
  ] as const)('of %s stays, with a second page open too', async (_, outcome, trouble) => {
    const { device: phone, open } = device({ a: [outcome, outcome, outcome], b: [] })
    const [one, other] = [open(), open()]
    await one.add(tapOf('a'))
    other.work()
    await atRest()
    expect(one.read().trouble).toBe(trouble)
    expect(phone.ids()).toEqual(['a'])
    for (let tries = 0; tries < 4; tries += 1) {
      phone.retry()
      await atRest()
    }
    expect([phone.ids(), one.read().kept, one.read().trouble]).toEqual([[], [], null])
  })

  it('on a device without room is in this page only, which says so, and is sent all the same', async () => {
    const { device: phone, open } = device({ a: [later] })
    const outbox = open()
    phone.hasRoom = false
    await outbox.add(tapOf('a'))
    await atRest()
    expect(outbox.read().inThisPageOnly).toBe(1)
    phone.hasRoom = true
    phone.retry()
    await atRest()
    expect(phone.sent).toEqual(['a', 'a'])
    expect(outbox.read()).toEqual({ kept: [], trouble: null, inThisPageOnly: 0 })
  })

  it('is kept again where the storage of the device was cleared under an open page', async () => {
    const { device: phone, open } = device({ a: [later, later] })
    const outbox = open()
    await outbox.add(tapOf('a'))
    await atRest()
    phone.shelf = []
    phone.retry()
    await atRest()
    expect(phone.ids()).toEqual(['a'])
  })

  it('is tried again after pauses that grow', async () => {
    const tries: number[] = []
    const phone = new TestDevice(() => later)
    const ports = phone.page()
    const outbox = new Outbox({
      ...ports,
      later: (work, failed) => (tries.push(failed), ports.later(work, failed)),
    })
    void outbox.add(tapOf('a'))
    for (let round = 0; round < 4; round += 1) {
      await atRest()
      phone.retry()
    }
    expect(tries).toEqual([1, 2, 3, 4])
  })
})
