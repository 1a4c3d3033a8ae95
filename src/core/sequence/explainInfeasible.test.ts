import { inEnglish } from '@/i18n/testEnglish'
import { describe, expect, it } from 'vitest'
import { brokenLagOf, helpFor } from './explainInfeasible'
import { smallProblem } from '@/core/sequence/problem/testProblem'

/** Spray to rinse: 60 s of dwell, 60 s of brush, two changes of tool. */
const least = 60 + 60 + 4

const tight = (maxSeconds: number) => {
  const problem = smallProblem({}, 1)
  return {
    ...problem,
    lags: problem.lags.map((lag) => (lag.why === 'wet' ? { ...lag, maxSeconds } : lag)),
  }
}

describe('why something cannot be kept', () => {
  it('is named with the place, both ends, and what it would take', () => {
    expect(brokenLagOf(tight(100), 0)).toMatchObject({
      place: 'wheel 1',
      from: 'spray',
      to: 'rinse',
      why: 'wet',
      maxSeconds: 100,
      neededSeconds: least,
    })
  })

  it('says the fewest parts that can be worked', () => {
    expect(brokenLagOf(tight(100), 0)?.sections).toBe(2)
    expect(brokenLagOf(tight(80), 0)?.sections).toBe(4)
    expect(brokenLagOf(tight(65), 0)?.sections).toBeNull()
  })

  it('says when a second pair of hands is enough: no tool has to be put down', () => {
    expect(brokenLagOf(tight(least - 2), 0)?.secondPersonHelps).toBe(true)
    expect(brokenLagOf(tight(100), 0)?.secondPersonHelps).toBe(false)
  })

  it('puts the ways into one sentence, and is silent where nothing helps', () => {
    const broken = brokenLagOf(tight(least - 2), 0)
    if (!broken) throw new Error('nothing broken')
    expect(inEnglish(helpFor(broken))).toBe(
      `It can be kept if you work the wheel in 2 parts, keep it wet 2 s longer (${least} s), with foam or in the shade, or add a second person.`,
    )
    expect(helpFor({ ...broken, sections: null, neededSeconds: null, secondPersonHelps: false })).toBe('')
  })
})
