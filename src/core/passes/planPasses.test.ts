import { inEnglish } from '@/i18n/testEnglish'
import { beforeAll, describe, expect, it } from 'vitest'
import { planInOrder } from '@/core/order/orderPlan'
import { takesOff, type Plan } from '@/core/plan/plan'
import { ordinaryJob } from '../../../bench/procedureJobs'
import { merged } from './merged'
import { planPasses } from './planPasses'
import type { PassKind } from './planPass'

/** Passes that leave nothing to rinse. */
const withoutRinse: readonly PassKind[] = ['check', 'waterless', 'polish', 'end']

describe('a plan as passes', () => {
  let plans: readonly (readonly [string, Plan])[] = []
  beforeAll(() => {
    plans = [1, 2, 6, 22, 31, 40, 47, 58].map((seed) => [`job ${seed}`, planInOrder(ordinaryJob(seed).job)])
  })

  it('has every step once, in its pass or around them', () => {
    for (const [name, plan] of plans) {
      const { before, passes, after } = planPasses(plan)
      const found = [
        ...[...before, ...after].map(({ id }) => id),
        ...passes.flatMap(({ moves }) => moves.flatMap(({ stepIds }) => stepIds)),
      ]
      expect(found.sort(), name).toEqual(plan.steps.map(({ id }) => id).sort())
    }
  })

  it('ends every pass at every wheel with the rinse that takes its products off', () => {
    for (const [name, plan] of plans) {
      const steps = new Map(plan.steps.map((step) => [step.id, step]))
      for (const pass of planPasses(plan).passes.filter(({ kind }) => !withoutRinse.includes(kind)))
        for (const corner of pass.corners) {
          const here = pass.moves.flatMap(({ stepIds }) =>
            stepIds.flatMap((id) => steps.get(id) ?? []).filter((step) => step.corner === corner),
          )
          const last = here.at(-1)
          expect(last?.act, `${name} ${pass.id} ${corner}`).toMatch(/rinse|preRinse/)
          for (const step of here.filter(({ startsDwell }) => startsDwell !== null))
            expect(
              here.some((later) => takesOff(later, step.stageId)),
              `${name} ${step.id}`,
            ).toBe(true)
        }
    }
  })

  it('is worked in its order at every wheel', () => {
    for (const [name, plan] of plans) {
      const start = new Map(plan.sequence?.entries.map(({ stepId, startSeconds }) => [stepId, startSeconds]))
      const steps = new Map(plan.steps.map((step) => [step.id, step]))
      const { passes } = planPasses(plan)
      for (const corner of new Set(passes.flatMap(({ corners }) => corners))) {
        const times = passes.flatMap(({ moves }) =>
          moves.flatMap(({ stepIds }) =>
            stepIds.filter((id) => steps.get(id)?.corner === corner).map((id) => start.get(id) ?? 0),
          ),
        )
        expect(times, `${name} ${corner}`).toEqual([...times].sort((a, b) => a - b))
      }
    }
  })

  it('names passes and says why one stands alone', () => {
    for (const [name, plan] of plans)
      for (const { title, moves } of inEnglish(planPasses(plan)).passes) {
        expect(title, name).toMatch(/^[A-Z]/)
        for (const { words } of moves) expect(words.length, `${name} ${words}`).toBeLessThanOrEqual(40)
      }
    const apart = plans.flatMap(([, plan]) => planPasses(plan).passes.map(({ because }) => because))
    expect(apart.filter((because) => because !== null).length).toBeGreaterThan(0)
  })
})

describe('lists merged', () => {
  it.each([
    [
      [
        ['a', 'b'],
        ['a', 'b'],
      ],
      ['a', 'b'],
    ],
    [
      [
        ['a', 'c'],
        ['a', 'b', 'c'],
      ],
      ['a', 'b', 'c'],
    ],
    [
      [
        ['a', 'x', 'c'],
        ['a', 'b', 'c'],
      ],
      ['a', 'b', 'x', 'c'],
    ],
    [[[], ['a']], ['a']],
  ])('%j', (lists, all) => expect([...merged(lists)].sort()).toEqual([...all].sort()))

  it('keeps the order of each list', () => {
    const lists = [
      ['a', 'c', 'd'],
      ['a', 'b', 'd'],
      ['a', 'b', 'c', 'd'],
    ]
    const all = merged(lists)
    for (const list of lists)
      expect(
        all.filter((name) => list.includes(name)),
        list.join(''),
      ).toEqual(list)
  })
})
