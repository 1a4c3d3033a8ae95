import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { noWishes, type Wishes } from './job'
import { isSameWishes, mergedWishes } from './mergedWishes'

const ids = fc.uniqueArray(fc.constantFrom('a', 'b', 'c', 'd'))
const wishes: fc.Arbitrary<Wishes> = fc
  .record({
    prefer: fc.constantFrom('gentlest', 'fastest', 'balanced'),
    pinned: ids,
    forbidden: ids,
    minutesAllowed: fc.option(fc.integer({ min: 1, max: 3 }), { nil: undefined }),
  })
  .map((of) => ({ ...of, pinned: of.pinned.filter((id) => !of.forbidden.includes(id)) }) as Wishes)

describe('wishes of two windows', () => {
  it('are as wished where the other changed nothing, and as stored where this one changed nothing', () => {
    fc.assert(
      fc.property(wishes, wishes, (known, other) => {
        expect(isSameWishes(mergedWishes(known, other, known), other)).toBe(true)
        expect(isSameWishes(mergedWishes(known, known, other), other)).toBe(true)
      }),
    )
  })

  it('never pin and rule out one product', () => {
    fc.assert(
      fc.property(wishes, wishes, wishes, (known, wished, stored) => {
        const { pinned, forbidden } = mergedWishes(known, wished, stored)
        expect(pinned.filter((id) => forbidden.includes(id))).toEqual([])
        expect(new Set(pinned).size).toBe(pinned.length)
      }),
    )
  })

  it('hold what either added and took away', () => {
    const known: Wishes = { ...noWishes, pinned: ['a', 'b'] }
    const merged = mergedWishes(
      known,
      { ...known, pinned: ['b', 'c'] },
      { ...known, pinned: ['a'], forbidden: ['d'] },
    )
    expect(merged).toMatchObject({ pinned: ['c'], forbidden: ['d'] })
  })

  it('lose what was put to a time by hand where the other chose other products', () => {
    const known: Wishes = { ...noWishes, placed: [] }
    const mine = { ...known, placed: [{ stepId: 'rinse', startSeconds: 60 }] }
    expect(mergedWishes(known, mine, { ...known, prefer: 'fastest' }).placed).toEqual([])
    expect(mergedWishes(known, mine, known).placed).toEqual(mine.placed)
  })
})
