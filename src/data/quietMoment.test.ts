import { expect, it } from 'vitest'
import { QuietMoment } from './quietMoment'

it('comes when nobody has written since the last look, or after the longest wait', () => {
  const moment = new QuietMoment(100)
  expect(moment.isNow('a', 0)).toBe(false)
  expect(moment.isNow('b', 40)).toBe(false)
  expect(moment.isNow('b', 50)).toBe(true)
  // The next day.
  expect(moment.isNow('c', 1000)).toBe(false)
  expect(moment.isNow('d', 1050)).toBe(false)
  expect(moment.isNow('e', 1100)).toBe(true)
  expect(moment.isNow('f', 1150)).toBe(false)
})
