import type { Spoken } from '@/i18n/spoken'
import { inEnglish } from '@/i18n/testEnglish'
import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import * as v from 'valibot'
import { roleOf } from '@/core/choice/role'
import { starterCabinet } from '@/core/chemistry/starterCabinet'
import type { Job } from '@/core/job/job'
import { planInOrder } from '@/core/order/orderPlan'
import type { Plan, Step } from '@/core/plan/plan'
import { starterTools } from '@/core/tools/starterTools'
import { cleansWheel, isFinishing } from '@/core/acts/stageKind'
import { axleOf, usualPositions, type Position, type VehicleKind } from '@/core/wheel/position'
import { jobFormat, readJob } from './jobFile'

const texts = v.array(v.string())
const loadsOf = v.record(v.string(), v.record(v.string(), v.number()))

/** What a careful master would say; everything named has to hold. */
const expectation = v.partial(
  v.strictObject({
    headline: v.string(),
    steps: v.picklist(['none', 'some']),
    minutes: v.tuple([v.number(), v.number()]),
    rinses: v.number(),
    rinsesAtLeast: v.number(),
    recipes: v.number(),
    atMostRecipesPerAxle: v.number(),
    roundsAtMost: v.number(),
    wash: texts,
    families: texts,
    includes: texts,
    never: texts,
    stages: texts,
    stagesNot: texts,
    acts: texts,
    actsNot: texts,
    zones: texts,
    zonesNot: texts,
    order: v.array(v.tuple([v.string(), v.string()])),
    roleOrder: v.tuple([v.string(), v.string()]),
    afterBody: v.string(),
    firstCorner: v.string(),
    corners: v.record(v.string(), texts),
    notAt: texts,
    dressNotAt: texts,
    stageNotAt: v.record(v.string(), texts),
    /** Zones that stages of a kind do not go to. */
    stageZonesNot: v.record(v.string(), texts),
    onlyZonesAt: v.record(v.string(), texts),
    millilitresAtMost: v.record(v.string(), v.number()),
    dwellAtLeast: v.record(v.string(), v.number()),
    protection: texts,
    dress: texts,
    tyre: texts,
    tyreRounds: v.tuple([v.number(), v.number()]),
    says: texts,
    saysNot: texts,
    step: v.string(),
    stepNot: v.string(),
    caution: v.string(),
    timing: v.string(),
    testSpot: v.boolean(),
    /** The only zones where something is tried. */
    testSpotAt: texts,
    verdicts: v.record(v.string(), v.string()),
  }),
)
type Expected = v.InferOutput<typeof expectation>

/** A job in short: what is the same on all wheels is said once. */
const situation = v.strictObject({
  name: v.string(),
  service: v.string(),
  vehicle: v.optional(v.string(), 'car'),
  positions: v.optional(texts),
  liner: v.optional(v.string()),
  wheel: v.optional(
    v.strictObject({
      spokes: v.number(),
      width: v.number(),
      tyre: v.optional(v.string()),
      rim: v.optional(v.number()),
    }),
  ),
  finish: v.optional(v.string(), 'paintedGloss'),
  condition: v.optional(v.string(), 'sound'),
  zones: v.optional(v.record(v.string(), v.tuple([v.string(), v.string()])), {}),
  caliper: v.optional(v.nullable(v.string()), 'paintedGloss'),
  loads: loadsOf,
  front: v.optional(loadsOf),
  at: v.optional(v.record(v.string(), loadsOf), {}),
  protection: v.optional(texts, []),
  curing: v.optional(texts, []),
  conditions: v.optional(v.record(v.string(), v.unknown()), {}),
  crew: v.optional(v.unknown()),
  schools: v.optional(v.unknown()),
  wishes: v.optional(v.unknown()),
  without: v.optional(texts, []),
  only: v.optional(texts),
  forbidWheel: v.optional(texts, []),
  empty: v.optional(texts, []),
  rename: v.optional(v.record(v.string(), v.string()), {}),
  notes: v.optional(v.record(v.string(), v.string()), {}),
  /** How far tools of a kind reach, mm. */
  reach: v.optional(v.record(v.string(), v.number()), {}),
  drop: v.optional(texts, []),
  keepForPaint: v.optional(texts, []),
  expect: expectation,
})
type Situation = v.InferOutput<typeof situation>

const situations = v.parse(
  v.array(situation),
  JSON.parse(readFileSync('docs/examples/judgements.json', 'utf8')),
)

function jobOf(one: Situation): Job {
  const positions = one.positions ?? usualPositions[one.vehicle as VehicleKind]
  const zones = ['lip', 'face', 'windows', 'barrel', 'cap']
  const finishes = [
    ...zones.map((zone) => {
      const [finish, condition] = one.zones[zone] ?? [one.finish, one.condition]
      return { zone, finish, condition }
    }),
    ...(one.caliper === null ? [] : [{ zone: 'caliper', finish: one.caliper }]),
  ]
  const { sun, ...conditions } = one.conditions
  const read = readJob({
    format: jobFormat,
    vehicle: { kind: one.vehicle, ...(one.liner ? { archLiner: one.liner } : {}) },
    service: one.service,
    corners: positions.map((position) => {
      const loads =
        one.at[position] ?? (axleOf(position as Position) === 'front' ? (one.front ?? one.loads) : one.loads)
      return {
        position,
        tyreCode: one.wheel?.tyre ?? '225/45 R18',
        rimWidthInches: one.wheel?.rim ?? 8,
        spokeCount: one.wheel?.spokes ?? 5,
        ...(one.wheel?.spokes === 0 ? {} : { spokeWidthMillimetres: one.wheel?.width ?? 55 }),
        finishes,
        loads: Object.entries(loads).flatMap(([zone, soils]) =>
          Object.entries(soils).map(([soil, grade]) => ({ zone, soil, grade })),
        ),
        protection: one.protection,
        curing: one.curing.includes(position),
      }
    }),
    conditions,
    ...(one.crew ? { crew: one.crew } : {}),
    ...(one.schools ? { schools: one.schools } : {}),
    ...(one.wishes ? { wishes: one.wishes } : {}),
  })
  if (!read.ok) throw new Error(JSON.stringify(read.problems))
  const { job } = read.value
  return {
    ...job,
    conditions:
      sun === 'west'
        ? { ...job.conditions, sun: { elevationDegrees: 35, azimuthDegrees: 270 } }
        : job.conditions,
    cabinet: starterCabinet
      .filter(({ family }) => !one.without.includes(family) && (one.only?.includes(family) ?? true))
      .map((product) => ({
        ...product,
        name: one.rename[product.id] ?? product.name,
        note: one.notes[product.id] ?? product.note,
        ratings: one.forbidWheel.includes(product.id)
          ? { film: 1, freshDust: 1, organic: 1 }
          : product.ratings,
        stockMillilitres: one.empty.includes(product.id) ? 0 : product.stockMillilitres * 5,
      })),
    tools: starterTools.map((tool) => ({
      ...tool,
      reachMillimetres: one.reach[tool.kind] ?? tool.reachMillimetres,
      ...(one.drop.includes(tool.kind) ? { state: 'dropped' as const } : {}),
      ...(one.keepForPaint.includes(tool.kind) ? { dedicatedTo: 'paint' as const } : {}),
    })),
  }
}

const wheelStages = ({ stages }: Spoken<Plan>) => stages.filter(({ kind }) => cleansWheel(kind))
const familiesOf = (list: readonly { readonly family: string }[]) => [
  ...new Set(list.map(({ family }) => family)),
]
const said = ({ headline, shortfalls, assumptions }: Spoken<Plan>) =>
  [headline, ...shortfalls.flatMap(({ text, fix }) => [text, fix]), ...assumptions].join('\n')
const wordsOf = ({ steps }: Spoken<Plan>) =>
  steps.map(({ title, detail }) => `${title}. ${detail}`).join('\n')
const recipesOf = (plan: Spoken<Plan>, axle?: string) => {
  const byCorner = new Map<string, string>()
  for (const stage of wheelStages(plan).filter(({ family }) => roleOf(family) === 'wash'))
    for (const corner of stage.corners)
      if (!axle || axleOf(corner) === axle)
        byCorner.set(
          corner,
          `${byCorner.get(corner) ?? ''} ${stage.productId} ${stage.strength.from} ${stage.rounds}`,
        )
  return new Set(byCorner.values()).size
}
/** Rinses of one wheel that are not the protection's own. */
const rinsesAt = ({ steps, stages }: Spoken<Plan>): number => {
  const [{ corner: first = null } = {}] = steps.filter(({ corner }) => corner !== null)
  return steps.filter(
    ({ act, corner, stageId }) =>
      corner === first &&
      (act === 'preRinse' || act === 'rinse') &&
      !isFinishing(stages.find(({ id }) => id === stageId)?.kind ?? 'wash'),
  ).length
}
const firstWheel = ({ steps }: Spoken<Plan>): Step[] => {
  const corner = steps.find((step) => step.corner !== null)?.corner
  return steps.filter((step) => step.corner === corner)
}
const minutesOf = (plan: Spoken<Plan>) => (plan.sequence?.endSeconds ?? 0) / 60
const matching = (text: string, patterns: readonly string[]) => {
  for (const pattern of patterns) expect(text).toMatch(new RegExp(pattern))
}

type Check<K extends keyof Expected> = (plan: Spoken<Plan>, wanted: NonNullable<Expected[K]>) => void

const checks: { [K in keyof Expected]-?: Check<K> } = {
  headline: (plan, wanted) => expect(plan.headline).toMatch(new RegExp(wanted)),
  steps: (plan, wanted) => expect(plan.steps.length > 0).toBe(wanted === 'some'),
  minutes: (plan, [from, to]) => {
    expect(minutesOf(plan)).toBeGreaterThanOrEqual(from)
    expect(minutesOf(plan)).toBeLessThanOrEqual(to)
  },
  rinses: (plan, wanted) => expect(rinsesAt(plan)).toBe(wanted),
  rinsesAtLeast: (plan, wanted) => expect(rinsesAt(plan)).toBeGreaterThanOrEqual(wanted),
  recipes: (plan, wanted) => expect(recipesOf(plan)).toBe(wanted),
  atMostRecipesPerAxle: (plan, wanted) => {
    for (const axle of ['front', 'rear']) expect(recipesOf(plan, axle)).toBeLessThanOrEqual(wanted)
  },
  roundsAtMost: (plan, wanted) => {
    for (const { rounds } of wheelStages(plan)) expect(rounds).toBeLessThanOrEqual(wanted)
  },
  wash: (plan, wanted) => {
    const washes = familiesOf(wheelStages(plan)).filter((family) => roleOf(family as never) === 'wash')
    expect(washes.length).toBeGreaterThan(0)
    for (const family of washes) expect(wanted).toContain(family)
  },
  families: (plan, wanted) => expect(familiesOf(wheelStages(plan)).sort()).toEqual([...wanted].sort()),
  includes: (plan, wanted) => expect(familiesOf(plan.stages)).toEqual(expect.arrayContaining(wanted)),
  never: (plan, wanted) => {
    for (const { family, kind } of plan.stages)
      if (kind !== 'arch' && kind !== 'tyre') expect(wanted).not.toContain(family)
  },
  stages: (plan, wanted) =>
    expect(plan.stages.map(({ kind }) => kind)).toEqual(expect.arrayContaining(wanted)),
  stagesNot: (plan, wanted) => {
    for (const { kind } of plan.stages) expect(wanted).not.toContain(kind)
  },
  acts: (plan, wanted) => expect(plan.steps.map(({ act }) => act)).toEqual(expect.arrayContaining(wanted)),
  actsNot: (plan, wanted) => {
    for (const { act } of plan.steps) expect(wanted).not.toContain(act)
  },
  zones: (plan, wanted) =>
    expect(plan.steps.flatMap(({ zones }) => zones)).toEqual(expect.arrayContaining(wanted)),
  zonesNot: (plan, wanted) => {
    for (const { zones, act } of plan.steps)
      if (act !== 'preRinse') for (const zone of zones) expect(wanted).not.toContain(zone)
  },
  order: (plan, pairs) => {
    const acts = firstWheel(plan).map(({ act }) => act as string)
    for (const [before, after] of pairs) {
      expect(acts).toEqual(expect.arrayContaining([before, after]))
      expect(acts.indexOf(before)).toBeLessThan(acts.indexOf(after))
    }
  },
  roleOrder: (plan, [before, after]) => {
    const roles = wheelStages(plan).map(({ family }) => roleOf(family) as string)
    expect(roles).toEqual(expect.arrayContaining([before, after]))
    expect(roles.indexOf(before)).toBeLessThan(roles.indexOf(after))
  },
  afterBody: (plan, wanted) => {
    const acts = plan.steps.map(({ act }) => act as string)
    expect(acts.lastIndexOf('body')).toBeGreaterThan(0)
    expect(acts.indexOf(wanted)).toBeGreaterThan(acts.lastIndexOf('body'))
  },
  firstCorner: (plan, wanted) =>
    expect(plan.steps.find(({ corner }) => corner !== null)?.corner).toBe(wanted),
  corners: (plan, wanted) => {
    for (const [family, positions] of Object.entries(wanted))
      for (const stage of plan.stages.filter((one) => one.family === family))
        expect(stage.corners).toEqual(positions)
  },
  notAt: (plan, wanted) => {
    for (const { corner } of plan.steps) expect(wanted).not.toContain(corner)
  },
  dressNotAt: (plan, wanted) => {
    for (const { corner, act } of plan.steps) if (act === 'dress') expect(wanted).not.toContain(corner)
  },
  stageNotAt: (plan, wanted) => {
    for (const { kind, corners } of plan.stages)
      for (const position of wanted[kind] ?? []) expect(corners).not.toContain(position)
  },
  stageZonesNot: (plan, wanted) => {
    for (const { kind, zones } of plan.stages)
      for (const zone of zones) expect(wanted[kind] ?? []).not.toContain(zone)
  },
  testSpotAt: (plan, wanted) =>
    expect(plan.steps.flatMap(({ act, zones }) => (act === 'testSpot' ? zones : []))).toEqual(wanted),
  onlyZonesAt: (plan, wanted) => {
    for (const [position, zones] of Object.entries(wanted))
      for (const step of plan.steps.filter(({ corner, act }) => corner === position && act !== 'preRinse'))
        for (const zone of step.zones) expect(zones).toContain(zone)
  },
  millilitresAtMost: (plan, wanted) => {
    for (const [family, most] of Object.entries(wanted)) {
      const used = plan.stages.filter((stage) => stage.family === family)
      expect(used.length).toBeGreaterThan(0)
      expect(used.reduce((sum, { recipe }) => sum + recipe.totalMillilitres, 0)).toBeLessThanOrEqual(most)
    }
  },
  dwellAtLeast: (plan, wanted) => {
    for (const [family, least] of Object.entries(wanted)) {
      const used = plan.stages.filter((stage) => stage.family === family)
      expect(used.length).toBeGreaterThan(0)
      for (const { dwellSeconds } of used) expect(dwellSeconds.min).toBeGreaterThanOrEqual(least)
    }
  },
  protection: (plan, wanted) =>
    expect(familiesOf(plan.stages.filter(({ kind }) => kind === 'protect'))).toEqual(wanted),
  dress: (plan, wanted) =>
    expect(familiesOf(plan.stages.filter(({ kind }) => kind === 'dress'))).toEqual(wanted),
  tyre: (plan, wanted) => {
    const used = familiesOf(plan.stages.filter(({ kind }) => kind === 'tyre'))
    expect(used.length).toBeGreaterThan(0)
    for (const family of used) expect(wanted).toContain(family)
  },
  tyreRounds: (plan, [least, most]) => {
    for (const { rounds } of plan.stages.filter(({ kind }) => kind === 'tyre')) {
      expect(rounds).toBeGreaterThanOrEqual(least)
      expect(rounds).toBeLessThanOrEqual(most)
    }
  },
  says: (plan, wanted) => matching(said(plan), wanted),
  saysNot: (plan, wanted) => {
    for (const pattern of wanted) expect(said(plan)).not.toMatch(new RegExp(pattern))
  },
  step: (plan, wanted) => matching(wordsOf(plan), [wanted]),
  stepNot: (plan, wanted) => expect(wordsOf(plan)).not.toMatch(new RegExp(wanted)),
  caution: (plan, wanted) => matching(plan.steps.flatMap(({ cautions }) => cautions).join('\n'), [wanted]),
  timing: (plan, wanted) =>
    matching(
      plan.timings
        .filter(({ sections, mists, freshCoats = 1 }) => sections > 1 || mists > 0 || freshCoats > 1)
        .map(({ text }) => text)
        .join('\n'),
      [wanted],
    ),
  testSpot: (plan, wanted) => expect(plan.testSpot !== null).toBe(wanted),
  verdicts: (plan, wanted) => {
    for (const [id, verdict] of Object.entries(wanted))
      expect([id, plan.verdicts.find(({ productId }) => productId === id)?.verdict]).toEqual([id, verdict])
  },
}

describe('what a master would say', () => {
  it('of at least two hundred situations, each with a name of its own', () => {
    expect(situations.length).toBeGreaterThanOrEqual(200)
    expect(new Set(situations.map(({ name }) => name)).size).toBe(situations.length)
  })

  it.each(situations.map((one) => [one.name, one] as const))('%s', (_, one) => {
    const plan = inEnglish(planInOrder(jobOf(one), 3_000))
    expect(Object.keys(one.expect).length).toBeGreaterThan(0)
    for (const [name, value] of Object.entries(one.expect)) {
      const check = checks[name as keyof Expected] as Check<never>
      check(plan, value as never)
    }
  })
})
