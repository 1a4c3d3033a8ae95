import { describe, expect, it } from 'vitest'
import fc from 'fast-check'
import { LiveFeed } from './liveFeed'

const topicsOf = (changes: readonly { topic: string; of: string | null }[]) =>
  changes.map(({ topic, of }) => (of ? `${topic} ${of}` : topic))

describe('the feed of changes', () => {
  it('gives who comes back exactly what was missed, wherever they left', () => {
    const said = fc.array(fc.constantFrom('due', 'stock', 'job a', 'job b'), { maxLength: 30 })
    fc.assert(
      fc.property(said, fc.nat(30), (changes, left) => {
        const feed = new LiveFeed('one')
        let place = feed.place
        changes.forEach((change, at) => {
          if (at === left) place = feed.place
          feed.take(change)
        })
        expect(topicsOf(feed.since(place))).toEqual(left < changes.length ? changes.slice(left) : changes)
      }),
    )
  })

  it('says that everything may have changed to who was away too long, or comes from before a start', () => {
    const feed = new LiveFeed('one')
    feed.take('due')
    const { place } = feed
    for (let at = 0; at < 600; at += 1) feed.take('stock')
    expect(topicsOf(feed.since(place))).toEqual(['all'])
    expect(topicsOf(feed.since('another-3'))).toEqual(['all'])
    expect(topicsOf(feed.since('nonsense'))).toEqual(['all'])
    expect(feed.since(feed.place)).toEqual([])
    expect(feed.since(null)).toEqual([])
  })

  it('calls who hears, in order, until they stop, and takes no nonsense', () => {
    const feed = new LiveFeed('one')
    const heard: string[] = []
    const stop = feed.hear(({ topic, of }) => heard.push(`${topic} ${of}`))
    for (const said of ['job a', 'nonsense', '', 'due']) feed.take(said)
    stop()
    feed.take('stock')
    expect(heard).toEqual(['job a', 'due null'])
  })
})
