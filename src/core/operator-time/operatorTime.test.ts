import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { testCorner, testWheel } from '@/core/job/testJob'
import { acts } from '@/core/plan/plan'
import { contactOf, knockDownSeconds, secondsOfAct, secondsOfJobAct } from './operatorTime'

const house = { estimates: {}, pace: {} }
type Grades = NonNullable<Parameters<typeof testCorner>[1]>['loads']
const clear: Grades = { face: { freshDust: 2 } }
const at = (wheel = testWheel(), loads: Grades = clear) => ({ ...testCorner('frontLeft', { loads }), wheel })
const brushed = (wheel = testWheel(), loads: Grades = clear) =>
  secondsOfAct('agitate', 'wash', at(wheel, loads), house)

describe('hand time', () => {
  it('is the house value for an open ten-spoke wheel with five lugs and clear dirt', () => {
    expect(contactOf(testWheel(), {})).toEqual({ factor: 1, hardwareSeconds: 0 })
    expect(brushed()).toBe(170)
  })

  it.each([
    ['more spokes', { spokeCount: 16 }],
    ['wider spokes, so tighter gaps', { spokeWidthMillimetres: 70 }],
    ['a closed face', { openness: 0.15 }],
    ['rivets round the lip', { hardwarePieces: 35 }],
  ])('grows with %s', (_, changes) => {
    expect(brushed(testWheel(changes))).toBeGreaterThan(170)
  })

  it('grows with the grade of the dirt that is brushed, and not with other dirt', () => {
    const byGrade = ([0, 1, 2, 3, 4] as const).map((grade) =>
      brushed(testWheel(), { face: { freshDust: grade } }),
    )
    expect(byGrade).toEqual([114, 114, 170, 213, 255])
    expect(brushed(testWheel(), { face: { tar: 4 } })).toBe(114)
    expect(secondsOfAct('agitate', 'iron', at(testWheel(), { face: { bondedDust: 4 } }), house)).toBe(255)
  })

  it('is shorter for a closed disc: there is nothing to reach through', () => {
    expect(brushed(testWheel({ spokeCount: 0 }))).toBeLessThan(170)
  })

  it('leaves what no wheel slows down alone', () => {
    const busy = at(testWheel({ spokeCount: 20, hardwarePieces: 40 }))
    for (const act of ['spray', 'rinse', 'scrub'] as const)
      expect(secondsOfAct(act, 'tyre', busy, house)).toBe(secondsOfAct(act, 'tyre', at(), house))
  })

  it('tells spraying, wiping and coating apart', () => {
    const protect = (family: 'sprayRinseSilica' | 'wheelWax' | 'ceramicCoating') =>
      secondsOfAct('protect', 'protect', at(), house, family)
    expect([protect('sprayRinseSilica'), protect('wheelWax'), protect('ceramicCoating')]).toEqual([
      12, 75, 720,
    ])
  })

  it('of the knock-down rinse follows the grit, and a carpet in the arch', () => {
    const rinse = (grade: 0 | 1 | 2 | 3 | 4, liner: 'plastic' | 'fabric') =>
      knockDownSeconds(at(testWheel(), { arch: { grit: grade } }), liner, house)
    expect(([0, 1, 2, 3, 4] as const).map((grade) => rinse(grade, 'plastic'))).toEqual([25, 25, 60, 90, 120])
    expect([rinse(0, 'fabric'), rinse(4, 'fabric')]).toEqual([25, 300])
  })

  it('follows the pace that was logged for the act, and for no other', () => {
    const pace = { agitate: { factor: 1.5, times: 8 }, lookRound: { factor: 0.5, times: 8 } }
    expect(secondsOfAct('agitate', 'wash', at(), { estimates: {}, pace })).toBe(255)
    expect(secondsOfAct('rinse', 'wash', at(), { estimates: {}, pace })).toBe(25)
    expect(secondsOfJobAct('lookRound', { estimates: {}, pace })).toBe(45)
    expect(secondsOfJobAct('lookRound', house, 1)).toBe(43)
  })

  it('is whole and positive, whatever the wheel', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...acts),
        fc.integer({ min: 0, max: 120 }),
        fc.double({ min: 1, max: 300, noNaN: true }),
        fc.integer({ min: 0, max: 80 }),
        (act, spokeCount, spokeWidthMillimetres, hardwarePieces) => {
          const wheel = testWheel({ spokeCount, spokeWidthMillimetres, hardwarePieces })
          const seconds = secondsOfAct(act, 'wash', at(wheel), house)
          expect(Number.isInteger(seconds)).toBe(true)
          expect(seconds).toBeGreaterThan(0)
        },
      ),
    )
  })
})
