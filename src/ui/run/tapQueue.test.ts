import { describe, expect, it } from 'vitest'
import { eventOfTap, type PendingTap } from './pendingTaps'
import type { TapAnswer } from './sendTap'
import { TapQueue, type QueuePorts } from './tapQueue'

const tap = (stepId: string): PendingTap => ({
  requestId: stepId,
  kind: 'done',
  stepId,
  at: '2026-05-01T08:00:00.000Z',
})
const settled = () => new Promise((resolve) => setTimeout(resolve, 0))

function setUp(
  answers: TapAnswer[],
  left: PendingTap[] = [],
  fetchStored: QueuePorts['fetchStored'] = () => Promise.resolve(null),
  last: PendingTap[] = [],
) {
  const sent: string[] = []
  let kept: readonly PendingTap[] = left
  let waiting: (() => void) | null = null
  let stored = last.map(eventOfTap) as readonly ReturnType<typeof eventOfTap>[]
  const queue = new TapQueue([], {
    send: (one) => {
      sent.push(one.stepId)
      return Promise.resolve(answers.shift() ?? { kind: 'stored' })
    },
    load: () => kept,
    keep: (one) => (kept = [...kept, one]),
    forget: (requestId) => (kept = kept.filter((one) => one.requestId !== requestId)),
    fetchStored,
    loadStored: () => stored,
    keepStored: (events) => (stored = events),
    later: (work) => {
      waiting = work
      return () => (waiting = null)
    },
  })
  return {
    queue,
    sent,
    kept: () => kept,
    stored: () => stored.map(({ stepId }) => stepId),
    retry: () => waiting?.(),
    keepElsewhere: (one: PendingTap) => (kept = [...kept, one]),
  }
}

describe('taps', () => {
  it('count at once and leave the device only when they are stored', async () => {
    const { queue, kept } = setUp([])
    queue.add(tap('a'))
    expect(queue.read().events.map(({ stepId }) => stepId)).toEqual(['a'])
    expect(kept()).toHaveLength(1)
    await settled()
    expect(kept()).toHaveLength(0)
    expect(queue.read()).toMatchObject({ saving: 'saved', refusal: null })
  })

  it('of a device that was put out are kept, said, and sent once it is let in again', async () => {
    const { queue, kept, retry, sent } = setUp([{ kind: 'shutOut', mend: 'Put out.' }])
    queue.add(tap('a'))
    await settled()
    expect(queue.read()).toMatchObject({ saving: 'offline', refusal: 'Put out.' })
    expect(kept()).toHaveLength(1)
    retry()
    await settled()
    expect(sent).toEqual(['a', 'a'])
    expect(queue.read()).toMatchObject({ saving: 'saved' })
    expect(kept()).toHaveLength(0)
  })

  it('that were stored are known to a page which comes from the device and is older', async () => {
    const { queue, stored } = setUp([], [], undefined, [tap('before'), tap('then')])
    queue.takeUp()
    queue.add(tap('now'))
    await settled()
    expect(queue.read().events.map(({ stepId }) => stepId)).toEqual(['before', 'then', 'now'])
    expect(stored()).toEqual(['before', 'then', 'now'])
  })

  it('go out in order, one at a time', async () => {
    const { queue, sent } = setUp([])
    for (const id of ['a', 'b', 'c']) queue.add(tap(id))
    await settled()
    expect(sent).toEqual(['a', 'b', 'c'])
  })

  it('wait out a dropped connection and are sent again', async () => {
    const { queue, sent, kept, retry } = setUp([{ kind: 'unreachable' }])
    queue.add(tap('a'))
    await settled()
    expect(queue.read().saving).toBe('offline')
    expect(kept()).toHaveLength(1)
    queue.add(tap('b'))
    await settled()
    expect(sent).toEqual(['a'])
    retry()
    await settled()
    expect(sent).toEqual(['a', 'a', 'b'])
    expect(queue.read().saving).toBe('saved')
  })

  it('left by an earlier page are taken up', async () => {
    const { queue, sent } = setUp([], [tap('old')])
    queue.takeUp()
    expect(queue.read().events).toHaveLength(1)
    await settled()
    expect(sent).toEqual(['old'])
  })

  it('of another tab of the device are taken up once, in the order they were made', async () => {
    const { queue, sent, keepElsewhere } = setUp([{ kind: 'unreachable' }])
    queue.add({ ...tap('second'), at: '2026-05-01T08:00:02.000Z' })
    keepElsewhere({ ...tap('first'), at: '2026-05-01T08:00:01.000Z' })
    queue.takeUp()
    queue.takeUp()
    expect(queue.read().events.map(({ stepId }) => stepId)).toEqual(['first', 'second'])
    await settled()
    expect(sent).toEqual(['second'])
  })

  it('refused for good are dropped with the reason', async () => {
    const { queue, kept } = setUp([{ kind: 'refused', mend: 'This job is already in the log.' }])
    queue.add(tap('a'))
    await settled()
    expect(kept()).toHaveLength(0)
    expect(queue.read()).toMatchObject({ events: [], refusal: 'This job is already in the log.' })
  })

  it('of a second device are taken up', async () => {
    const { queue } = setUp([], [], () => Promise.resolve([eventOfTap(tap('theirs'))]))
    await queue.catchUp()
    expect(queue.read().events.map(({ stepId }) => stepId)).toEqual(['theirs'])
  })

  it('made while the server was asked are not forgotten for an older answer', async () => {
    let answer: (events: []) => void = () => {}
    const { queue } = setUp([], [], () => new Promise((resolve) => (answer = resolve)))
    const caught = queue.catchUp()
    queue.add(tap('mine'))
    await settled()
    answer([])
    await caught
    expect(queue.read().events.map(({ stepId }) => stepId)).toEqual(['mine'])
  })

  it('stay as they are when the server does not answer', async () => {
    const { queue } = setUp([])
    queue.add(tap('mine'))
    await settled()
    await queue.catchUp()
    expect(queue.read().events).toHaveLength(1)
  })
})
