import { message } from '@/core/message/message'
import { issueText } from './issueText'
import * as v from 'valibot'
import { houseEstimates } from '@/core/estimates/houseEstimates'
import type { ShopForecast } from '@/core/protection/forecast'
import type { ShopRecord } from '@/core/protection/record'
import { failWith, succeed, type Problem, type Result } from '@/core/result'
import { list, numberFrom, oneOf, shortText, wholeNumberFrom } from './fields'
import { readJsonText } from './jsonText'
import { parse } from './problems'

export const recordFormat = 'even-spoke/record/1'
export const forecastFormat = 'even-spoke/forecast/1'

const id = shortText('id', 80)
const instant = v.pipe(
  v.string(),
  v.isoTimestamp(issueText('fields.instant')),
  v.check((text) => !Number.isNaN(Date.parse(text)), issueText('fields.validDate')),
)
const share = numberFrom(0, 1)

const kindLife = v.strictObject({
  lifeDays: numberFrom(1, 10_000, 'days'),
  lifeKilometres: numberFrom(10, 1_000_000, 'km'),
  washFactor: numberFrom(0, 20),
  hotFactor: v.optional(numberFrom(0.5, 10)),
})

/** What a shop has on record of its protection, version 1. */
export const recordFile = v.strictObject({
  format: v.literal(recordFormat, issueText('problems.file.format', { format: recordFormat })),
  now: instant,
  estimates: v.strictObject({
    kinds: v.record(id, kindLife),
    rearDustShare: share,
    winterFactor: numberFrom(0.5, 10),
    winterMonths: list(wholeNumberFrom(1, 12), 12, 'months'),
    hotMonths: v.optional(list(wholeNumberFrom(1, 12), 12, 'months')),
    storedFactor: share,
    coveredFactor: v.optional(share),
    setSpread: numberFrom(0.01, 2),
    productSpread: numberFrom(0.01, 2),
    axleSpread: v.optional(numberFrom(0.01, 2), houseEstimates.axleWearSpread.value),
    lookSpread: numberFrom(0.01, 1),
    clogPerWeek: share,
    clogWinterPerWeek: share,
    clogLeftByWash: share,
    clogMost: numberFrom(0, 0.95),
  }),
  products: list(
    v.strictObject({ id, name: v.optional(shortText('name'), ''), kind: id }),
    10_000,
    'entries',
  ),
  sets: list(
    v.strictObject({
      id,
      kilometresPerWeek: numberFrom(0, 10_000, 'km'),
      dustFactor: numberFrom(0, 20),
      stored: list(v.strictObject({ from: instant, to: v.nullable(instant) }), 500, 'periods'),
      season: v.optional(oneOf(['winter', 'summer'])),
    }),
    10_000,
    'entries',
  ),
  layers: list(
    v.strictObject({
      id,
      setId: id,
      axle: oneOf(['front', 'rear']),
      productId: id,
      appliedAt: instant,
      endedAt: v.nullable(instant),
    }),
    10_000,
    'entries',
  ),
  washes: list(
    v.strictObject({ at: instant, setId: id, wear: numberFrom(0, 1), reviving: v.boolean() }),
    100_000,
    'washes',
  ),
  looks: list(
    v.strictObject({
      at: instant,
      layerId: id,
      beading: v.picklist([0, 1, 2, 3, 4], issueText('problems.record.grade')),
      afterReviving: v.boolean(),
    }),
    100_000,
    'looks',
  ),
})

type RecordFile = v.InferOutput<typeof recordFile>

/** Ids that stand twice in a list. */
const twice = (name: string, entries: readonly { readonly id: string }[]): Problem[] => {
  const seen = new Set<string>()
  return entries.flatMap((entry, at) => {
    if (!seen.has(entry.id)) {
      seen.add(entry.id)
      return []
    }
    return [{ path: `${name}[${at}].id`, found: entry.id, fix: message('problems.record.idOnce') }]
  })
}

/** What no schema can say: ids that point nowhere, times in the wrong order. */
function contradictions(file: RecordFile): Problem[] {
  const sets = new Set(file.sets.map((set) => set.id))
  const products = new Map(file.products.map((product) => [product.id, product]))
  const layers = new Map(file.layers.map((layer) => [layer.id, layer]))
  const now = Date.parse(file.now)
  const unknown = (path: string, found: string, what: 'kind' | 'set' | 'product' | 'layer'): Problem => ({
    path,
    found,
    fix: message('problems.record.unknown', { what }),
  })
  const late = (path: string, found: string): Problem => ({
    path,
    found,
    fix: message('problems.record.late', { now: file.now }),
  })
  return [
    ...twice('sets', file.sets),
    ...twice('products', file.products),
    ...twice('layers', file.layers),
    ...file.products.flatMap(({ kind }, at) =>
      kind in file.estimates.kinds ? [] : [unknown(`products[${at}].kind`, kind, 'kind')],
    ),
    ...file.sets.flatMap(({ stored }, at) =>
      stored.flatMap(({ from, to }, period) =>
        to !== null && Date.parse(to) < Date.parse(from)
          ? [
              {
                path: `sets[${at}].stored[${period}].to`,
                found: to,
                fix: message('problems.record.endsBefore', { from }),
              },
            ]
          : [],
      ),
    ),
    ...file.layers.flatMap(({ setId, productId, appliedAt, endedAt }, at) => [
      ...(sets.has(setId) ? [] : [unknown(`layers[${at}].setId`, setId, 'set')]),
      ...(products.has(productId) ? [] : [unknown(`layers[${at}].productId`, productId, 'product')]),
      ...(Date.parse(appliedAt) > now ? [late(`layers[${at}].appliedAt`, appliedAt)] : []),
      ...(endedAt !== null && Date.parse(endedAt) < Date.parse(appliedAt)
        ? [
            {
              path: `layers[${at}].endedAt`,
              found: endedAt,
              fix: message('problems.record.endsBeforeApplied', { appliedAt }),
            },
          ]
        : []),
    ]),
    ...file.washes.flatMap(({ setId, at: when }, at) => [
      ...(sets.has(setId) ? [] : [unknown(`washes[${at}].setId`, setId, 'set')]),
      ...(Date.parse(when) > now ? [late(`washes[${at}].at`, when)] : []),
    ]),
    ...file.looks.flatMap(({ layerId, at: when }, at) => {
      const layer = layers.get(layerId)
      if (!layer) return [unknown(`looks[${at}].layerId`, layerId, 'layer')]
      if (Date.parse(when) > now) return [late(`looks[${at}].at`, when)]
      return Date.parse(when) < Date.parse(layer.appliedAt)
        ? [
            {
              path: `looks[${at}].at`,
              found: when,
              fix: message('problems.record.appliedLater', { appliedAt: layer.appliedAt }),
            },
          ]
        : []
    }),
  ]
}

/** So many problems say enough. */
const maxProblems = 20

const recordOf = (file: RecordFile): ShopRecord => ({
  now: new Date(file.now),
  estimates: file.estimates,
  products: file.products,
  sets: file.sets.map(({ stored, season, ...set }) => ({
    ...set,
    ...(season ? { season } : {}),
    stored: stored.map(({ from, to }) => ({ from: new Date(from), to: to === null ? null : new Date(to) })),
  })),
  layers: file.layers.map((layer) => ({
    ...layer,
    appliedAt: new Date(layer.appliedAt),
    endedAt: layer.endedAt === null ? null : new Date(layer.endedAt),
  })),
  washes: file.washes.map((wash) => ({ ...wash, at: new Date(wash.at) })),
  looks: file.looks.map((look) => ({ ...look, at: new Date(look.at) })),
})

/** Reads a shop's record from any unknown value. */
export function readRecord(input: unknown): Result<ShopRecord> {
  const file = parse(recordFile, input)
  if (!file.ok) return file
  const problems = contradictions(file.value)
  return problems.length > 0 ? failWith(problems.slice(0, maxProblems)) : succeed(recordOf(file.value))
}

export function readRecordText(text: string): Result<ShopRecord> {
  const json = readJsonText(text)
  return json.ok ? readRecord(json.value) : json
}

const band = v.strictObject({ p10: v.number(), p50: v.number(), p90: v.number() })

/**
 * A shop's forecast, version 1: days from the record's `now`, below zero past; multipliers of a product's life against its kind;
 * and how many later looks lay inside what had been forecast before them.
 */
export const forecastFile = v.strictObject({
  format: v.literal(forecastFormat),
  layers: v.array(v.strictObject({ id, usedShare: v.number(), topUpDays: band, renewDays: band })),
  products: v.array(v.strictObject({ id, lifeMultiplier: band })),
  calibration: v.strictObject({ looks: v.number(), inside: v.number(), widen: v.number() }),
})

export const writeForecast = (forecast: ShopForecast) => ({ format: forecastFormat, ...forecast })
