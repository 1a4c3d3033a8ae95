import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { testWheel } from '@/core/job/testJob'
import { acts } from './plan'
import { contactOf, secondsOfAct, secondsOfJobAct } from './operatorTime'

const house = { estimates: {}, pace: {} }

describe('hand time', () => {
  it('is the house value for an open ten-spoke wheel with five lugs', () => {
    expect(contactOf(testWheel(), {})).toEqual({ factor: 1, hardwareSeconds: 0 })
    expect(secondsOfAct('agitate', testWheel(), house)).toBe(190)
  })

  it.each([
    ['more spokes', { spokeCount: 16 }],
    ['wider spokes, so tighter gaps', { spokeWidthMillimetres: 70 }],
    ['a closed face', { openness: 0.15 }],
    ['rivets round the lip', { hardwarePieces: 35 }],
  ])('grows with %s', (_, changes) => {
    expect(secondsOfAct('agitate', testWheel(changes), house)).toBeGreaterThan(190)
  })

  it('is shorter for a closed disc: there is nothing to reach through', () => {
    expect(secondsOfAct('agitate', testWheel({ spokeCount: 0 }), house)).toBeLessThan(190)
  })

  it('leaves what no wheel slows down alone', () => {
    const busy = testWheel({ spokeCount: 20, hardwarePieces: 40 })
    for (const act of ['spray', 'rinse', 'scrub'] as const)
      expect(secondsOfAct(act, busy, house)).toBe(secondsOfAct(act, testWheel(), house))
  })

  it('follows the pace that was logged for the act, and for no other', () => {
    const pace = { agitate: { factor: 1.5, times: 8 }, lookRound: { factor: 0.5, times: 8 } }
    expect(secondsOfAct('agitate', testWheel(), { estimates: {}, pace })).toBe(285)
    expect(secondsOfAct('rinse', testWheel(), { estimates: {}, pace })).toBe(45)
    expect(secondsOfJobAct('lookRound', { estimates: {}, pace })).toBe(75)
  })

  it('is whole and never negative, whatever the wheel', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...acts),
        fc.integer({ min: 0, max: 120 }),
        fc.double({ min: 1, max: 300, noNaN: true }),
        fc.integer({ min: 0, max: 80 }),
        (act, spokeCount, spokeWidthMillimetres, hardwarePieces) => {
          const wheel = testWheel({ spokeCount, spokeWidthMillimetres, hardwarePieces })
          const seconds = secondsOfAct(act, wheel, house)
          expect(Number.isInteger(seconds)).toBe(true)
          expect(seconds).toBeGreaterThanOrEqual(0)
        },
      ),
    )
  })
})
