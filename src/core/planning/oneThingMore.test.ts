import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { starterCabinet } from '@/core/chemistry/starterCabinet'
import type { Job } from '@/core/job/job'
import { anySituation, jobOf } from '@/core/job/testAnyJob'
import type { Plan } from '@/core/plan/plan'
import { starterTools } from '@/core/tools/starterTools'
import { makePlan } from './makePlan'
import { times } from '@/core/job/testLong'

// Whether foam goes over a cleaner in one pass hangs on how long that cleaner stays wet, which nobody searches for.
const inHaste = anySituation.map(({ methods, ...situation }) => ({
  ...situation,
  methods: { ...methods, overFoaming: false },
  prefer: 'fastest' as const,
}))

/** What is worked where, and what stays on the wheels for good or until it wears off. */
function workOf({ steps, stages }: Plan): ReadonlySet<string> {
  const kindOf = new Map(stages.map(({ id, kind, family }) => [id, kind === 'protect' ? family : kind]))
  return new Set(
    steps.flatMap(({ act, corner, zones, stageId }) =>
      zones.flatMap((zone) => [`${act} ${corner} ${zone}`, `${kindOf.get(stageId ?? '')} ${corner} ${zone}`]),
    ),
  )
}

const without = <T>(list: readonly T[], at: number): T[] =>
  list.filter((_, index) => index !== at % list.length)
const saysMore = (less: Plan, more: Plan): boolean =>
  less.shortfalls.some(({ text }) => !more.shortfalls.some((one) => one.text === text))

describe('the fastest plan', () => {
  it(
    'is hardly quicker for the same work where something is missing from cabinet or kit',
    () =>
      fc.assert(
        fc.property(inHaste, fc.nat(), fc.boolean(), (situation, at, isTool) => {
          const job: Job = jobOf(situation)
          const whole = makePlan(job)
          const poor = makePlan(
            isTool
              ? { ...job, tools: without(starterTools, at) }
              : { ...job, cabinet: without(starterCabinet, at) },
          )
          const done = workOf(poor)
          const isSame = [...workOf(whole)].every((one) => done.has(one)) && !saysMore(poor, whole)
          // One spray for arch and tyre is what another product for the tyre may cost.
          if (isSame && poor.steps.length > 0)
            expect(whole.operatorSeconds).toBeLessThanOrEqual(1.03 * poor.operatorSeconds)
        }),
        { numRuns: 60 * times },
      ),
    60_000 * times,
  )

  it(
    'takes for one grade more of dirt no less by a tenth, unless it says that more stays',
    () =>
      fc.assert(
        fc.property(
          inHaste,
          fc.constantFrom('film', 'dust', 'bonded', 'mineral', 'browning', 'grit'),
          (situation, soil) => {
            if (situation[soil] === 4) return
            const clean = makePlan(jobOf(situation))
            const dirty = makePlan(jobOf({ ...situation, [soil]: situation[soil] + 1 }))
            // A wheel is washed twice where nothing else does it, however quick that is.
            const isTwice = dirty.stages.some(({ kind, rounds }) => kind === 'wash' && rounds > 1)
            // The search weighs brushes and rinses; a mist or a rinse before suds may come on top.
            if (!saysMore(dirty, clean) && !isTwice)
              expect(dirty.operatorSeconds).toBeGreaterThanOrEqual(0.9 * clean.operatorSeconds)
          },
        ),
        { numRuns: 60 * times },
      ),
    60_000 * times,
  )
})
