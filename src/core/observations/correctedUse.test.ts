import { expect, it } from 'vitest'
import { correctedUse } from './correctedUse'

const used = [
  { id: 'soap', name: 'Soap', concentrateMillilitres: 40, costMinor: 120 },
  { id: 'wax', name: 'Wax', concentrateMillilitres: 0, costMinor: 0 },
]

it('takes what the person says of a product, with its money, and leaves the others', () => {
  const told = [
    { productId: 'soap', concentrateMillilitres: 60 },
    { productId: 'unknown', concentrateMillilitres: 5 },
  ]
  expect(correctedUse(used, told)).toEqual([
    { ...used[0], concentrateMillilitres: 60, costMinor: 180 },
    used[1],
  ])
  expect(correctedUse(used, [{ productId: 'soap', concentrateMillilitres: 0 }])[0]).toMatchObject({
    costMinor: 0,
  })
  expect(correctedUse(used, [{ productId: 'soap' }])).toEqual(used)
  // Of nothing no price is known.
  expect(correctedUse(used, [{ productId: 'wax', concentrateMillilitres: 9 }])).toEqual(used)
})
