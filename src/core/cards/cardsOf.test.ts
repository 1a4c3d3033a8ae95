import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Step } from '@/core/plan/plan'
import { testStep } from '@/core/plan/testStep'
import type { Position } from '@/core/wheel/position'
import { cardsOf, tapCount } from './cardsOf'

const step = (id: string, corner: Position | null, changes: Partial<Step> = {}): Step =>
  testStep(id, { corner, operatorSeconds: 30, ...changes })
const spray = (id: string, stageId: string, minSeconds: number, corner: Position = 'frontLeft') =>
  step(id, corner, { act: 'spray', stageId, startsDwell: { minSeconds, maxSeconds: 300 } })
const rinse = (id: string, stageId: string, alsoStops: string[] = [], corner: Position = 'frontLeft') =>
  step(id, corner, { act: 'rinse', stageId, stopsDwellOf: stageId, alsoStops })
const alone = (...steps: Step[]) => cardsOf(steps.map((one) => ({ step: one, person: 0 })))
const tapsOf = (...steps: Step[]) =>
  alone(...steps).flatMap(({ taps }) => taps.map(({ ends, stepIds }) => `${ends}: ${stepIds.join(' ')}`))

describe('cards', () => {
  it('are comings to a wheel', () => {
    const cards = alone(
      step('a', null),
      step('b', 'frontLeft'),
      step('c', 'frontLeft'),
      step('d', 'rearLeft'),
    )
    expect(cards.map(({ corner, taps }) => [corner, tapCount([{ corner, person: 0, taps }])])).toEqual([
      [null, 1],
      ['frontLeft', 1],
      ['rearLeft', 1],
    ])
  })

  it('are told apart by who does them', () => {
    const given = [
      { step: step('a', 'frontLeft'), person: 0 },
      { step: step('b', 'frontRight'), person: 1 },
      { step: step('c', 'frontLeft'), person: 0 },
    ]
    expect(
      cardsOf(given).map(({ person, taps }) => [person, taps.flatMap(({ stepIds }) => stepIds)]),
    ).toEqual([
      [0, ['a', 'c']],
      [1, ['b']],
    ])
  })
})

describe('taps of a card', () => {
  it('tell when a clock begins and when it ends', () => {
    const [s, b, r] = [
      spray('s', 'iron', 120),
      step('b', 'frontLeft', { stageId: 'iron' }),
      rinse('r', 'iron'),
    ]
    expect(tapsOf(step('k', 'frontLeft'), s, b, r, step('dry', 'frontLeft'))).toEqual([
      'sprayed: k s',
      'rinsed: b r',
      'done: dry',
    ])
  })

  it('are one for what is sprayed in one go', () => {
    expect(
      tapsOf(spray('arch', 'arch', 45), spray('tyre', 'tyre', 45), rinse('r', 'arch', ['tyre'])),
    ).toEqual(['sprayed: arch tyre', 'rinsed: r'])
  })

  it('are none for a clock that the same hands stop before they leave', () => {
    expect(tapsOf(spray('silica', 'protect', 5), rinse('r', 'protect'), step('dry', 'frontLeft'))).toEqual([
      'done: silica r dry',
    ])
    // Who goes away meanwhile is asked when it began.
    expect(tapsOf(spray('silica', 'protect', 5), step('x', 'rearLeft'), rinse('r', 'protect'))).toEqual([
      'sprayed: silica',
      'done: x',
      'rinsed: r',
    ])
  })

  it('are one for every question', () => {
    const look = step('look', 'frontLeft', { act: 'lookAgain' })
    expect(tapsOf(step('a', 'frontLeft'), look, step('dry', 'frontLeft'))).toEqual([
      'looked: a look',
      'done: dry',
    ])
  })

  it('end every step once, in order', () => {
    const any = fc.array(
      fc.record({
        kind: fc.constantFrom('spray', 'rinse', 'scrub', 'lookAgain'),
        corner: fc.constantFrom<Position>('frontLeft', 'rearLeft'),
        stage: fc.constantFrom('one', 'two'),
        min: fc.constantFrom(0, 5, 60),
        person: fc.constantFrom(0, 1),
      }),
      { maxLength: 25 },
    )
    fc.assert(
      fc.property(any, (list) => {
        const given = list.map(({ kind, corner, stage, min, person }, at) => ({
          person,
          step:
            kind === 'spray'
              ? spray(`${at}`, stage, min, corner)
              : kind === 'rinse'
                ? rinse(`${at}`, stage, [], corner)
                : step(`${at}`, corner, { act: kind as 'scrub' | 'lookAgain' }),
        }))
        const cards = cardsOf(given)
        for (const person of [0, 1])
          expect(
            cards
              .filter((card) => card.person === person)
              .flatMap(({ taps }) => taps.flatMap(({ stepIds }) => stepIds)),
          ).toEqual(given.filter((one) => one.person === person).map(({ step: one }) => one.id))
        for (const { corner, taps } of cards) {
          expect(taps.length).toBeGreaterThan(0)
          for (const { stepIds } of taps)
            for (const id of stepIds) expect(given[Number(id)]?.step.corner).toBe(corner)
        }
      }),
    )
  })
})
