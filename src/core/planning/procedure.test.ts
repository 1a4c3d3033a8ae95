import { says } from '@/core/message/testSays'
import { describe, expect, it } from 'vitest'
import { wetTimes } from '@/core/chemistry/longest'
import { starterCabinet } from '@/core/chemistry/starterCabinet'
import { plainConditions } from '@/core/conditions/conditions'
import type { Job } from '@/core/job/job'
import { allOf, fourCorners, testJob } from '@/core/job/testJob'
import { planInOrder } from '@/core/order/orderPlan'
import { takesOff, type Plan, type Step } from '@/core/plan/plan'
import { wheelZones } from '@/core/wheel/zone'
import { cleansWheel, isOnRubber } from '@/core/acts/stageKind'
import { ordinaryJob, type Practice } from '../../../bench/procedureJobs'

/** Ordinary cars, planned once for all tests. */
const worked = Array.from({ length: 24 }, (_, at) => {
  const { job, practice, spokes } = ordinaryJob(at + 1)
  return { name: `${at + 1}: ${practice.service}, ${spokes} spokes`, job, practice, plan: planInOrder(job) }
})

const eachWheel = (
  check: (at: { here: Step[]; plan: Plan; job: Job; practice: Practice; name: string }) => void,
) => {
  for (const { job, plan, practice, name } of worked)
    for (const { position } of job.corners)
      check({ here: plan.steps.filter(({ corner }) => corner === position), plan, job, practice, name })
}

const inOrder = ({ steps, sequence }: Plan): Step[] => {
  const known = new Map(steps.map((step) => [step.id, step]))
  return (sequence?.entries ?? []).flatMap(({ stepId }) => known.get(stepId) ?? [])
}

describe('an ordinary job in mild weather', () => {
  it('brushes every zone once for each chemical that is on it', () => {
    eachWheel(({ here, plan, name }) => {
      for (const zone of wheelZones) {
        const brushed = here.filter(({ act, zones }) => act === 'agitate' && zones.includes(zone))
        const chemicals = new Set(brushed.map(({ stageId }) => stageId))
        const isOnce = (id: string | null) =>
          plan.stages.some((stage) => stage.id === id && stage.rounds === 1)
        const once = [...chemicals].filter(isOnce)
        expect(
          brushed.filter(({ stageId }) => once.includes(stageId)),
          `${name} ${zone}`,
        ).toHaveLength(once.length)
      }
    })
  })

  it('takes few tools to the metal', () => {
    eachWheel(({ here, practice, name }) => {
      const tools = new Set(here.filter(({ act }) => act === 'agitate').flatMap((step) => step.tools))
      expect(tools.size, name).toBeLessThanOrEqual(practice.metalTools)
    })
  })

  it('has dry work last: nothing wet comes after the first wheel is dried or dressed for good', () => {
    for (const { plan, name } of worked) {
      const steps = inOrder(plan)
      const first = steps.findIndex(
        ({ act, stageId }) => act === 'dress' || (act === 'dry' && stageId === null),
      )
      if (first < 0) continue
      const wet = steps
        .slice(first)
        .filter(({ act }) => ['spray', 'rinse', 'preRinse', 'agitate', 'scrub'].includes(act))
      expect(
        wet.map(({ title }) => title),
        name,
      ).toEqual([])
    }
  })

  it('is worked in a pattern', () => {
    for (const { plan, name } of worked) expect(plan.sequence?.pattern?.kind, name).toBe('pattern')
  })
})

/** Seconds from the end of a spray to the start of the rinse that takes it off, or of the next spray of the same. */
function secondsOn(plan: Plan): { step: Step; seconds: number }[] {
  const entries = plan.sequence?.entries ?? []
  const known = new Map(plan.steps.map((step) => [step.id, step]))
  return entries.flatMap(({ stepId, endSeconds }, at) => {
    const step = known.get(stepId)
    const stage = plan.stages.find(({ id }) => id === step?.stageId)
    if (step?.act !== 'spray' || !stage || !(cleansWheel(stage.kind) || isOnRubber(stage.kind))) return []
    const until = entries.slice(at + 1).find((later) => {
      const next = known.get(later.stepId)
      return (
        next?.corner === step.corner &&
        (takesOff(next, stage.id) || (next.act === 'spray' && next.stageId === stage.id))
      )
    })
    return until ? [{ step, seconds: until.startSeconds - endSeconds }] : []
  })
}

describe('the longest time of a label', () => {
  const heavy = { film: 3, freshDust: 3, bondedDust: 2 } as const
  const corners = fourCorners({
    loads: { face: heavy, barrel: heavy, tyre: { tyreBrowning: 2 }, arch: { film: 2 } },
  })

  it('is never passed by what bites, nor twice by what is kept wet', () => {
    for (const { plan, name } of worked)
      for (const { step, seconds } of secondsOn(plan)) {
        const stage = plan.stages.find(({ id }) => id === step.stageId)
        const times = stage?.longest?.kind === 'wet' ? wetTimes : 1
        expect(seconds, `${name}: ${step.id}`).toBeLessThanOrEqual(times * (stage?.dwellSeconds.max ?? 0))
      }
  })

  it('is a contact limit where the cabinet says so', () => {
    const cabinet = starterCabinet.map((product) => ({ ...product, longest: 'contact' as const }))
    const plan = planInOrder(testJob(corners, { cabinet }))
    expect(plan.stages.filter(({ kind }) => cleansWheel(kind)).map(({ longest }) => longest?.kind)).toContain(
      'contact',
    )
    for (const { step, seconds } of secondsOn(plan))
      expect(seconds, step.id).toBeLessThanOrEqual(step.startsDwell?.maxSeconds ?? 0)
  })

  it.each([
    ['a doubtful finish', { finishes: allOf('unknown') }, {}, 'reasons.longest.doubtful'],
    ['peeling lacquer', { finishes: allOf('paintedGloss', 'peeling') }, {}, 'reasons.longest.doubtful'],
    ['a warm wheel', {}, { airCelsius: 24, surfaceCelsius: 33 }, 'reasons.longest.warm'],
  ])('is a contact limit on %s', (_, changes, weather, because) => {
    const loads = { face: { film: 2, freshDust: 2 } } as const
    const plan = planInOrder(
      testJob(fourCorners({ loads, ...changes }), { conditions: plainConditions(weather) }),
    )
    const limits = plan.stages.filter(({ kind }) => cleansWheel(kind)).flatMap(({ longest }) => longest ?? [])
    expect(limits.length).toBeGreaterThan(0)
    expect(limits.every(({ kind }) => kind === 'contact')).toBe(true)
    expect(limits.some((one) => says(one.because, because))).toBe(true)
  })
})
