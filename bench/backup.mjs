// A backup of a shop with its full room of photographs, and a restore of it, while somebody reads: memory, and how long pages wait.
import { mkdtempSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { ensureBuilt } from '../scripts/lib/build.mjs'
import { bin, must, node, say } from '../scripts/lib/run.mjs'
import { freePort, serve, stop } from '../scripts/lib/serve.mjs'
import { megabytesOf } from './measure.mjs'
import { pause, percentile, timed } from './mixedWork.mjs'

const photographs = 2000
const betweenPagesMilliseconds = 250
const most = { pageMilliseconds: 1000, growthMegabytes: 500 }

/** Reads Today again and again while something goes on; gives what the pages took and how much memory the server took at most. */
async function whileReading({ child, address }, work) {
  let isWorking = true
  let highest = 0
  const pages = []
  const watching = (async () => {
    while (isWorking) {
      highest = Math.max(highest, megabytesOf(child.pid))
      await pause(100)
    }
  })()
  const reading = (async () => {
    while (isWorking) {
      pages.push((await timed(() => fetch(address))).milliseconds)
      await pause(betweenPagesMilliseconds)
    }
  })()
  const before = megabytesOf(child.pid)
  const began = performance.now()
  try {
    await work()
  } finally {
    isWorking = false
    await Promise.all([watching, reading])
  }
  return { pages, grown: highest - before, seconds: (performance.now() - began) / 1000 }
}

const rowsOf = (what, { pages, grown, seconds }) => [
  {
    what: `pages beside ${what}, 95 of 100 / ${most.pageMilliseconds} ms`,
    ratio: percentile(pages, 0.95) / most.pageMilliseconds,
    most: 1,
    detail: `${percentile(pages, 0.95).toFixed(0)} ms, slowest ${Math.max(...pages).toFixed(0)} ms, in ${seconds.toFixed(0)} s`,
  },
  {
    what: `memory ${what} takes / ${most.growthMegabytes} MB`,
    ratio: grown / most.growthMegabytes,
    most: 1,
    detail: `${grown.toFixed(0)} MB`,
  },
]

export async function benchBackup() {
  await ensureBuilt()
  const folder = mkdtempSync(join(tmpdir(), 'even-spoke-bench-'))
  await must('The demo data', node([bin.tsx, 'src/demo/seed.ts'], { env: { EVEN_SPOKE_DATA: folder } }))
  await must(
    'The photographs',
    node([bin.tsx, 'bench/addPhotographs.ts', folder, String(photographs)], {
      env: { NODE_OPTIONS: '--conditions=react-server' },
    }),
  )
  const server = await serve({ dataFolder: folder, port: await freePort(4850) })
  const file = join(folder, 'bench.zip')
  try {
    await timed(() => fetch(server.address))
    const made = await whileReading(server, async () => {
      const answer = await fetch(`${server.address}/api/backup`)
      writeFileSync(file, Buffer.from(await answer.arrayBuffer()))
    })
    const body = readFileSync(file)
    say(`a backup of ${Math.round(statSync(file).size / 1e6)} MB`)
    const restored = await whileReading(server, () =>
      timed(() =>
        fetch(`${server.address}/api/backup/restore`, {
          method: 'POST',
          headers: { 'content-type': 'application/zip', origin: server.address },
          body,
        }),
      ),
    )
    return [...rowsOf('a backup', made), ...rowsOf('a restore', restored)]
  } finally {
    await stop(server.child)
    rmSync(folder, { recursive: true, force: true })
  }
}
