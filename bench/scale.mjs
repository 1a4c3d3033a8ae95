// Two thousand wheel sets with three years of records beside the demo data: how long the main views take against the demo alone, and
// how long writes take while twenty people read and five write for a minute.
import { cpSync, mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { ensureBuilt } from '../scripts/lib/build.mjs'
import { bin, must, node, say } from '../scripts/lib/run.mjs'
import { freePort, serve, stop } from '../scripts/lib/serve.mjs'
import { median } from './measure.mjs'
import {
  addSets,
  asPeopleDo,
  dayBegun,
  percentile,
  readers,
  timed,
  views,
  workTogether,
  writers,
} from './mixedWork.mjs'

const sets = 2000
const rounds = 15
/** The next at once: as much as the program can take. */
const withoutPause = { reading: 0, writing: 0 }
const minuteMilliseconds = 60_000

async function viewTimes(address, set) {
  const times = {}
  for (const [name, path] of Object.entries(views(set))) {
    const own = []
    for (let round = -3; round < rounds; round += 1) {
      const { milliseconds } = await timed(() => fetch(address + path))
      if (round >= 0) own.push(milliseconds)
    }
    times[name] = median(own)
  }
  return times
}

/** How long pages and saves take while everybody works for a minute. */
async function minuteRows(address, who, pauses, how) {
  const { read, written } = await workTogether(address, who, pauses, minuteMilliseconds)
  const reads = read.map(({ milliseconds }) => milliseconds)
  const slowest = read.reduce((one, other) => (other.milliseconds > one.milliseconds ? other : one))
  say(
    `${how}: ${read.length} pages read, median ${median(reads).toFixed(0)} ms, 95 of 100 within ${percentile(reads, 0.95).toFixed(0)} ms; the slowest ${slowest.path}, ${slowest.milliseconds.toFixed(0)} ms`,
  )
  for (const [name, times] of Object.entries(written))
    say(
      `${name}: ${times.length} written, median ${median(times).toFixed(0)} ms, 95 of 100 within ${percentile(times, 0.95).toFixed(0)} ms`,
    )
  const row = (what, times, maxMilliseconds) => ({
    what: `${what}, ${how}, 95 of 100 / ${maxMilliseconds} ms`,
    ratio: percentile(times, 0.95) / maxMilliseconds,
    most: 1,
    detail: `${percentile(times, 0.95).toFixed(0)} ms`,
  })
  return [
    row(`saves of 5 beside ${readers} readers`, Object.values(written).flat(), 200),
    row(`pages of ${readers} readers beside 5 who save`, reads, 1000),
  ]
}

export async function benchScale() {
  await ensureBuilt()
  const folder = mkdtempSync(join(tmpdir(), 'even-spoke-bench-'))
  const bigFolder = mkdtempSync(join(tmpdir(), 'even-spoke-bench-'))
  await must('The demo data', node([bin.tsx, 'src/demo/seed.ts'], { env: { EVEN_SPOKE_DATA: folder } }))
  cpSync(folder, bigFolder, { recursive: true })
  const added = await addSets(bigFolder, sets)
  const small = await serve({ dataFolder: folder, port: await freePort(4810) })
  const began = performance.now()
  const big = await serve({ dataFolder: bigFolder, port: await freePort(4860) })
  try {
    say(`start with ${sets} sets: ${Math.round(performance.now() - began)} ms`)
    const first = await timed(() => fetch(big.address))
    say(`Today for the first time: ${Math.round(first.milliseconds)} ms`)
    const ownSet = /\/wheels\/([0-9a-f-]{36})/.exec(await (await fetch(`${small.address}/wheels`)).text())[1]
    const job = /\/jobs\/([0-9a-f-]{36})/.exec(first.text)[1]
    const [few, many] = [
      await viewTimes(small.address, ownSet),
      await viewTimes(big.address, added.sets[1000]),
    ]
    const rows = Object.keys(few).map((name) => ({
      what: `${name} with ${sets} more wheel sets / with the demo`,
      ratio: many[name] / few[name],
      most: 2,
      detail: `${many[name].toFixed(0)} ms / ${few[name].toFixed(0)} ms, median of ${rounds}`,
    }))
    await dayBegun(bigFolder)
    const who = {
      paths: Object.values(views(added.sets[1000])),
      writing: writers(big.address, job, added.sets, added.product),
    }
    rows.push(...(await minuteRows(big.address, who, asPeopleDo, 'as people do')))
    rows.push(...(await minuteRows(big.address, who, withoutPause, 'without a pause')))
    return rows
  } finally {
    await Promise.all([stop(small.child), stop(big.child)])
    for (const one of [folder, bigFolder]) rmSync(one, { recursive: true, force: true })
  }
}
