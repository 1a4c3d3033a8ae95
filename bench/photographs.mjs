// A hundred photos from ten phones at once: how long a tap takes meanwhile.
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { ensureBuilt } from '../scripts/lib/build.mjs'
import { bin, must, node, say } from '../scripts/lib/run.mjs'
import { freePort, serve, stop } from '../scripts/lib/serve.mjs'
import { megabytesOf } from './measure.mjs'
import { pause, percentile, pictureOfNoise, sendPhotograph, tap, timed } from './mixedWork.mjs'

const phones = 10
const each = 10
const tappers = 3
const betweenTapsMilliseconds = 300
const maxMilliseconds = 300

export async function benchPhotographs() {
  await ensureBuilt()
  const folder = mkdtempSync(join(tmpdir(), 'even-spoke-bench-'))
  await must('The demo data', node([bin.tsx, 'src/demo/seed.ts'], { env: { EVEN_SPOKE_DATA: folder } }))
  const { child, address } = await serve({ dataFolder: folder, port: await freePort(4870) })
  try {
    const job = /\/jobs\/([0-9a-f-]{36})/.exec((await timed(() => fetch(address))).text)[1]
    const set = /\/wheels\/([0-9a-f-]{36})/.exec((await timed(() => fetch(`${address}/wheels`))).text)[1]
    const jpeg = await pictureOfNoise()
    for (let warm = 0; warm < 20; warm += 1) await tap(address, job)
    const before = megabytesOf(child.pid)
    const began = performance.now()
    let isSending = true
    const taps = []
    const tapping = Array.from({ length: tappers }, async () => {
      while (isSending) {
        taps.push((await tap(address, job)).milliseconds)
        await pause(betweenTapsMilliseconds)
      }
    })
    await Promise.all(
      Array.from({ length: phones }, async () => {
        for (let at = 0; at < each; at += 1) await sendPhotograph(address, set, jpeg)
      }),
    )
    isSending = false
    await Promise.all(tapping)
    say(
      `${phones * each} photographs of ${Math.round(jpeg.byteLength / 1000)} kB in ${Math.round((performance.now() - began) / 1000)} s, ${taps.length} taps, memory ${before.toFixed(0)} to ${megabytesOf(child.pid).toFixed(0)} MB`,
    )
    return [
      {
        what: `taps beside ${phones * each} photographs, 95 of 100 / ${maxMilliseconds} ms`,
        ratio: percentile(taps, 0.95) / maxMilliseconds,
        most: 1,
        detail: `${percentile(taps, 0.95).toFixed(0)} ms, slowest ${Math.max(...taps).toFixed(0)} ms`,
      },
    ]
  } finally {
    await stop(child)
    rmSync(folder, { recursive: true, force: true })
  }
}
