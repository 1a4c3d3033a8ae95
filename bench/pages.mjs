// The Today page with the demo data against an empty page of the same framework: JavaScript sent and server time.
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { gzipSync } from 'node:zlib'
import { ensureBuilt } from '../scripts/lib/build.mjs'
import { bin, must, node, root, say } from '../scripts/lib/run.mjs'
import { freePort, serve, stop } from '../scripts/lib/serve.mjs'
import { median } from './measure.mjs'

const rounds = 150

/** Gzipped bytes of the scripts that a modern browser loads with a page. */
async function scriptBytes(address) {
  const html = await (await fetch(address)).text()
  const sources = [...html.matchAll(/<script\b[^>]*>/g)]
    .map(([tag]) => (/nomodule/i.test(tag) ? undefined : /src="([^"]+)"/.exec(tag)?.[1]))
    .filter((source) => source !== undefined)
  let bytes = 0
  for (const source of new Set(sources)) {
    bytes += gzipSync(Buffer.from(await (await fetch(new URL(source, address))).arrayBuffer())).length
  }
  return bytes
}

async function timed(address) {
  const before = performance.now()
  await (await fetch(address)).text()
  return performance.now() - before
}

export async function benchPages() {
  await ensureBuilt()
  const emptyApp = join(root, 'bench', 'empty-app')
  say('Building the empty page …')
  await must('The build of the empty page', node([bin.next, 'build', emptyApp]))
  const folder = mkdtempSync(join(tmpdir(), 'even-spoke-bench-'))
  await must('The demo data', node([bin.tsx, 'src/demo/seed.ts'], { env: { EVEN_SPOKE_DATA: folder } }))
  const ours = await serve({ dataFolder: folder, port: await freePort(4510) })
  const empty = await serve({
    dataFolder: folder,
    port: await freePort(4610),
    app: emptyApp,
    healthPath: '/',
  })
  try {
    const times = { ours: [], empty: [] }
    for (let round = 0; round < rounds + 20; round += 1) {
      const [a, b] = [await timed(ours.address), await timed(empty.address)]
      // The first answers warm both up.
      if (round >= 20) {
        times.ours.push(a)
        times.empty.push(b)
      }
    }
    const [script, emptyScript] = [await scriptBytes(ours.address), await scriptBytes(empty.address)]
    return [
      {
        what: 'JavaScript of Today / of an empty page (gzipped)',
        ratio: script / emptyScript,
        most: 1.4,
        detail: `${Math.round(script / 1024)} kB / ${Math.round(emptyScript / 1024)} kB`,
      },
      {
        what: 'server time of Today with demo data / of an empty page',
        ratio: median(times.ours) / median(times.empty),
        most: 3,
        detail: `${median(times.ours).toFixed(1)} ms / ${median(times.empty).toFixed(1)} ms, median of ${rounds}`,
      },
    ]
  } finally {
    await Promise.all([stop(ours.child), stop(empty.child)])
    rmSync(folder, { recursive: true, force: true })
  }
}
