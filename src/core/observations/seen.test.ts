import { sayInEnglish } from '@/i18n/testEnglish'
import { says } from '@/core/message/testSays'
import { describe, expect, it } from 'vitest'
import { starterCabinet } from '@/core/chemistry/starterCabinet'
import type { Job } from '@/core/job/job'
import { fourCorners, testJob } from '@/core/job/testJob'
import { makePlan } from '@/core/planning/makePlan'
import type { Plan, Step } from '@/core/plan/plan'
import type { Answer, Foam } from '@/core/run/answer'
import { replay, type RunState } from '@/core/run/runState'
import { strictness } from '@/core/rules/rule'
import { jobOutcome } from './jobOutcome'
import { planAsSeen } from './planAsSeen'
import { allWell, start, workedThrough } from './testRun'

const loads = {
  face: { film: 2, freshDust: 3, bondedDust: 2 },
  barrel: { film: 2, freshDust: 3, bondedDust: 3 },
  tyre: { tyreBrowning: 1 },
} as const
const job = testJob(fourCorners({ loads }))
const plan = makePlan(job)
const at = (state: RunState, corner: string): Step[] =>
  state.plan.steps.filter((step) => step.corner === corner)
const addedAt = (state: RunState, corner: string): Step[] =>
  at(state, corner).filter(({ addedBecause }) => addedBecause !== undefined)

/** Works the plan with these foams at the front left, one after the other, and everything well elsewhere. */
function withFoams(foams: readonly Foam[], of: { job: Job; plan: Plan } = { job, plan }) {
  let round = 0
  return workedThrough(of.job, of.plan, (step) => {
    if (step.corner !== 'frontLeft' || step.asks !== 'foam') return allWell(step)
    const foam = foams[round] ?? 'white'
    round += 1
    return { question: 'foam', foam }
  })
}

describe('the foam of a tyre', () => {
  const gummy = testJob(fourCorners({ loads: { ...loads, tyre: { tyreBrowning: 3 } } }))
  const two = { job: gummy, plan: makePlan(gummy) }
  const sprays = (state: RunState) =>
    at(state, 'frontLeft').filter(({ act, asks }) => act === 'scrub' && asks === 'foam').length

  it('brown brings one round more, with a rinse of its own after the one that is due', () => {
    const { state } = withFoams(['brown', 'white'])
    expect(addedAt(state, 'frontLeft').map(({ act }) => act)).toEqual(['spray', 'scrub', 'rinse'])
    expect(addedAt(state, 'frontRight')).toEqual([])
    expect(state.clocks).toEqual([])
  })

  it('white ends the rounds that were planned, at that wheel alone', () => {
    const planned = sprays(withFoams([], { ...two }).state)
    const untouched = replay(planAsSeen(two.job, two.plan), []).plan.steps
    const before = untouched.filter((step) => step.corner === 'frontLeft' && step.asks === 'foam').length
    expect(before).toBeGreaterThan(1)
    expect(planned).toBe(1)
    const { state } = withFoams(['white'], two)
    expect(
      state.plan.steps.filter(({ asks, corner }) => asks === 'foam' && corner === 'rearLeft'),
    ).toHaveLength(1)
  })

  it('that does not fall brings another product, and in the end none', () => {
    const { state } = withFoams(['brown', 'brown', 'brown', 'brown', 'brown'])
    const used = addedAt(state, 'frontLeft')
      .filter(({ act }) => act === 'spray')
      .map(({ stageId }) => state.plan.stages.find(({ id }) => id === stageId))
    expect(new Set(used.map((stage) => `${stage?.productId} ${stage?.strength.to}`)).size).toBe(used.length)
    expect(used.length).toBeGreaterThan(1)
    expect(used.length).toBeLessThan(5)
    const last = at(state, 'frontLeft').findLast(({ asks }) => asks === 'foam')?.sight
    expect(
      ['giveUp', 'nothingStronger', 'leaveIt'].some((key) => says(last, `observations.foam.${key}`)),
    ).toBe(true)
  })

  it('put in before the rinse leaves with it', () => {
    const { state } = workedThrough(job, plan, (step) =>
      step.asks === 'foam' && step.corner === 'frontLeft' && !step.addedBecause
        ? { question: 'foam', foam: 'brown', place: 'now' }
        : allWell(step),
    )
    expect(addedAt(state, 'frontLeft').map(({ act }) => act)).toEqual(['spray', 'scrub'])
    expect(state.clocks).toEqual([])
  })
})

describe('iron', () => {
  const say = (sight: 'done' | 'bleeding', times: number) => {
    let asked = 0
    return workedThrough(job, plan, (step) => {
      if (step.asks !== 'iron' || step.corner !== 'rearRight') return allWell(step)
      asked += 1
      return { question: 'iron', iron: asked <= times ? sight : 'done' }
    }).state
  }

  it('is put on once more only where it bleeds', () => {
    const state = say('bleeding', 1)
    expect(addedAt(state, 'rearRight').filter(({ asks }) => asks === 'iron')).toHaveLength(1)
    expect(addedAt(state, 'frontLeft')).toEqual([])
  })

  it('is not put on a fourth time', () => {
    const state = say('bleeding', 9)
    expect(at(state, 'rearRight').filter(({ asks }) => asks === 'iron')).toHaveLength(3)
  })

  it('that is done gets no second application where one was planned', () => {
    const heavy = testJob(
      fourCorners({ loads: { barrel: { bondedDust: 4 }, face: { bondedDust: 4 } }, finishes: {} }),
      {
        cabinet: starterCabinet
          .filter(({ family }) => family !== 'acidCleaner' && family !== 'heavyGel')
          .map((product) =>
            product.family === 'ironRemover' || product.family === 'ironClayLubricant'
              ? { ...product, ratings: { bondedDust: 3 as const } }
              : product,
          ),
      },
    )
    const plans = makePlan(heavy)
    const applications = (state: RunState) =>
      at(state, 'frontLeft').filter(({ asks }) => asks === 'iron').length
    const planned = replay(planAsSeen(heavy, plans), [])
    const done = workedThrough(heavy, plans, allWell).state
    expect(applications(planned)).toBeGreaterThan(1)
    expect(applications(done)).toBe(1)
  })
})

describe('the second look', () => {
  const stayedOnce = (stayed: Extract<Answer, { question: 'look' }>['stayed'], times = 1, of: Job = job) => {
    let looks = 0
    return workedThrough(of, makePlan(of), (step) => {
      if (step.asks !== 'look' || step.corner !== 'frontLeft') return allWell(step)
      looks += 1
      return { question: 'look', stayed: looks <= times ? stayed : [] }
    }).state
  }

  it('brings the next escalation for what stayed, then another look, before anything is sealed', () => {
    const state = stayedOnce([{ zone: 'barrel', soil: 'bondedDust' }])
    const added = addedAt(state, 'frontLeft')
    expect(added.map(({ act }) => act)).toEqual(['spray', 'agitate', 'rinse', 'lookAgain'])
    const acts = at(state, 'frontLeft').map(({ act }) => act)
    expect(acts.lastIndexOf('lookAgain')).toBeLessThan(acts.indexOf('protect'))
    expect(added[0]?.zones).toEqual(['barrel'])
  })

  it('is stronger than what was there, and allowed', () => {
    const state = stayedOnce([{ zone: 'barrel', soil: 'bondedDust' }])
    const spot = state.plan.stages.at(-1)
    expect(
      plan.stages.some(
        ({ productId, strength }) => productId === spot?.productId && strength.to >= spot.strength.to,
      ),
    ).toBe(false)
    expect(strictness(spot?.verdict ?? 'no')).toBeLessThan(strictness('no'))
  })

  it('treats what wants the same at once, tar with solvent on the dried spot', () => {
    const state = stayedOnce([
      { zone: 'face', soil: 'tar' },
      { zone: 'barrel', soil: 'tar' },
    ])
    const [stage, ...more] = state.plan.stages.filter(({ id }) => id.includes('look'))
    expect(more).toEqual([])
    expect(stage?.kind).toBe('tar')
    expect([...(stage?.zones ?? [])].sort()).toEqual(['barrel', 'face'])
  })

  it('stops where nothing may go further, says so, and leaves it written', () => {
    const state = stayedOnce([{ zone: 'face', soil: 'tar' }], 9)
    const last = at(state, 'frontLeft').findLast(({ asks }) => asks === 'look')
    expect(says(last?.sight, 'observations.look.noneStronger')).toBe(true)
    expect(at(state, 'frontLeft').filter(({ asks }) => asks === 'look').length).toBeLessThan(6)
  })

  it('never brings what a delicate finish forbids', () => {
    const bare = { finish: 'polishedBare', condition: 'sound' } as const
    const delicate = testJob(
      fourCorners({ loads, finishes: { face: bare, barrel: bare, lip: bare, windows: bare, cap: bare } }),
    )
    const state = stayedOnce(
      [
        { zone: 'barrel', soil: 'bondedDust' },
        { zone: 'face', soil: 'mineral' },
      ],
      6,
      delicate,
    )
    for (const stage of state.plan.stages) expect(stage.verdict).not.toBe('no')
  })

  it('without water is wiped, not rinsed', () => {
    const dry = testJob(fourCorners({ loads: { face: { freshDust: 1 } } }), { service: 'waterless' })
    const state = stayedOnce([{ zone: 'face', soil: 'freshDust' }], 1, dry)
    expect(addedAt(state, 'frontLeft').length).toBeGreaterThan(0)
    expect(addedAt(state, 'frontLeft').map(({ act }) => act)).not.toContain('rinse')
  })
})

describe('a test spot', () => {
  const bare = { finish: 'polishedBare', condition: 'sound' } as const
  const delicate = testJob(
    fourCorners({ loads, finishes: { face: bare, barrel: bare, lip: bare, windows: bare, cap: bare } }),
  )
  const careful = makePlan(delicate)
  const first = careful.steps.find(({ asks }) => asks === 'testSpot')
  const say = (spot: 'fine' | 'nothing' | 'marked', times = 1) => {
    let asked = 0
    return workedThrough(delicate, careful, (step) => {
      if (step.asks !== 'testSpot') return allWell(step)
      asked += 1
      return { question: 'testSpot', spot: asked <= times ? spot : 'fine' }
    }).state
  }
  const stageOfFirst = careful.stages.find(({ id }) => first?.id.includes(id))

  it('is asked for on a delicate finish', () => {
    expect(first).toBeDefined()
  })

  it('that is fine changes nothing', () => {
    const state = say('fine')
    expect(state.plan.steps.map(({ id }) => id)).toEqual(careful.steps.map(({ id }) => id))
  })

  it('that marked keeps the product off every wheel, for the rest of the job', () => {
    const state = say('marked')
    const later = state.plan.steps.filter(({ stageId }) => stageId !== null)
    const products = later.map(({ stageId }) => state.plan.stages.find(({ id }) => id === stageId)?.productId)
    expect(products).not.toContain(stageOfFirst?.productId)
    expect(sayInEnglish(state.plan.steps.find(({ id }) => id === first?.id)?.sight ?? '')).toContain(
      stageOfFirst?.productName,
    )
    expect(state.clocks).toEqual([])
  })

  it('on which nothing came off goes one escalation up or says why not', () => {
    const state = say('nothing')
    const sight = state.plan.steps.find(({ id }) => id === first?.id)?.sight ?? ''
    expect(
      says(sight, 'observations.testSpot.stronger') || says(sight, 'observations.testSpot.nothingStronger'),
    ).toBe(true)
    expect(state.clocks).toEqual([])
  })

  it('marked once is not planned on that finish again, and fine once is not tried again', () => {
    const spotsOf = (result: 'fine' | 'marked') =>
      [{ productId: stageOfFirst?.productId ?? '', finish: 'polishedBare', result }] as const
    const avoided = makePlan({ ...delicate, testSpots: spotsOf('marked') })
    expect(
      avoided.stages
        .filter(({ kind }) => kind !== 'tyre' && kind !== 'arch')
        .map(({ productId }) => productId),
    ).not.toContain(stageOfFirst?.productId)
    expect(avoided.verdicts.find(({ productId }) => productId === stageOfFirst?.productId)?.verdict).toBe(
      'no',
    )
    const known = makePlan({ ...delicate, testSpots: spotsOf('fine') })
    expect(
      known.steps.filter(({ asks, id }) => asks === 'testSpot' && id.includes(stageOfFirst?.id ?? '?')),
    ).toEqual([])
  })
})

it('a plan of an earlier version, which names no questions, keeps what stayed all the same', () => {
  const earlier: Plan = { ...plan, steps: plan.steps.map(({ asks: _, ...step }) => step) }
  let looks = 0
  const { state } = workedThrough(job, earlier, (step) => {
    if (step.act !== 'lookAgain') return null
    looks += 1
    return { question: 'look', stayed: looks === 1 ? [{ zone: 'face', soil: 'tar' }] : [] }
  })
  expect(state.clocks).toEqual([])
  const stayed: Answer = { question: 'look', stayed: [{ zone: 'face', soil: 'tar' }] }
  const look = earlier.steps.find(({ act }) => act === 'lookAgain') as Step
  const only = replay(planAsSeen(job, earlier), [
    { kind: 'answered', stepId: look.id, at: start, answer: stayed },
  ])
  expect(jobOutcome(job, only).leftovers).toEqual([{ position: look.corner, zone: 'face', soil: 'tar' }])
})

describe('the log', () => {
  const seen = planAsSeen(job, plan)
  const look = plan.steps.find(({ asks, corner }) => asks === 'look' && corner === 'frontLeft') as Step
  const stayed: Answer = { question: 'look', stayed: [{ zone: 'barrel', soil: 'bondedDust' }] }
  const answered = (answer: Answer, second = 0) =>
    ({ kind: 'answered', stepId: look.id, at: new Date(start.getTime() + second * 1000), answer }) as const

  it('undone, an answer takes its steps with it; said again, what was worked on them counts again', () => {
    const first = replay(seen, [answered(stayed)])
    const [added] = addedAt(first, 'frontLeft')
    const worked = { kind: 'done', stepId: added?.id ?? '', at: new Date(start.getTime() + 60_000) } as const
    const undone = { kind: 'undone', stepId: look.id, at: new Date(start.getTime() + 90_000) } as const
    const after = replay(seen, [answered(stayed), worked, undone])
    expect(after.settledCount).toBe(0)
    expect(after.plan.steps).toHaveLength(plan.steps.length)
    const again = replay(seen, [answered(stayed), worked, undone, answered(stayed, 120)])
    expect(again.settled.has(added?.id ?? '')).toBe(true)
  })

  it('an answer is undone alone, whatever was tapped in a hurry before it', () => {
    const before = plan.steps.slice(0, 3).map(({ id: stepId }, index) => ({
      kind: 'done' as const,
      stepId,
      at: new Date(start.getTime() - 2000 + index * 500),
    }))
    const undone = { kind: 'tapUndone', stepId: look.id, at: new Date(start.getTime() + 1000) } as const
    const state = replay(seen, [...before, answered(stayed), undone])
    expect(state.settledCount).toBe(3)
    expect(state.plan.steps).toHaveLength(plan.steps.length)
  })

  it('the first of two answers to one question stands', () => {
    const state = replay(seen, [answered({ question: 'look', stayed: [] }), answered(stayed, 5)])
    expect(addedAt(state, 'frontLeft')).toEqual([])
  })

  it('an answer to a step that asks something else settles it and changes nothing', () => {
    const state = replay(seen, [answered({ question: 'foam', foam: 'brown' })])
    expect(state.settled.has(look.id)).toBe(true)
    expect(state.plan.steps).toHaveLength(plan.steps.length)
  })

  it('what somebody worked who did not know that it had fallen away stays', () => {
    const gummy = testJob(fourCorners({ loads: { tyre: { tyreBrowning: 3 } } }))
    const rounds = makePlan(gummy)
    const scrubs = rounds.steps.filter(({ asks, corner }) => asks === 'foam' && corner === 'frontLeft')
    const [first, second] = scrubs
    const foam = {
      kind: 'answered', stepId: first?.id ?? '', at: start, answer: { question: 'foam', foam: 'white' },
    } as const // prettier-ignore
    const late = { kind: 'done', stepId: second?.id ?? '', at: new Date(start.getTime() + 60_000) } as const
    expect(replay(planAsSeen(gummy, rounds), [foam]).plan.steps.some(({ id }) => id === second?.id)).toBe(
      false,
    )
    const state = replay(planAsSeen(gummy, rounds), [foam, late])
    expect(state.settled.has(second?.id ?? '')).toBe(true)
  })
})
