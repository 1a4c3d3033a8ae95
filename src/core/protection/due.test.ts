import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { layerDue } from './due'
import { protectionFacts, protectionKinds } from './kinds'

const applied = new Date('2026-03-01T12:00:00Z')
const after = (days: number) => new Date(applied.getTime() + days * 86_400_000)

describe('when protection is due', () => {
  it('is the geometric middle of its life on a rear wheel', () => {
    const due = layerDue({ position: 'rearLeft', kind: 'sprayWax', appliedAt: applied }, after(0))
    expect(due.lifeDays).toBeCloseTo(Math.sqrt(30 * 90), 6)
    expect(due.renewAt.getTime()).toBeCloseTo(after(due.lifeDays).getTime(), -3)
  })

  it('comes sooner in front than behind', () => {
    for (const kind of protectionKinds) {
      const front = layerDue({ position: 'frontLeft', kind, appliedAt: applied }, after(1))
      const rear = layerDue({ position: 'rearLeft', kind, appliedAt: applied }, after(1))
      expect(front.topUpAt.getTime()).toBeLessThan(rear.topUpAt.getTime())
    }
  })

  it.each([
    [0, 'curing'],
    [0.9, 'curing'],
    [2, 'good'],
    [480, 'topUp'],
    [640, 'renew'],
  ] as const)('a coating is after %d days %s', (days, state) => {
    const layer = { position: 'rearLeft', kind: 'ceramicCoating', appliedAt: applied } as const
    expect(layerDue(layer, after(days)).state).toBe(state)
  })

  it('never gets better with time', () => {
    fc.assert(
      fc.property(fc.constantFrom(...protectionKinds), fc.nat(2000), fc.nat(2000), (kind, earlier, more) => {
        const layer = { position: 'front', kind, appliedAt: applied } as const
        expect(layerDue(layer, after(earlier + more)).usedShare).toBeGreaterThanOrEqual(
          layerDue(layer, after(earlier)).usedShare,
        )
      }),
    )
  })

  it('every kind has a range of life and a reason', () => {
    for (const { lifeDays, reason } of Object.values(protectionFacts)) {
      expect(lifeDays.from).toBeGreaterThan(0)
      expect(lifeDays.to).toBeGreaterThan(lifeDays.from)
      expect(reason).not.toBe('')
    }
  })
})
