import { describe, expect, it } from 'vitest'
import { fourCorners, testJob } from '@/core/job/testJob'
import { planInOrder } from '@/core/order/orderPlan'
import type { PlanSequence } from '@/core/plan/plan'
import { planPasses } from './planPasses'
import type { PlanPass } from './planPass'
import { whoWorks } from './whoWorks'

const pass = (corners: PlanPass['corners'], moves: readonly (readonly string[])[]): PlanPass => ({
  id: 'wash',
  kind: 'wash',
  title: 'Wash',
  corners,
  stageIds: [],
  moves: moves.map((stepIds) => ({ act: 'spray', words: '', corners, stepIds, tools: [], cautions: [] })),
  secondsAtWheel: 0,
  parts: 1,
  because: null,
})
const order = (people: Readonly<Record<string, number>>): Pick<PlanSequence, 'entries'> => ({
  entries: Object.entries(people).map(([stepId, person]) => ({
    stepId,
    person,
    startSeconds: 0,
    endSeconds: 1,
  })),
})

describe('who works a pass', () => {
  it('where each has wheels of their own: at the wheels, and no move is told apart', () => {
    const { atWheel, ofMove } = whoWorks(
      pass(['frontLeft', 'frontRight'], [['frontLeft.a', 'frontRight.a']]),
      order({ 'frontLeft.a': 0, 'frontRight.a': 1 }),
    )
    expect([...atWheel]).toEqual([
      ['frontLeft', [1]],
      ['frontRight', [2]],
    ])
    expect(ofMove.size).toBe(0)
  })

  it('where two share a wheel: who does which move', () => {
    const { atWheel, ofMove } = whoWorks(
      pass(['frontLeft'], [['frontLeft.spray'], ['frontLeft.brush'], ['frontLeft.rinse']]),
      order({ 'frontLeft.spray': 0, 'frontLeft.brush': 1, 'frontLeft.rinse': 0 }),
    )
    expect(atWheel.get('frontLeft')).toEqual([1, 2])
    expect([...ofMove]).toEqual([
      [0, 1],
      [1, 2],
      [2, 1],
    ])
  })

  it('names somebody at every wheel of every pass of a plan for two', () => {
    const plan = planInOrder(testJob(fourCorners({ loads: { face: { film: 2 } } }), { crew: { people: 2 } }))
    if (!plan.sequence) throw new Error('no order')
    for (const one of planPasses(plan).passes)
      for (const people of whoWorks(one, plan.sequence).atWheel.values())
        expect(people.length).toBeGreaterThanOrEqual(1)
  })
})
