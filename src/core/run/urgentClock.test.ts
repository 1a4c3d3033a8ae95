import { describe, expect, it } from 'vitest'
import type { Step } from '@/core/plan/plan'
import type { DwellClock } from './dwellClock'
import { dwellLeftSeconds, filmToWet, isMoreSerious, urgentClock } from './urgentClock'

const start = Date.UTC(2026, 4, 1, 8)
const now = start + 100_000
const clock = (changes: Partial<DwellClock> = {}): DwellClock => ({
  corner: 'frontLeft',
  stageId: 'iron',
  productName: 'Iron remover',
  startedAt: new Date(start),
  minSeconds: 120,
  maxSeconds: 400,
  limit: 'contact',
  wettedBy: 'frontLeft.iron.spray',
  wettedAt: new Date(start),
  wetSeconds: null,
  ...changes,
})
const step = (changes: Partial<Step>): Step =>
  ({
    act: 'agitate',
    corner: 'frontLeft',
    stageId: 'iron',
    stopsDwellOf: null,
    wetLimitSeconds: 110,
    ...changes,
  }) as Step

describe('the clock shown for a wheel', () => {
  it('is the one that ends first, by label or by film', () => {
    const label = clock({ stageId: 'tyre', maxSeconds: 200 })
    const film = clock({ wetSeconds: 150 })
    expect(urgentClock([label, film], 'frontLeft', now)).toBe(film)
    expect(urgentClock([label, { ...film, wetSeconds: null }], 'frontLeft', now)).toBe(label)
    expect(urgentClock([label], 'rearLeft', now)).toBeNull()
  })
})

describe('waiting for the dwell', () => {
  it('is asked of the brush and the rinse, and not of fresh product or a mist', () => {
    expect(dwellLeftSeconds([clock()], step({}), now)).toBe(20)
    expect(dwellLeftSeconds([clock()], step({ act: 'rinse' }), now)).toBe(20)
    expect(dwellLeftSeconds([clock()], step({ act: 'spray' }), now)).toBeNull()
    expect(dwellLeftSeconds([clock()], step({ act: 'reMist' }), now)).toBeNull()
  })

  it('is over with the dwell, and asked of that chemical at that wheel alone', () => {
    expect(dwellLeftSeconds([clock({ minSeconds: 100 })], step({}), now)).toBeNull()
    expect(dwellLeftSeconds([clock()], step({ corner: 'rearLeft' }), now)).toBeNull()
    expect(dwellLeftSeconds([clock()], step({ stageId: 'wash' }), now)).toBeNull()
  })
})

describe('a film to be wetted out of turn', () => {
  const thin = clock({ wetSeconds: 110 })
  // The dwell is over: the brush may begin.
  const rested = { ...thin, minSeconds: 60 }
  const rinse = step({ act: 'rinse', wetLimitSeconds: null, stopsDwellOf: 'iron' })
  it('is none while it is wet, or does not dry', () => {
    expect(filmToWet([clock(), clock({ wetSeconds: 300 })], [step({ corner: 'rearLeft' })], now)).toBeNull()
  })

  it('is none where the step in hand wets or rinses it', () => {
    expect(filmToWet([rested], [step({})], now)).toBeNull()
    expect(filmToWet([rested], [rinse], now)).toBeNull()
  })

  it('is asked for while the hands are elsewhere, and while they wait', () => {
    expect(filmToWet([thin], [step({ corner: 'rearLeft' })], now)).toBe(thin)
    expect(filmToWet([thin], [step({})], now)).toBe(thin)
  })

  it('is none where the other person has it in hand', () => {
    expect(filmToWet([rested], [step({ corner: 'rearLeft' }), step({})], now)).toBeNull()
  })

  it('is the one nearest its end', () => {
    const thinner = clock({ corner: 'rearRight', wetSeconds: 95 })
    expect(filmToWet([thin, thinner], [step({ corner: 'rearLeft' })], now)).toBe(thinner)
  })
})

it('a signal is given for the worse, not for the better', () => {
  expect(isMoreSerious('keepWet', 'ready')).toBe(true)
  expect(isMoreSerious('ready', 'keepWet')).toBe(false)
  expect(isMoreSerious('dry', 'dry')).toBe(false)
})
