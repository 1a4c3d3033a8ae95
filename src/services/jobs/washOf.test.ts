import { describe, expect, it } from 'vitest'
import { planInOrder } from '@/core/order/orderPlan'
import type { RunEvent } from '@/core/run/runEvent'
import { runState } from '@/core/run/runState'
import type { Plan, Step } from '@/core/plan/plan'
import { readJob } from '@/contracts/jobFile'
import { washOf } from '@/core/observations/washOf'

const at = (position: string, soil: string, grade: number) => ({
  position,
  tyreCode: '225/45 R18',
  rimWidthInches: 8,
  spokeCount: 10,
  finishes: [{ zone: 'face', finish: 'paintedGloss', condition: 'sound' }],
  loads: [{ zone: 'face', soil, grade }],
  protection: ['spraySealant'],
})

function jobOf(service: string, soil: string, grade: number) {
  const read = readJob({
    format: 'even-spoke/job/1',
    service,
    corners: [at('frontLeft', soil, grade), at('frontRight', soil, grade)],
    conditions: { airCelsius: 18 },
  })
  if (!read.ok) throw new Error(JSON.stringify(read.problems))
  return read.value.job
}

const done = (plan: Plan, which: (step: Step) => boolean): RunEvent[] =>
  plan.steps.filter(which).map(({ id }, index) => ({
    kind: 'done',
    stepId: id,
    at: new Date(Date.UTC(2026, 5, 1, 9, 0, index * 30)),
  }))

describe('what a visit takes off the protection', () => {
  const job = jobOf('maintain', 'film', 2)
  const plan = planInOrder(job)
  const whole = washOf(
    job,
    runState(
      plan,
      done(plan, () => true),
    ),
  )

  it('is a share of a sealant by chemistry and touch, and nothing where nothing was worked', () => {
    expect(whole.wear).toBeGreaterThan(0)
    expect(whole.wear).toBeLessThan(0.3)
    expect(washOf(job, runState(plan, []))).toEqual({ wear: 0, reviving: false })
  })

  it('counts what was really worked: without touch it takes less', () => {
    const untouched = done(plan, ({ act }) => act !== 'agitate' && act !== 'wipe')
    expect(washOf(job, runState(plan, untouched)).wear).toBeLessThan(whole.wear)
  })

  it('a harsher visit takes more, and one that takes minerals off revives', () => {
    const harsh = jobOf('decontaminate', 'mineral', 3)
    const heavy = planInOrder(harsh)
    const wash = washOf(
      harsh,
      runState(
        heavy,
        done(heavy, () => true),
      ),
    )
    expect(wash.wear).toBeGreaterThan(whole.wear)
    expect(wash.reviving).toBe(true)
  })
})
