import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { leftSeconds, readClock, type DwellClock } from './dwellClock'

const start = Date.UTC(2026, 4, 1, 8)
const at = (seconds: number) => new Date(start + seconds * 1000)
const clock: DwellClock = {
  corner: 'front',
  stageId: 'iron',
  productName: 'Iron remover',
  startedAt: at(0),
  minSeconds: 60,
  maxSeconds: 300,
  limit: 'contact',
  wettedBy: 'front.iron.spray',
  wettedAt: at(0),
  wetSeconds: null,
}
const readAt = (seconds: number, changes: Partial<DwellClock> = {}) =>
  readClock({ ...clock, ...changes }, start + seconds * 1000)

describe('the clock of a label', () => {
  it.each([
    [0, 'dwelling', 60],
    [59, 'dwelling', 1],
    [60, 'ready', 240],
    [227, 'ready', 73],
    [228, 'rinseNow', 72],
    [300, 'rinseNow', 0],
    [301, 'over', -1],
  ] as const)('after %i s says %s with %i s left', (seconds, phase, remainingSeconds) => {
    expect(readAt(seconds)).toMatchObject({
      elapsedSeconds: seconds,
      phase,
      remainingSeconds,
      filmShare: null,
    })
  })

  it('does not run backwards when a device is ahead', () => {
    expect(readAt(-5).elapsedSeconds).toBe(0)
    expect(leftSeconds({ ...clock, wetSeconds: 30 }, start - 5000)).toBe(30)
  })
})

describe('the clock of the film', () => {
  const film = { wetSeconds: 90 }
  it.each([
    [10, 'dwelling', 'dwell', 50],
    [60, 'keepWet', 'film', 30],
    [90, 'keepWet', 'film', 0],
    [91, 'dry', 'film', -1],
    [301, 'over', 'label', -1],
  ] as const)('after %i s without a wetting says %s', (seconds, phase, until, remainingSeconds) => {
    expect(readAt(seconds, film)).toMatchObject({ phase, until, remainingSeconds })
  })

  it('begins anew with a wetting while the label runs on', () => {
    expect(readAt(100, { ...film, wettedAt: at(95) })).toMatchObject({
      phase: 'ready',
      until: 'film',
      remainingSeconds: 85,
      elapsedSeconds: 100,
    })
    expect(readAt(250, { ...film, wettedAt: at(249) })).toMatchObject({ phase: 'rinseNow', until: 'label' })
  })

  it('does not warn for minutes where it stays wet long', () => {
    const long = { wetSeconds: 1200, minSeconds: 0, maxSeconds: 3600 }
    expect(readAt(1139, long).phase).toBe('ready')
    expect(readAt(1140, long).phase).toBe('keepWet')
  })

  it('runs out evenly', () => {
    expect(readAt(0, film).filmShare).toBe(1)
    expect(readAt(45, film).filmShare).toBeCloseTo(0.5)
    expect(readAt(200, film).filmShare).toBe(0)
  })
})

describe('any clock', () => {
  const anyClock = fc
    .record({
      minSeconds: fc.integer({ min: 0, max: 600 }),
      longer: fc.integer({ min: 0, max: 600 }),
      wetSeconds: fc.option(fc.integer({ min: 10, max: 1200 })),
      wettedAfter: fc.integer({ min: 0, max: 600 }),
    })
    .map(({ minSeconds, longer, wetSeconds, wettedAfter }) => ({
      ...clock,
      minSeconds,
      maxSeconds: minSeconds + longer,
      wetSeconds,
      wettedAt: at(wettedAfter),
    }))

  it('says that a limit is past exactly when one is', () => {
    fc.assert(
      fc.property(anyClock, fc.integer({ min: 0, max: 2000 }), (one, seconds) => {
        const { phase } = readClock(one, start + seconds * 1000)
        expect(phase === 'over' || phase === 'dry').toBe(leftSeconds(one, start + seconds * 1000) < 0)
      }),
    )
  })

  it('is never made worse by a wetting', () => {
    fc.assert(
      fc.property(anyClock, fc.integer({ min: 0, max: 2000 }), (one, seconds) => {
        const now = start + seconds * 1000
        expect(leftSeconds({ ...one, wettedAt: at(seconds) }, now)).toBeGreaterThanOrEqual(
          leftSeconds(one, now),
        )
      }),
    )
  })
})
