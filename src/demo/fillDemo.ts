import { protectionFacts } from '@/core/protection/kinds'
import { costMinor } from '@/core/quantity/money'
import { productOf, toolOf } from '@/contracts/cabinet'
import { defaultSettings } from '@/contracts/settings'
import type { Database } from '@/data/database'
import { addProduct } from '@/data/queries/cabinet'
import { putTool } from '@/data/queries/tools'
import { findJob, markFinished, storeRunEvents } from '@/data/queries/jobs'
import { addLayer } from '@/data/queries/protection'
import { writeSettings } from '@/data/queries/settings'
import { addLook } from '@/data/queries/looks'
import { addVisit } from '@/data/queries/visits'
import { addWheelSet } from '@/data/queries/wheelSets'
import { listVehicles } from '@/data/queries/vehicles'
import { planJob } from '@/services/planJob'
import { readDemoFiles, type Rhythm } from './readDemoFiles'
import { fillWear } from './fillWear'
import { WearStory } from './wearStory'
import { workedTaps } from './workedTaps'

const millisecondsPerDay = 86_400_000
/** Film has gathered on one coating for so long. */
const cloggedDays = 90

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

/** Fills an empty database with the demo shop. Everything is relative to `now`, so that the demo never goes stale. */
export async function fillDemo(database: Database, now: Date, say: (text: string) => void): Promise<void> {
  const { products, tools, wheelSets, works, history, wear } = readDemoFiles()
  await writeSettings(database, {
    ...defaultSettings,
    shopName: 'Saltmarsh Wheel Care',
    place: { latitude: 50, longitude: 0 },
    filter: { resinLitres: 8, hardnessPpm: 260, litresPerVisit: 15 },
  })
  const cabinet = products.map(productOf)
  const ids = new Map<string, string>()
  await database.transaction(async (transaction) => {
    for (const product of cabinet) await addProduct(transaction, product, defaultSettings.currency)
    for (const tool of tools) await putTool(transaction, toolOf(tool))
  })
  say(`${cabinet.length} products, ${tools.length} tools`)
  for (const { key, input } of wheelSets) {
    const owner = (await listVehicles(database, { name: input.vehicle.name, most: 9 })).find(
      ({ vehicle }) => vehicle.name === input.vehicle.name,
    )
    ids.set(key, await addWheelSet(database, input, owner))
  }
  say(`${wheelSets.length} wheel sets`)

  const visits = history
    .flatMap((rhythm) => [...daysAgo(rhythm, now)].map((days, index) => ({ rhythm, days, index })))
    .sort((a, b) => b.days - a.days || a.rhythm.wheelSet.localeCompare(b.rhythm.wheelSet))
  const story = new WearStory(wear, new Date(now.getTime() - cloggedDays * millisecondsPerDay))
  await database.transaction(async (transaction) => {
    for (const { rhythm, days, index } of visits) {
      const work = works[rhythm.work]
      const wheelSetId = ids.get(rhythm.wheelSet)
      const set = wheelSets.find(({ key }) => key === rhythm.wheelSet)
      if (!work || !wheelSetId || !set)
        throw new Error(`history.json names ${rhythm.wheelSet} or ${rhythm.work}, which do not exist`)
      const finishedAt = new Date(now.getTime() - days * millisecondsPerDay - (index % 5) * 3_600_000)
      const used = Object.entries(work.products).map(([name, millilitres]) => {
        const product = cabinet.find((candidate) => candidate.name === name)
        if (!product) throw new Error(`works.json names ${name}, which is not in cabinet.json`)
        return {
          name,
          concentrateMillilitres: millilitres,
          costMinor: costMinor(millilitres, product.packMillilitres, product.packPriceMinor),
        }
      })
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
        const product = cabinet.find(({ family }) => family === kind)
        const named = protectionFacts[kind].on === 'wheel' ? rhythm.productNames : undefined
        const productName = named?.[index % named.length] ?? product?.name ?? kind
        const perWeek = set.input.vehicle.kilometresPerWeek
        story.putOn(rhythm.wheelSet, kind, productName, perWeek, finishedAt)
        for (const { position } of set.input.wheels) {
          await addLayer(
            transaction,
            wheelSetId,
            { position, kind, appliedAt: finishedAt, productName },
            visitId,
          )
        }
      }
    }
  })
  say(`${visits.length} visits in two years`)
  await database.transaction((transaction) => fillWear(transaction, wear, ids, now))

  const today = ['corvane-summer', 'brackwater-estate', 'aldery-show']
  const lastDays = (key: string): number =>
    Math.min(...history.filter(({ wheelSet }) => wheelSet === key).map(({ lastDaysAgo }) => lastDaysAgo))
  const plan = async ({ key, intake }: (typeof wheelSets)[number], at: Date): Promise<string | null> => {
    const wheelSetId = ids.get(key)
    if (!wheelSetId) return null
    const conditions = { ...intake.conditions, startAt: at.toISOString() }
    const planned = await planJob(database, wheelSetId, { ...intake, conditions }, at)
    if (!planned.ok)
      throw new Error(`The demo job of ${key}: ${planned.problems[0]?.path} ${planned.problems[0]?.mend}`)
    return planned.value.jobId
  }
  // Worked at their last visit; their grades are what the next intake starts from, their taps what the minutes follow.
  const worked = wheelSets
    .filter(({ key }) => !today.includes(key))
    .map((set) => ({ set, days: lastDays(set.key) }))
    .filter(({ days }) => Number.isFinite(days))
    .sort((a, b) => b.days - a.days)
  for (const { set, days } of worked) {
    const finishedAt = new Date(now.getTime() - days * millisecondsPerDay)
    const jobId = await plan(set, finishedAt)
    const job = jobId ? await findJob(database, jobId) : null
    if (!job) continue
    await storeRunEvents(database, job.id, workedTaps(job.plan, finishedAt))
    await markFinished(database, job.id, finishedAt)
  }
  for (const key of today) {
    const set = wheelSets.find((one) => one.key === key)
    if (set) await plan(set, now)
  }
  say(`${today.length} jobs planned for today`)
}
