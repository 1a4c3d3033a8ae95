import { describe, expect, it } from 'vitest'
import { familyIds } from '@/core/chemistry/families'
import { starterCabinet } from '@/core/chemistry/starterCabinet'
import { productFile, productOf } from '@/contracts/cabinet'
import { parse } from '@/contracts/problems'
import { idOfName, inputOf, valuesOf, valuesOfFamily } from './productValues'

describe('the product form', () => {
  it.each(familyIds.map((id) => [id] as const))(
    'a new %s needs no more than a name and a price',
    (family) => {
      const read = parse(
        productFile,
        inputOf({ ...valuesOfFamily(family), name: 'Mine', packPrice: '12,90' }, 'EUR'),
      )
      if (!read.ok) throw new Error(JSON.stringify(read.problems))
      expect(read.value).toMatchObject({ id: 'mine', packPriceMinor: 1290 })
    },
  )

  it('what is stored comes back from the form unchanged', () => {
    for (const product of starterCabinet) {
      const read = parse(productFile, inputOf(valuesOf(product, 'EUR'), 'EUR'))
      if (!read.ok) throw new Error(JSON.stringify(read.problems))
      const again = productOf(read.value)
      expect(again.strength.from).toBeCloseTo(product.strength.from, 3)
      expect(again.strength.to).toBeCloseTo(product.strength.to, 3)
      expect({ ...again, strength: product.strength }).toEqual(product)
    }
  })

  it('text where a number belongs is refused at its field, not turned into something', () => {
    const read = parse(
      productFile,
      inputOf({ ...valuesOfFamily('degreaser'), name: 'A', packPrice: 'ten' }, 'EUR'),
    )
    expect(!read.ok && read.problems.map(({ path }) => path)).toEqual(['packPriceMinor'])
  })

  it.each([
    ['Grindle Cut', 'grindle-cut'],
    ['  Éclat  №5 ', 'eclat-no5'],
    ['گاری', 'گاری'],
    ['🛞', ''],
  ])('the id of %s', (name, id) => expect(idOfName(name)).toBe(id))
})
