import { usualRegion } from '@/core/units/region'
import { productOf, toolOf } from '@/contracts/cabinet'
import { defaultSettings } from '@/contracts/settings'
import type { Database } from '@/data/database'
import { addProduct } from '@/data/queries/cabinet'
import { putTool } from '@/data/queries/tools'
import { writeSettings } from '@/data/queries/settings'
import { addWheelSet } from '@/data/queries/wheelSets'
import { listVehicles } from '@/data/queries/vehicles'
import { fillJobs, lastDaysAgo } from './fillJobs'
import { fillPhotographs } from './fillPhotographs'
import { fillVisits } from './fillVisits'
import { fillWear } from './fillWear'
import { readDemoFiles, type DemoFiles } from './readDemoFiles'
import { WearStory } from './wearStory'

const millisecondsPerDay = 86_400_000
/** Film has gathered on one coating for so long. */
const cloggedDays = 90

/** Sets whose last visit was photographed, and the colour of their wheels. */
const photographed = { 'corvane-gt': '#8f989d', 'brackwater-estate': '#c8cdd0' }

/** Fills an empty database with the demo shop. Everything is relative to `now`, so that the demo never goes stale. */
export async function fillDemo(database: Database, now: Date, say: (text: string) => void): Promise<void> {
  const files = readDemoFiles()
  const { products, tools, wear } = files
  await writeSettings(database, {
    ...defaultSettings,
    region: usualRegion('en'),
    shopName: 'Saltmarsh Wheel Care',
    place: { latitude: 50, longitude: 0 },
    filter: { resinLitres: 8, hardnessPpm: 260, litresPerVisit: 15 },
  })
  const cabinet = products.map(productOf)
  await database.transaction(async (transaction) => {
    for (const product of cabinet) await addProduct(transaction, product, defaultSettings.currency)
    for (const tool of tools) await putTool(transaction, toolOf(tool))
  })
  say(`${cabinet.length} products, ${tools.length} tools`)
  const ids = await fillSets(database, files)
  say(`${ids.size} wheel sets`)
  const story = new WearStory(wear, new Date(now.getTime() - cloggedDays * millisecondsPerDay))
  const visits = await database.transaction((transaction) =>
    fillVisits(transaction, { files, cabinet, ids, story, now }),
  )
  say(`${visits} visits in two years`)
  await database.transaction((transaction) => fillWear(transaction, wear, ids, now))
  await fillSittings(database, files, ids, now)
  say(`${await fillJobs(database, files, ids, now)} jobs planned for today`)
}

/** Enters the wheel sets, several of one vehicle with it; gives their ids by key. */
async function fillSets(database: Database, { wheelSets }: DemoFiles): Promise<Map<string, string>> {
  const ids = new Map<string, string>()
  for (const { key, input } of wheelSets) {
    const owner = (await listVehicles(database, { name: input.vehicle.name, most: 9 })).find(
      ({ vehicle }) => vehicle.name === input.vehicle.name,
    )
    ids.set(key, await addWheelSet(database, input, owner))
  }
  return ids
}

async function fillSittings(
  database: Database,
  files: DemoFiles,
  ids: ReadonlyMap<string, string>,
  now: Date,
): Promise<void> {
  for (const [key, paint] of Object.entries(photographed)) {
    const wheelSetId = ids.get(key)
    const set = files.wheelSets.find((one) => one.key === key)
    const at = new Date(now.getTime() - lastDaysAgo(files, key) * millisecondsPerDay)
    const spokeCount = set?.input.wheels[0]?.spokeCount ?? 10
    if (wheelSetId) await fillPhotographs(database, { wheelSetId, spokeCount, paint, at }, now)
  }
}
