import { describe, expect, it } from 'vitest'
import fc from 'fast-check'
import { mergeChanges } from './mergeChanges'

const base = {
  name: 'Shop',
  equipment: { bar: 100, lance: { draw: 1 } },
  estimates: { q10: 2 },
  months: [1, 2],
}

describe('what two people changed', () => {
  it('comes together where they changed different things, at any depth', () => {
    const mine = { ...base, equipment: { bar: 120, lance: { draw: 1 } }, estimates: { q10: 2, mist: 9 } }
    const theirs = {
      ...base,
      name: 'Bay',
      equipment: { bar: 100, lance: { draw: 3 } },
      estimates: {},
      months: [12],
    }
    expect(mergeChanges(base, mine, theirs)).toEqual({
      value: {
        name: 'Bay',
        equipment: { bar: 120, lance: { draw: 3 } },
        estimates: { mist: 9 },
        months: [12],
      },
      clashes: [],
    })
  })

  it('is said where they changed the same to different things; mine stands', () => {
    const merged = mergeChanges(
      base,
      { ...base, name: 'Mine', months: [3] },
      { ...base, name: 'Theirs', months: [4] },
    )
    expect(merged.value).toMatchObject({ name: 'Mine', months: [3] })
    expect(merged.clashes).toEqual([
      { path: 'name', theirs: 'Theirs' },
      { path: 'months', theirs: [4] },
    ])
    expect(mergeChanges(base, { ...base, name: 'Same' }, { ...base, name: 'Same' }).clashes).toEqual([])
  })

  it('is what one has where the other changed nothing, whatever it is', () => {
    const values = fc.dictionary(
      fc.constantFrom('a', 'b', 'c'),
      fc.oneof(
        fc.integer(),
        fc.constant(null),
        fc.array(fc.boolean()),
        fc.dictionary(fc.constantFrom('d', 'e'), fc.string()),
      ),
    )
    fc.assert(
      fc.property(values, values, (from, changed) => {
        expect(mergeChanges(from, changed, from)).toEqual({ value: changed, clashes: [] })
        expect(mergeChanges(from, from, changed)).toEqual({ value: changed, clashes: [] })
      }),
    )
  })
})
