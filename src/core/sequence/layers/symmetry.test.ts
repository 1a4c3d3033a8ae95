import { describe, expect, it } from 'vitest'
import { prepare } from '@/core/sequence/problem/prepared'
import { kindsOfPlaces, symmetriesOf } from './symmetry'
import { smallProblem } from '@/core/sequence/problem/testProblem'

describe('places that are alike', () => {
  it('can all be renamed where the walks are the same', () => {
    expect(symmetriesOf(prepare(smallProblem({}, 3)))).toHaveLength(5)
    expect(new Set(kindsOfPlaces(prepare(smallProblem({}, 3)))).size).toBe(1)
  })

  it('keep their names where the walks differ', () => {
    const walkSeconds = [
      [0, 6, 9],
      [6, 0, 7],
      [9, 7, 0],
    ]
    expect(symmetriesOf(prepare(smallProblem({ walkSeconds }, 3)))).toEqual([])
  })

  it('keep their names where the work differs', () => {
    const { operations, ...rest } = smallProblem({}, 2)
    const slower = operations.map((one) => (one.id === 1 ? { ...one, durationSeconds: 61 } : one))
    const prepared = prepare({ ...rest, operations: slower })
    expect(symmetriesOf(prepared)).toEqual([])
    expect(new Set(kindsOfPlaces(prepared)).size).toBe(2)
  })

  it('keep their names once something is done at one of them', () => {
    const prepared = prepare(smallProblem({ done: new Map([[0, 0]]) }, 2))
    expect(symmetriesOf(prepared)).toEqual([])
    expect(kindsOfPlaces(prepared)[0]).toBe('own 0')
  })

  it('keep their names where somebody stands at one', () => {
    const peopleAtStart = [{ availableAtSeconds: 0, place: 1, tool: null }]
    expect(symmetriesOf(prepare(smallProblem({ peopleAtStart }, 2)))).toEqual([])
  })

  it('keep their names where work at one waits for the other', () => {
    const { lags, ...rest } = smallProblem({}, 2)
    const tied = [...lags, { from: 3, to: 4, minSeconds: 0, maxSeconds: null, why: 'order' }]
    expect(symmetriesOf(prepare({ ...rest, lags: tied }))).toEqual([])
  })
})
