import type { Product } from '@/core/chemistry/product'
import { protectionFacts } from '@/core/protection/kinds'
import { costMinor } from '@/core/quantity/money'
import { defaultSettings } from '@/contracts/settings'
import type { DatabaseTransaction } from '@/data/database'
import { addLayer } from '@/data/queries/protection'
import { addLook } from '@/data/queries/looks'
import { addVisit } from '@/data/queries/visits'
import type { DemoFiles, Rhythm } from './readDemoFiles'
import type { WearStory } from './wearStory'

const millisecondsPerDay = 86_400_000

/** Visits do not fall on the dot: a fixed small shift, days, by their number. */
const shiftDays = (index: number): number => [0, 2, -1, 3, -2, 1][index % 6] ?? 0

function* daysAgo({ everyDays, firstDaysAgo, lastDaysAgo, months }: Rhythm, now: Date): Generator<number> {
  let index = 0
  for (let day = firstDaysAgo; day > lastDaysAgo; day -= everyDays) {
    const shifted = Math.max(lastDaysAgo + 1, day + shiftDays(index))
    index += 1
    const month = new Date(now.getTime() - shifted * millisecondsPerDay).getUTCMonth() + 1
    if (!months || months.includes(month)) yield shifted
  }
  yield lastDaysAgo
}

/** A visit of the story that is told. */
interface DemoVisit {
  readonly rhythm: Rhythm
  /** Which of its rhythm it is. */
  readonly index: number
  readonly days: number
}

/** All visits, the first one first. */
const visitsOf = (history: readonly Rhythm[], now: Date): DemoVisit[] =>
  history
    .flatMap((rhythm) => [...daysAgo(rhythm, now)].map((days, index) => ({ rhythm, days, index })))
    .sort((a, b) => b.days - a.days || a.rhythm.wheelSet.localeCompare(b.rhythm.wheelSet))

/** What the visits are written from. */
export interface Telling {
  readonly files: DemoFiles
  readonly cabinet: readonly Product[]
  /** Wheel sets by their key. */
  readonly ids: ReadonlyMap<string, string>
  readonly story: WearStory
  readonly now: Date
}

/** Writes the visits down, with the layers they put on and the looks of their day; gives how many. */
export async function fillVisits(transaction: DatabaseTransaction, telling: Telling): Promise<number> {
  const visits = visitsOf(telling.files.history, telling.now)
  for (const visit of visits) await fillVisit(transaction, telling, visit)
  return visits.length
}

async function fillVisit(
  transaction: DatabaseTransaction,
  { files, cabinet, ids, story, now }: Telling,
  { rhythm, days, index }: DemoVisit,
): Promise<void> {
  const work = files.works[rhythm.work]
  const wheelSetId = ids.get(rhythm.wheelSet)
  const set = files.wheelSets.find(({ key }) => key === rhythm.wheelSet)
  if (!work || !wheelSetId || !set)
    throw new Error(`history.json names ${rhythm.wheelSet} or ${rhythm.work}, which do not exist`)
  const finishedAt = new Date(now.getTime() - days * millisecondsPerDay - (index % 5) * 3_600_000)
  const used = usedFor(work.products, cabinet)
  const results = Array.isArray(rhythm.results) ? rhythm.results : [rhythm.results]
  const result = results[index % results.length] ?? 'clean'
  const visitId = await addVisit(transaction, {
    wheelSetId,
    jobId: null,
    finishedAt,
    headline: work.headline,
    result,
    note: result === 'clean' && index % 4 !== 0 ? '' : rhythm.note,
    operatorSeconds: (work.minutes + (index % 3) * 4) * 60,
    costMinor: used.reduce((sum, item) => sum + item.costMinor, 0),
    currency: defaultSettings.currency,
    products: used,
    service: work.service,
    wash: { wear: work.wear, reviving: work.reviving },
  })
  const positions = set.input.wheels.map(({ position }) => position)
  for (const look of story.looksAt(rhythm.wheelSet, positions, finishedAt, work.reviving))
    await addLook(transaction, wheelSetId, look)
  story.washed(rhythm.wheelSet, {
    at: finishedAt,
    setId: wheelSetId,
    wear: work.wear,
    reviving: work.reviving,
  })
  for (const kind of rhythm.protects) {
    const named = protectionFacts[kind].on === 'wheel' ? rhythm.productNames : undefined
    const productName =
      named?.[index % named.length] ?? cabinet.find(({ family }) => family === kind)?.name ?? kind
    story.putOn(rhythm.wheelSet, kind, productName, set.input.vehicle.kilometresPerWeek, finishedAt)
    for (const position of positions)
      await addLayer(transaction, wheelSetId, { position, kind, appliedAt: finishedAt, productName }, visitId)
  }
}

/** Products by name and what they cost. */
const usedFor = (products: Readonly<Record<string, number>>, cabinet: readonly Product[]) =>
  Object.entries(products).map(([name, millilitres]) => {
    const product = cabinet.find((candidate) => candidate.name === name)
    if (!product) throw new Error(`works.json names ${name}, which is not in cabinet.json`)
    return {
      name,
      concentrateMillilitres: millilitres,
      costMinor: costMinor(millilitres, product.packMillilitres, product.packPriceMinor),
    }
  })
