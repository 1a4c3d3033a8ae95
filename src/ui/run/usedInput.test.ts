import { expect, it } from 'vitest'
import { usedInput } from './usedInput'

it('only what differs from the plan is told', () => {
  expect(
    usedInput({
      a: { millilitres: '', isEmptied: false },
      b: { millilitres: ' 12,5 ', isEmptied: false },
      c: { millilitres: '', isEmptied: true },
    }),
  ).toEqual([
    { productId: 'b', concentrateMillilitres: 12.5 },
    { productId: 'c', isEmptied: true },
  ])
})

it('what is no number is told as none, so that it is refused by name', () => {
  expect(usedInput({ a: { millilitres: 'half', isEmptied: false } })[0]?.concentrateMillilitres).toBeNaN()
})
