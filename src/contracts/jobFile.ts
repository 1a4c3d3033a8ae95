import type { Unit } from '@/core/message/unit'
import { message } from '@/core/message/message'
import { issueText } from './issueText'
import * as v from 'valibot'
import { starterCabinet } from '@/core/chemistry/starterCabinet'
import { estimateIds, houseEstimates, type EstimateId } from '@/core/estimates/houseEstimates'
import { finishes } from '@/core/finishes/finish'
import { planNames, type Corner, type Job } from '@/core/job/job'
import { testSpotResults } from '@/core/job/testSpot'
import type { ZoneLoads } from '@/core/soils/zoneLoads'
import {
  defaultMethods,
  methodNames,
  methodChoices,
  type MethodName,
  type Methods,
} from '@/core/methods/methods'
import { acts, type Act } from '@/core/plan/plan'
import { protectionKinds } from '@/core/protection/kinds'
import { fail, failWith, succeed, type Problem, type Result } from '@/core/result'
import { serviceIds } from '@/core/visit-kinds/service'
import { soils } from '@/core/soils/soil'
import { starterTools } from '@/core/tools/starterTools'
import { wheelGeometry } from '@/core/wheel-geometry'
import { archLiners, vehicleKinds } from '@/core/wheel/position'
import { zones } from '@/core/wheel/zone'
import { conditionsFile, conditionsOf } from './conditions'
import { idsOnce, maxProducts, maxTools, productFile, productOf, toolFile, toolOf } from './cabinet'
import { list, listOf, numberFrom, oneOf, shortText, wholeNumberFrom } from './fields'
import { readJsonText } from './jsonText'
import { parse } from './problems'
import { oncePerPosition, positionsOnce, wheelEntries } from './wheel'

export const jobFormat = 'even-spoke/job/1'

/** Larger than any honest job; junk is turned away before it is parsed. */
export const longestJobBytes = 1_000_000

/** More are not one job. */
const maxWheels = 12

const loadEntry = v.strictObject({
  zone: oneOf(zones),
  soil: oneOf(soils),
  grade: v.picklist([0, 1, 2, 3, 4], issueText('problems.job.grade')),
})

const everySoilOnce = issueText('problems.job.soilOnce')

/** What was graded at one wheel. */
export const cornerLoads = v.pipe(
  listOf(loadEntry, zones.length * soils.length, everySoilOnce),
  v.check(
    (loads) => new Set(loads.map(({ zone, soil }) => `${zone} ${soil}`)).size === loads.length,
    everySoilOnce,
  ),
)

const corner = v.strictObject({
  ...wheelEntries,
  loads: v.optional(cornerLoads, []),
  protection: v.optional(list(oneOf(protectionKinds), 50, 'protections'), []),
  curing: v.optional(v.boolean(), false),
})

const method = <K extends MethodName>(name: K) => {
  const values = methodChoices[name] as unknown as readonly [Methods[K], ...Methods[K][]]
  return v.optional(
    v.picklist(
      values as readonly (string | boolean)[] as never,
      issueText('fields.oneOf', { values: values.join(', ') }),
    ),
    defaultMethods[name] as never,
  ) as unknown as v.OptionalSchema<v.GenericSchema<Methods[K]>, Methods[K]>
}

/** What the shop has set where practitioners disagree; each has the trade's default. */
export const schoolsFile = v.strictObject(
  Object.fromEntries(methodNames.map((name) => [name, method(name)])) as {
    [K in MethodName]: ReturnType<typeof method<K>>
  },
)

/** Shares and factors are bare numbers; what they are counted in says nothing in a sentence. */
const bareUnits: readonly (Unit | null)[] = ['share', 'factor', 'times', 'log', 'eFolds', 'amount', 'points']
const isMeasure = (unit: Unit | null): boolean => !bareUnits.includes(unit)

const estimateEntries = Object.fromEntries(
  estimateIds.map((id) => {
    const { low, high, unit } = houseEstimates[id]
    return [id, v.optional(numberFrom(low, high, isMeasure(unit) ? unit : null))]
  }),
) as unknown as Record<EstimateId, v.OptionalSchema<v.GenericSchema<number>, undefined>>

/** A shop's own values in place of house estimates. */
export const estimatesFile = v.strictObject({
  ...estimateEntries,
  /** In files of before: the washer's flow is told by the equipment alone now. Taken, and not used. */
  washerLitresPerMinute: v.optional(numberFrom(2, 30, 'litresPerMinute')),
})

const paceOfAct = v.optional(
  v.strictObject({
    factor: numberFrom(0.4, 2.5, 'houseTimes'),
    times: wholeNumberFrom(1, 100_000, 'loggedTimes'),
  }),
)

/** How the person's own logged times compare with the house's, by act. */
export const paceFile = v.strictObject(
  Object.fromEntries(acts.map((act) => [act, paceOfAct])) as Record<Act, typeof paceOfAct>,
)

/** What earlier test spots on these wheels showed. */
export const testSpotsFile = list(
  v.strictObject({
    productId: shortText('productId', 60),
    finish: oneOf(finishes),
    result: oneOf(testSpotResults),
  }),
  500,
  'testSpots',
)

const productIds = list(shortText('productId', 60), maxProducts, 'products')

const wishesEntries = v.strictObject({
  prefer: v.optional(oneOf(planNames), 'gentlest'),
  pinned: v.optional(productIds, []),
  forbidden: v.optional(productIds, []),
  placed: v.optional(
    list(
      v.strictObject({
        stepId: shortText('stepId', 120),
        startSeconds: numberFrom(0, 200_000, 'seconds'),
      }),
      50,
      'placed',
    ),
    [],
  ),
  minutesAllowed: v.optional(numberFrom(1, 2000, 'minutes')),
  costAllowedMinor: v.optional(wholeNumberFrom(0, 100_000_000, 'minor')),
})

/** What the person wants. A product that is wanted and ruled out at once is a contradiction nobody can plan. */
export const wishesFile = v.pipe(
  wishesEntries,
  v.forward(
    v.check(
      ({ pinned, forbidden }) => pinned.every((id) => !forbidden.includes(id)),
      issueText('problems.job.pinnedAndOut'),
    ),
    ['forbidden'],
  ),
)

const lanceFile = v.strictObject({
  washerLitresPerMinute: v.optional(numberFrom(1, 40, 'litresPerMinute'), 8),
  drawLitresPerMinute: v.optional(numberFrom(0.05, 10, 'litresPerMinute'), 1.1),
})

export const equipmentFile = v.strictObject({
  smallestMeasureMillilitres: v.optional(numberFrom(0.1, 100, 'ml'), 5),
  bucketLitres: v.optional(numberFrom(1, 50, 'litres'), 10),
  pressureBar: v.optional(numberFrom(1, 400, 'bar'), 110),
  lance: v.optional(lanceFile, {}),
})

export const currencyCode = v.pipe(v.string(), v.regex(/^[A-Z]{3}$/, issueText('fields.currency')))

/** A job as a file, version 1. Everything optional has its default stated here. */
export const jobFile = v.strictObject({
  format: v.literal(jobFormat, issueText('problems.file.format', { format: jobFormat })),
  vehicle: v.optional(
    v.strictObject({
      name: v.optional(shortText('vehicleName'), 'Vehicle'),
      kind: v.optional(oneOf(vehicleKinds), 'car'),
      archLiner: v.optional(oneOf(archLiners), 'plastic'),
    }),
    {},
  ),
  wheelSet: v.optional(v.strictObject({ name: v.optional(shortText('wheelSetName'), 'Wheel set') }), {}),
  corners: v.pipe(
    listOf(corner, maxWheels, issueText('fields.tooManyWheels', { most: maxWheels })),
    v.minLength(1, issueText('problems.job.noWheel')),
    v.check((list) => positionsOnce(list), oncePerPosition),
  ),
  service: v.optional(oneOf(serviceIds), 'decontaminate'),
  conditions: v.optional(conditionsFile, {}),
  crew: v.optional(v.strictObject({ people: v.optional(wholeNumberFrom(1, 2, 'people'), 1) }), {}),
  cabinet: v.optional(
    v.pipe(
      list(productFile, maxProducts, 'products'),
      v.minLength(1, issueText('problems.job.emptyCabinet')),
      v.check((list) => idsOnce(list), issueText('problems.file.productIds')),
    ),
  ),
  tools: v.optional(
    v.pipe(
      list(toolFile, maxTools, 'tools'),
      v.check((list) => idsOnce(list), issueText('problems.file.toolIds')),
    ),
  ),
  schools: v.optional(schoolsFile, {}),
  wishes: v.optional(wishesFile, {}),
  estimates: v.optional(estimatesFile, {}),
  pace: v.optional(paceFile, {}),
  testSpots: v.optional(testSpotsFile, []),
  equipment: v.optional(equipmentFile, {}),
  currency: v.optional(currencyCode, 'EUR'),
})

export type JobFile = v.InferOutput<typeof jobFile>
/** A job file before the defaults are filled in. */
export type JobFileInput = v.InferInput<typeof jobFile>

const loadsOf = (entries: JobFile['corners'][number]['loads']): ZoneLoads =>
  entries.reduce<ZoneLoads>(
    (loads, { zone, soil, grade }) => ({ ...loads, [zone]: { ...loads[zone], [soil]: grade } }),
    {},
  )

/** The job the core plans with. Problems are at the path of the corner they belong to. */
export function jobOf(file: JobFile): Result<Job> {
  const problems: Problem[] = []
  const corners = file.corners.flatMap((entry, index): Corner[] => {
    const wheel = wheelGeometry(entry)
    if (!wheel.ok) {
      problems.push(
        ...wheel.problems.map((problem) => ({ ...problem, path: `corners[${index}].${problem.path}` })),
      )
      return []
    }
    return [
      {
        position: entry.position,
        wheel: wheel.value,
        finishes: Object.fromEntries(
          entry.finishes.map(({ zone, finish, condition }) => [zone, { finish, condition }]),
        ),
        loads: loadsOf(entry.loads),
        protection: entry.protection,
        curing: entry.curing,
      },
    ]
  })
  if (problems.length > 0) return failWith(problems)
  return succeed({
    vehicleName: file.vehicle.name,
    vehicleKind: file.vehicle.kind,
    archLiner: file.vehicle.archLiner,
    wheelSetName: file.wheelSet.name,
    service: file.service,
    corners,
    conditions: conditionsOf(file.conditions),
    crew: file.crew,
    cabinet: file.cabinet?.map(productOf) ?? starterCabinet,
    tools: file.tools?.map(toolOf) ?? starterTools,
    methods: file.schools,
    wishes: file.wishes,
    estimates: file.estimates,
    pace: file.pace,
    testSpots: file.testSpots,
    equipment: file.equipment,
    currency: file.currency,
  })
}

/** Reads a job from any unknown value: file, form or request. */
export function readJob(input: unknown): Result<{ file: JobFile; job: Job }> {
  const file = parse(jobFile, input)
  if (!file.ok) return file
  const job = jobOf(file.value)
  return job.ok ? succeed({ file: file.value, job: job.value }) : job
}

/** Reads a job from text, with size and syntax checked first. */
export function readJobText(text: string): Result<{ file: JobFile; job: Job }> {
  const bytes = new TextEncoder().encode(text).length
  if (bytes > longestJobBytes) {
    return fail({
      path: '',
      found: message('problems.file.bytes', { bytes }),
      fix: message('problems.file.jobSize', { most: longestJobBytes }),
    })
  }
  const json = readJsonText(text)
  if (!json.ok) return json
  return readJob(json.value)
}
