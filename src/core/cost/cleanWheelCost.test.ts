import { describe, expect, it } from 'vitest'
import { productFromFamily, starterCabinet } from '@/core/chemistry/starterCabinet'
import { cleanWheelCosts } from './cleanWheelCost'

describe('cost per clean wheel', () => {
  it('compares every package, cheapest first', () => {
    const remover = productFromFamily('ironRemover', {
      packMillilitres: 1000,
      packPriceMinor: 2000,
      otherPacks: [{ millilitres: 5000, priceMinor: 5000 }],
    })
    const costs = cleanWheelCosts([remover], 'bondedDust', 2, 10, {})
    expect(costs.map(({ packMillilitres }) => packMillilitres)).toEqual([5000, 1000])
    expect(costs[1]!.costMinor / costs[0]!.costMinor).toBeCloseTo(2, 9)
  })

  it('takes each product at its own best dilution', () => {
    const [cost] = cleanWheelCosts([productFromFamily('degreaser')], 'film', 2, 10, {})
    // One round at the weak end does it; the strong end would cost more.
    expect(cost?.fraction).toBeCloseTo(1 / 11, 9)
    expect(cost?.rounds).toBe(1)
  })

  it('leaves out what does not get there, whatever it costs', () => {
    const weak = productFromFamily('carShampoo', { packPriceMinor: 1, ratings: { film: 1 } })
    expect(cleanWheelCosts([weak], 'film', 4, 10, {})).toEqual([])
    expect(cleanWheelCosts([productFromFamily('tarRemover')], 'film', 1, 10, {})).toEqual([])
  })

  it('a concentrate in bulk costs a small part of a ready-to-use bottle', () => {
    const costs = cleanWheelCosts(starterCabinet, 'freshDust', 2, 10, {})
    const of = (id: string) => costs.find(({ productId }) => productId === id)?.costMinor ?? NaN
    expect(of('allPurpose')).toBeLessThan(of('wheelAndTyre') / 2)
  })

  it('leaves archived products out', () => {
    expect(cleanWheelCosts([productFromFamily('degreaser', { archived: true })], 'film', 2, 10, {})).toEqual(
      [],
    )
  })
})
