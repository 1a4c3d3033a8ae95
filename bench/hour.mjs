// An hour of mixed work: pages, taps, saves, plans, photographs and backups. Memory of the server must not grow.
import { mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { ensureBuilt } from '../scripts/lib/build.mjs'
import { bin, must, node, say } from '../scripts/lib/run.mjs'
import { freePort, serve, stop } from '../scripts/lib/serve.mjs'
import { megabytesOf } from './measure.mjs'
import {
  addSets,
  asPeopleDo,
  json,
  pause,
  pictureOfNoise,
  sendPhotograph,
  timed,
  views,
  workTogether,
  writers,
} from './mixedWork.mjs'

const sets = 200
const hourMilliseconds = 3_600_000
const maxGrowth = 1.05
/** How often each is asked for besides what people read and save, ms. */
const every = { plan: 20_000, photograph: 30_000, backup: 600_000, look: 5_000 }

const mean = (numbers) => numbers.reduce((sum, one) => sum + one, 0) / numbers.length

/** Repeats some work until a time; returns how often. */
async function again(milliseconds, until, work) {
  let times = 0
  while (performance.now() < until) {
    await work()
    times += 1
    await pause(Math.min(milliseconds, Math.max(0, until - performance.now())))
  }
  return times
}

export async function benchHour() {
  await ensureBuilt()
  const folder = mkdtempSync(join(tmpdir(), 'even-spoke-bench-'))
  await must('The demo data', node([bin.tsx, 'src/demo/seed.ts'], { env: { EVEN_SPOKE_DATA: folder } }))
  const added = await addSets(folder, sets)
  const { child, address } = await serve({ dataFolder: folder, port: await freePort(4890) })
  const job = /\/jobs\/([0-9a-f-]{36})/.exec((await timed(() => fetch(address))).text)[1]
  const plan = readFileSync('docs/examples/winter-neglected.job.json')
  const jpeg = await pictureOfNoise()
  const samples = []
  try {
    const until = performance.now() + hourMilliseconds
    const who = {
      paths: Object.values(views(added.sets[100])),
      writing: writers(address, job, added.sets, added.product),
    }
    const [{ read }, plans, photographs, backups] = await Promise.all([
      workTogether(address, who, asPeopleDo, hourMilliseconds),
      again(every.plan, until, () =>
        timed(() => fetch(`${address}/api/plan`, { method: 'POST', headers: json, body: plan })),
      ),
      again(every.photograph, until, () => sendPhotograph(address, added.sets[50], jpeg)),
      again(every.backup, until, () => timed(() => fetch(`${address}/api/backup`))),
      again(every.look, until, async () => samples.push(megabytesOf(child.pid))),
    ])
    const quarters = [0, 1, 2, 3].map((at) =>
      mean(samples.slice((at * samples.length) / 4, ((at + 1) * samples.length) / 4)),
    )
    say(`${read.length} pages, ${plans} plans, ${photographs} photographs, ${backups} backups`)
    return [
      {
        what: 'memory of the server in the last quarter of an hour of mixed work / in the second',
        ratio: quarters[3] / quarters[1],
        most: maxGrowth,
        detail: `${quarters.map((one) => one.toFixed(0)).join(', ')} MB in the quarters`,
      },
    ]
  } finally {
    await stop(child)
    rmSync(folder, { recursive: true, force: true })
  }
}
