import { describe, expect, it } from 'vitest'
import { isRunningOut, stockShare } from './stockLeft'

const left = (stockMillilitres: number) => ({ stockMillilitres, packMillilitres: 1000 })

describe('what is left of a pack', () => {
  it.each([
    [0, 0, true],
    [249, 0.249, true],
    [250, 0.25, false],
    [1000, 1, false],
    [4000, 1, false],
  ])('%d ml of a litre: share %d, worth ordering %s', (stock, share, isLow) => {
    expect(stockShare(left(stock))).toBe(share)
    expect(isRunningOut(left(stock), {})).toBe(isLow)
  })

  it('goes by what the shop has set', () => {
    expect(isRunningOut(left(400), { reorderShare: 0.5 })).toBe(true)
    expect(isRunningOut(left(0), { reorderShare: 0 })).toBe(false)
  })
})
