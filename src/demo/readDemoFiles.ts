import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import * as v from 'valibot'
import { conditionsFile } from '@/contracts/conditions'
import { conditions, finishes } from '@/core/finishes/finish'
import { protectionKinds } from '@/core/protection/kinds'
import { visitResults } from '@/core/run/visitResult'
import { serviceIds } from '@/core/visit-kinds/service'
import { soils } from '@/core/soils/soil'
import { axleOf, positions, usualPositions, vehicleKinds } from '@/core/wheel/position'
import { finishZones, zones } from '@/core/wheel/zone'
import { productFile, toolFile } from '@/contracts/cabinet'
import type { IntakeInput } from '@/contracts/intake'
import { problemsOf } from '@/contracts/problems'
import { wheelSetInput, type WheelSetInput } from '@/contracts/wheelSet'

const finishMark = v.union([v.picklist(finishes), v.tuple([v.picklist(finishes), v.picklist(conditions)])])

const axleWheel = v.strictObject({
  tyreCode: v.string(),
  rimWidthInches: v.number(),
  spokeCount: v.number(),
  spokeWidthMillimetres: v.number(),
  spokeDepthMillimetres: v.number(),
  hardwarePieces: v.optional(v.number()),
  /** Finish by zone; `all` speaks for the zones not named. A pair is finish and condition. */
  finishes: v.partial(v.strictObject({ all: finishMark, ...v.entriesFromList(finishZones, finishMark) })),
})
type AxleWheel = v.InferOutput<typeof axleWheel>

const grade = v.picklist([0, 1, 2, 3, 4])
const loads = v.partial(
  v.strictObject(v.entriesFromList(zones, v.partial(v.strictObject(v.entriesFromList(soils, grade))))),
)

const demoWheelSet = v.strictObject({
  key: v.string(),
  /** Checked with the wheel set it becomes part of. */
  vehicle: v.looseObject({ name: v.string(), kind: v.picklist(vehicleKinds) }),
  name: v.string(),
  season: v.optional(v.picklist(['winter', 'summer'])),
  note: v.string(),
  positions: v.optional(v.array(v.picklist(positions))),
  front: axleWheel,
  rear: v.optional(axleWheel),
  /** What is on the wheels today, by axle. */
  seen: v.strictObject({ front: loads, rear: loads }),
})
type DemoWheelSet = v.InferOutput<typeof demoWheelSet>

const work = v.strictObject({
  headline: v.string(),
  minutes: v.number(),
  products: v.record(v.string(), v.number()),
  service: v.picklist(serviceIds),
  /** Share of a sealant's life the wash takes. */
  wear: v.number(),
  reviving: v.boolean(),
})

const rhythm = v.strictObject({
  wheelSet: v.string(),
  work: v.string(),
  everyDays: v.number(),
  firstDaysAgo: v.number(),
  lastDaysAgo: v.number(),
  /** Months of the year in which the set is in use; absent: all. */
  months: v.optional(v.array(v.number())),
  protects: v.array(v.picklist(protectionKinds)),
  /** Products on the wheels, one visit after the other; absent: the cabinet's own. */
  productNames: v.optional(v.array(v.string())),
  results: v.union([v.picklist(visitResults), v.array(v.picklist(visitResults))]),
  note: v.optional(v.string(), ''),
})
export type Rhythm = v.InferOutput<typeof rhythm>

/** What really wears, and what was entered of it. */
const wear = v.strictObject({
  truth: v.strictObject({
    products: v.record(v.string(), v.number()),
    sets: v.record(v.string(), v.number()),
  }),
  /** Sets whose last look was at a layer that film hides. */
  clogged: v.array(v.string()),
  changes: v.array(
    v.strictObject({ on: v.string(), off: v.string(), months: v.array(v.number()), storedWhere: v.string() }),
  ),
  refitted: v.array(v.strictObject({ set: v.string(), daysAgo: v.number(), torqueNewtonMetres: v.number() })),
  /** Kilometres today, and a week's driving, the latest half year last. */
  odometers: v.array(
    v.strictObject({ set: v.string(), kilometres: v.number(), perWeek: v.array(v.number()) }),
  ),
  resinFilledDaysAgo: v.number(),
  reminders: v.array(v.strictObject({ about: v.string(), set: v.nullable(v.string()), inDays: v.number() })),
})
export type DemoWear = v.InferOutput<typeof wear>

function readFile<TSchema extends v.GenericSchema>(name: string, schema: TSchema): v.InferOutput<TSchema> {
  const path = join(process.cwd(), 'src', 'demo', 'data', name)
  const parsed = v.safeParse(schema, JSON.parse(readFileSync(path, 'utf8')))
  if (parsed.success) return parsed.output
  const lines = problemsOf(parsed.issues).map(
    (problem) => `${name} ${problem.path}: found ${problem.found}. ${problem.fix}`,
  )
  throw new Error(lines.join('\n'))
}

function finishesOf(marks: AxleWheel['finishes']): WheelSetInput['wheels'][number]['finishes'] {
  return finishZones.flatMap((zone) => {
    const mark = marks[zone] ?? marks.all
    if (mark === undefined) return []
    return [
      typeof mark === 'string'
        ? { zone, finish: mark, condition: 'sound' as const }
        : { zone, finish: mark[0], condition: mark[1] },
    ]
  })
}

function inputOf(set: DemoWheelSet): WheelSetInput {
  return v.parse(wheelSetInput, {
    vehicle: set.vehicle,
    name: set.name,
    note: set.note,
    ...(set.season ? { season: set.season } : {}),
    wheels: (set.positions ?? usualPositions[set.vehicle.kind]).map((position) => {
      const { finishes: marks, ...measures } =
        axleOf(position) === 'front' ? set.front : (set.rear ?? set.front)
      return { position, ...measures, finishes: finishesOf(marks) }
    }),
  })
}

function intakeOf(set: DemoWheelSet): IntakeInput {
  const at = set.positions ?? usualPositions[set.vehicle.kind]
  return {
    corners: at.map((position) => ({
      position,
      loads: Object.entries(set.seen[axleOf(position)]).flatMap(([zone, bySoil]) =>
        Object.entries(bySoil).map(([soil, amount]) => ({ zone, soil, grade: amount })),
      ) as IntakeInput['corners'][number]['loads'],
    })),
    conditions: v.parse(conditionsFile, { airCelsius: 14, exposure: 'shade' }),
    people: 1,
  }
}

/** All demo data, checked by the same contracts as a person's own. */
export function readDemoFiles() {
  return {
    products: readFile('cabinet.json', v.array(productFile)),
    tools: readFile('tools.json', v.array(toolFile)),
    wheelSets: readFile('wheel-sets.json', v.array(demoWheelSet)).map((set) => ({
      key: set.key,
      input: inputOf(set),
      intake: intakeOf(set),
    })),
    works: readFile('works.json', v.record(v.string(), work)),
    history: readFile('history.json', v.array(rhythm)),
    wear: readFile('wear.json', wear),
  }
}
export type DemoFiles = ReturnType<typeof readDemoFiles>
