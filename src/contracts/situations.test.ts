import type { Spoken } from '@/i18n/spoken'
import { inEnglish } from '@/i18n/testEnglish'
import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import * as v from 'valibot'
import { familyIds } from '@/core/chemistry/families'
import { ratingOf } from '@/core/chemistry/product'
import type { Job } from '@/core/job/job'
import type { Plan, Stage } from '@/core/plan/plan'
import { makePlan } from '@/core/planning/makePlan'
import { protectionKinds } from '@/core/protection/kinds'
import { ruleBook } from '@/core/rules/book'
import { verdicts } from '@/core/rules/rule'
import { soils, type Soil } from '@/core/soils/soil'
import { cleansWheel } from '@/core/acts/stageKind'
import { positions } from '@/core/wheel/position'
import { readJob } from './jobFile'

/** What a careful master would say of a situation. Everything named has to hold. */
const expectation = v.partial(
  v.strictObject({
    onlyFamilies: v.array(v.picklist(familyIds)),
    includes: v.array(v.picklist(familyIds)),
    includesSoil: v.array(v.picklist(soils)),
    includesSoilAt: v.record(v.picklist(positions), v.picklist(soils)),
    never: v.array(v.picklist(familyIds)),
    verdicts: v.record(v.string(), v.picklist(verdicts)),
    rules: v.record(v.string(), v.array(v.picklist(ruleBook.map(({ id }) => id)))),
    protection: v.array(v.picklist(protectionKinds)),
    dress: v.array(v.picklist(protectionKinds)),
    shortfall: v.string(),
    fix: v.string(),
    caution: v.string(),
    step: v.string(),
    assumption: v.string(),
    testSpot: v.boolean(),
    arch: v.boolean(),
    archTool: v.string(),
    ironAfterWash: v.boolean(),
    minimumStages: v.number(),
    more: v.tuple([v.picklist(positions), v.picklist(positions)]),
    moreWorkThanAt: v.number(),
    lostAtLeast: v.number(),
    lostAtMost: v.number(),
    tyreRoundsAtLeast: v.number(),
    tyreRoundsAtMost: v.number(),
    tyreFamily: v.picklist(familyIds),
    stepBefore: v.tuple([v.string(), v.string(), v.string()]),
  }),
)
const situation = v.strictObject({
  name: v.string(),
  story: v.string(),
  job: v.unknown(),
  expect: expectation,
})
type Expected = v.InferOutput<typeof expectation>

const situations = v.parse(
  v.array(situation),
  JSON.parse(readFileSync('docs/examples/situations.json', 'utf8')),
)

const onWheel = ({ kind }: Stage) => cleansWheel(kind)
const effort = (plan: Plan) => plan.stages.filter(onWheel).reduce((sum, { rounds }) => sum + rounds, 0)

type Check<K extends keyof Expected> = (
  plan: Spoken<Plan>,
  wanted: NonNullable<Expected[K]>,
  job: Job,
) => void

const treats = (job: Job, stage: Stage, soil: Soil): boolean => {
  const product = job.cabinet.find(({ id }) => id === stage.productId)
  return product !== undefined && ratingOf(product, soil) > 0
}
const wheelFamilies = (plan: Plan) => plan.stages.filter(onWheel).map(({ family }) => family)
const text = (parts: readonly string[]) => parts.join(' ')

const checks: { [K in keyof Expected]-?: Check<K> } = {
  onlyFamilies: (plan, wanted) => {
    for (const family of wheelFamilies(plan)) expect(wanted).toContain(family)
    expect(wheelFamilies(plan).length > 0).toBe(wanted.length > 0)
  },
  includes: (plan, wanted) => expect(wheelFamilies(plan)).toEqual(expect.arrayContaining(wanted)),
  includesSoil: (plan, wanted, job) => {
    for (const soil of wanted)
      expect(plan.stages.filter(onWheel).some((stage) => treats(job, stage, soil))).toBe(true)
  },
  includesSoilAt: (plan, wanted, job) => {
    for (const [position, soil] of Object.entries(wanted)) {
      const mine = plan.stages.filter(
        (stage) => onWheel(stage) && (stage.corners as string[]).includes(position),
      )
      expect(mine.some((stage) => treats(job, stage, soil as Soil))).toBe(true)
    }
  },
  never: (plan, wanted) => {
    for (const family of wheelFamilies(plan)) expect(wanted).not.toContain(family)
  },
  verdicts: (plan, wanted) => {
    for (const [id, verdict] of Object.entries(wanted))
      expect([id, plan.verdicts.find(({ productId }) => productId === id)?.verdict]).toEqual([id, verdict])
  },
  rules: (plan, wanted) => {
    for (const [id, rules] of Object.entries(wanted))
      expect(plan.verdicts.find(({ productId }) => productId === id)?.ruleIds).toEqual(
        expect.arrayContaining(rules),
      )
  },
  protection: (plan, wanted) =>
    expect([
      ...new Set(plan.stages.filter(({ kind }) => kind === 'protect').map(({ family }) => family)),
    ]).toEqual(wanted),
  dress: (plan, wanted) =>
    expect([
      ...new Set(plan.stages.filter(({ kind }) => kind === 'dress').map(({ family }) => family)),
    ]).toEqual(wanted),
  shortfall: (plan, wanted) =>
    expect(text(plan.shortfalls.map((one) => `${one.text} ${one.fix}`))).toContain(wanted),
  fix: (plan, wanted) => expect(text(plan.shortfalls.map(({ fix }) => fix))).toContain(wanted),
  caution: (plan, wanted) => expect(text(plan.stages.flatMap(({ cautions }) => cautions))).toContain(wanted),
  step: (plan, wanted) => expect(text(plan.steps.map(({ detail }) => detail))).toContain(wanted),
  assumption: (plan, wanted) => expect(text(plan.assumptions)).toContain(wanted),
  testSpot: (plan, wanted) => expect(plan.testSpot !== null).toBe(wanted),
  arch: (plan, wanted) => expect(plan.stages.some(({ kind }) => kind === 'arch')).toBe(wanted),
  archTool: (plan, wanted) =>
    expect(plan.steps.find(({ act, zones }) => act === 'scrub' && zones.includes('arch'))?.tools).toEqual([
      wanted,
    ]),
  ironAfterWash: (plan, wanted) => {
    const kinds = plan.stages.filter(onWheel).map(({ kind }) => kind)
    expect(kinds.indexOf('iron') > kinds.indexOf('wash')).toBe(wanted)
  },
  minimumStages: (plan, wanted) => expect(effort(plan)).toBeGreaterThanOrEqual(wanted),
  more: (plan, [heavy, light]) => {
    const effortAt = (position: string) =>
      plan.steps
        .filter(({ corner }) => corner === position)
        .reduce((sum, { operatorSeconds }) => sum + operatorSeconds, 0)
    expect(effortAt(heavy)).toBeGreaterThan(effortAt(light))
  },
  moreWorkThanAt: (plan, celsius, job) => {
    const warm = makePlan({ ...job, conditions: { ...job.conditions, airCelsius: celsius } })
    const dwell = (of: Plan) =>
      of.stages.filter(onWheel).reduce((sum, { dwellSeconds }) => sum + dwellSeconds.min, 0)
    expect(
      effort(plan) > effort(warm) ||
        text(wheelFamilies(plan)) !== text(wheelFamilies(warm)) ||
        dwell(plan) > dwell(warm),
    ).toBe(true)
  },
  lostAtLeast: (plan, wanted) => expect(lost(plan)).toBeGreaterThanOrEqual(wanted),
  lostAtMost: (plan, wanted) => expect(lost(plan)).toBeLessThanOrEqual(wanted),
  tyreRoundsAtLeast: (plan, wanted) => expect(tyreRounds(plan)).toBeGreaterThanOrEqual(wanted),
  tyreRoundsAtMost: (plan, wanted) => expect(tyreRounds(plan)).toBeLessThanOrEqual(wanted),
  tyreFamily: (plan, wanted) => expect(plan.stages.find(({ kind }) => kind === 'tyre')?.family).toBe(wanted),
  stepBefore: (plan, [first, then, name]) => {
    const mine = plan.steps.filter(
      ({ stageId }) => plan.stages.find(({ id }) => id === stageId)?.productName === name,
    )
    const acts = mine.map(({ act }) => act as string)
    expect(acts.indexOf(first)).toBeGreaterThanOrEqual(0)
    expect(acts.indexOf(first)).toBeLessThan(acts.indexOf(then))
  },
}
const lost = (plan: Plan) =>
  plan.alternatives.find(({ name }) => name === plan.chosen)?.protectionLostShare ?? NaN
const tyreRounds = (plan: Plan) =>
  Math.max(0, ...plan.stages.filter(({ kind }) => kind === 'tyre').map(({ rounds }) => rounds))

describe('worked situations', () => {
  it('are at least thirty, each with a name of its own', () => {
    expect(situations.length).toBeGreaterThanOrEqual(30)
    expect(new Set(situations.map(({ name }) => name)).size).toBe(situations.length)
  })

  it.each(situations.map((one) => [one.name, one] as const))('%s', (_, { job: file, expect: wanted }) => {
    const read = readJob(file)
    if (!read.ok) throw new Error(JSON.stringify(read.problems))
    const plan = inEnglish(makePlan(read.value.job))
    expect(Object.keys(wanted).length).toBeGreaterThan(0)
    for (const [name, value] of Object.entries(wanted)) {
      const check = checks[name as keyof Expected] as Check<never>
      check(plan, value as never, read.value.job)
    }
  })
})
