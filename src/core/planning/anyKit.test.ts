import { inEnglish, sayInEnglish } from '@/i18n/testEnglish'
import { says } from '@/core/message/testSays'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { familyOf } from '@/core/chemistry/families'
import { anyPoorJob } from '@/core/job/testAnyJob'
import type { Job } from '@/core/job/job'
import { stagesOfStep, type Plan, type Step } from '@/core/plan/plan'
import type { ToolKind } from '@/core/tools/tool'
import { reachesAs } from '@/core/choice/spots'
import { isWorkedByHand } from '@/core/plan/byHand'
import { workedZones } from '@/core/reachability/zoneReach'
import { cleansWheel } from '@/core/acts/stageKind'
import { planOnce } from './testPlans'
import { times } from '@/core/job/testLong'

const holds = (name: string, check: (plan: Plan, job: Job) => void, numRuns = 120 * times) =>
  it(
    name,
    () =>
      fc.assert(
        fc.property(anyPoorJob, (job) => check(planOnce(job), job)),
        { numRuns },
      ),
    60_000 * times,
  )

const owns = (job: Job, ...kinds: ToolKind[]): boolean =>
  job.tools.some(({ kind, state }) => kinds.includes(kind) && state === 'clean')
const wordsOf = (step: Step): string => {
  const { title, detail, cautions } = inEnglish(step)
  return [title, detail, ...cautions].join(' ')
}

/** That something does not all come off. */
const unreached = [
  'reasons.shortfall.without',
  'reasons.shortfall.withoutTowel',
  'reasons.shortfall.notAll',
  'reasons.shortfall.oneWash',
]

/** What a sentence speaks of, and what has to be in the kit for it. */
const namedTools: readonly (readonly [RegExp, readonly ToolKind[]])[] = [
  [/\bmitt\b/i, ['mitt']],
  [/\btowel\b|\bcloth\b/i, ['towel']],
  [/\bapplicator\b/i, ['applicator']],
  [/\bbrush\b/i, ['barrelBrush', 'flatBrush', 'longBrush', 'faceBrush', 'detailBrush', 'lugBrush', 'tyreBrush', 'archBrush', 'linerBrush']],
  [/\bblow/i, ['blower']],
] // prettier-ignore

describe('with what is left of kit and cabinet', () => {
  holds('no step speaks of a tool that nobody owns', ({ steps }, job) => {
    for (const step of steps) {
      for (const name of step.tools) expect(job.tools.map((tool) => tool.name)).toContain(name)
      // The body is washed with its own kit; what stayed is treated with whatever is there.
      if (['body', 'lookAgain', 'testSpot', 'hub'].includes(step.act)) continue
      for (const [word, kinds] of namedTools)
        if (word.test(sayInEnglish(step.detail)))
          expect([sayInEnglish(step.detail), owns(job, ...kinds)]).toEqual([sayInEnglish(step.detail), true])
    }
  })

  holds(
    'nothing is dried, wiped, put on or dressed without what it takes, and the plan says what is missing',
    (plan, job) => {
      for (const { act, tools } of plan.steps)
        if (['dry', 'wipe', 'protect', 'dress'].includes(act)) {
          const wet = plan.stages.some(({ family: id }) => {
            const family = familyOf(id)
            return family.purpose === 'protect' && family.onWet
          })
          if (act === 'protect' && wet) continue
          expect([act, tools.length > 0]).toEqual([act, true])
        }
      const said = inEnglish(plan.shortfalls)
        .map(({ text, fix }) => `${text} ${fix}`)
        .join('\n')
      if (plan.steps.length > 0 && !owns(job, 'towel') && !owns(job, 'blower') && !job.conditions.raining)
        expect(said).toMatch(/towel/)
    },
  )

  holds('protects no zone that was not cleaned, and no seat', ({ stages }) => {
    for (const { kind, corners, zones } of stages.filter((stage) => stage.kind === 'protect'))
      for (const corner of corners) {
        const cleaned = stages
          .filter((stage) => cleansWheel(stage.kind) && stage.corners.includes(corner))
          .flatMap((stage) => stage.zones)
        expect([kind, zones.filter((zone) => !cleaned.includes(zone))]).toEqual([kind, []])
        expect(zones).not.toContain('lugSeats')
        expect(zones).not.toContain('caliper')
      }
  })

  holds(
    'every product has its amount, mix and container said, and its gloves',
    ({ stages, fills, amounts, steps }) => {
      for (const { id, productId, family: familyId, recipe } of stages) {
        expect([id, fills.filter(({ stageIds }) => stageIds.includes(id)).length]).toEqual([id, 1])
        expect([id, amounts.filter((amount) => amount.productId === productId).length]).toEqual([id, 1])
        expect([id, recipe.totalMillilitres > 0]).toEqual([id, true])
        const said = steps
          .filter((step) => stagesOfStep(step).includes(id))
          .flatMap(({ cautions }) => cautions)
        if (familyOf(familyId).hazards.includes('irritant'))
          expect([id, said.some((one) => says(one, 'steps.cautions.irritant'))]).toEqual([id, true])
      }
    },
  )

  holds(
    'what nothing in the kit works gets cleaner and water, is brushed never, and is said',
    (plan, job) => {
      const said = plan.shortfalls.map(({ text }) => text)
      for (const corner of job.corners) {
        const position = corner.position
        const sprayed = plan.stages.filter(
          (stage) => stage.corners.includes(position) && cleansWheel(stage.kind) && reachesAs(stage) !== null,
        )
        const zones = workedZones(corner, job)
        for (const stage of sprayed)
          if (stage.kind === 'wash' || stage.kind === 'iron')
            expect([stage.id, zones.filter((zone) => !stage.zones.includes(zone))]).toEqual([stage.id, []])
        for (const step of plan.steps.filter(({ act, corner: at }) => act === 'agitate' && at === position)) {
          const stage = plan.stages.find(({ id }) => id === step.stageId)
          expect([step.id, step.zones, stage?.tools, step.tools.length > 0]).toEqual([
            step.id,
            step.zones,
            stage?.tools,
            true,
          ])
          for (const zone of step.zones) expect(stage && isWorkedByHand(zone, stage)).toBe(true)
        }
        const lacking = zones.filter((zone) =>
          sprayed.some((stage) => stage.zones.includes(zone) && !isWorkedByHand(zone, stage)),
        )
        if (lacking.length > 0)
          expect(
            said.some(
              (text) =>
                says(text, 'reasons.shortfall.noToolSprayed') || says(text, 'reasons.shortfall.noToolSoaked'),
            ),
          ).toBe(true)
      }
    },
  )

  holds('coats no wheel on which something stays that was to come off', ({ stages, shortfalls }) => {
    const stays = shortfalls.filter(({ text }) => unreached.some((key) => says(text, key)))
    for (const { family, corners } of stages)
      if (family === 'ceramicCoating')
        for (const corner of corners)
          expect(stays.filter((one) => one.corners.includes(corner)).map(({ text }) => text)).toEqual([])
  })

  holds('gives one reason where nothing goes at all', ({ stages, shortfalls }) => {
    if (stages.length === 0)
      expect(
        shortfalls.filter(
          ({ text }) => says(text, 'reasons.stays.soilOne') || says(text, 'reasons.stays.soilMany'),
        ),
      ).toEqual([])
  })

  holds('speaks of no arch where there is none', ({ steps }, job) => {
    if (job.vehicleKind === 'motorcycle' || job.vehicleKind === 'looseSet')
      for (const step of steps) expect(wordsOf(step)).not.toMatch(/\barch/i)
  })
})
