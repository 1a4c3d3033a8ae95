// Bodies that do not say how long they are, at every route and both doors: what they cost the server in memory.
import { mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { request as plain } from 'node:http'
import { request as secure } from 'node:https'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { ensureBuilt } from '../scripts/lib/build.mjs'
import { bin, must, node, root, say } from '../scripts/lib/run.mjs'
import { freePort, serve, stop } from '../scripts/lib/serve.mjs'
import { megabytesOf } from './measure.mjs'
import { dayBegun } from './mixedWork.mjs'

const sentBytes = 200_000_000
const chunk = Buffer.alloc(1 << 16, 'x')
const atOnce = [1, 8]
const maxGrowthMegabytes = 80
/** Over TLS with the shop's own certificate. */
const trusting = { rejectUnauthorized: false }

/**
 * Sends without a length until all is sent or the other end has enough; gives the status, 0 where it was cut off.
 * @param bytes how much is sent
 */
function pour(address, path, bytes) {
  const url = new URL(address)
  return new Promise((resolve) => {
    const sending = (url.protocol === 'https:' ? secure : plain)(
      {
        ...trusting,
        host: url.hostname,
        port: url.port,
        method: 'POST',
        path,
        headers: { 'content-type': path.startsWith('/api/backup') ? 'application/zip' : 'application/json' },
      },
      (answer) => {
        answer.resume()
        answer.on('end', () => resolve(answer.statusCode))
      },
    )
    sending.on('error', () => resolve(0))
    sending.on('close', () => resolve(0))
    let sent = 0
    const more = () => {
      while (sent < bytes && !sending.destroyed) {
        sent += chunk.length
        if (!sending.write(chunk)) {
          sending.once('drain', more)
          return
        }
      }
      if (!sending.destroyed) sending.end()
    }
    more()
  })
}

export async function benchBodies() {
  await ensureBuilt()
  const folder = mkdtempSync(join(tmpdir(), 'even-spoke-bench-'))
  await must('The demo data', node([bin.tsx, 'src/demo/seed.ts'], { env: { EVEN_SPOKE_DATA: folder } }))
  process.argv.push('--lan')
  process.env.EVEN_SPOKE_LAN_HOST = '127.0.0.1'
  const port = await freePort(4830)
  const { child, address } = await serve({ dataFolder: folder, port })
  process.argv.pop()
  const routes = JSON.parse(readFileSync(join(root, '.next/app-path-routes-manifest.json'), 'utf8'))
  const id = '0b1f6a52-8c1e-4c58-9f3a-0d7f5f4f2c11'
  const places = [...new Set(Object.values(routes))].map((path) => path.replaceAll(/\[[^\]]+\]/g, id))
  const doors = [address, `https://127.0.0.1:${port + 1}`, `http://127.0.0.1:${port + 2}`]
  /** Every place at every door, one at a time and eight at once; gives how often each status came. */
  const everywhere = async (bytes) => {
    const statuses = {}
    for (const count of atOnce)
      for (const door of doors)
        for (const path of places) {
          const answers = await Promise.all(Array.from({ length: count }, () => pour(door, path, bytes)))
          for (const status of answers) statuses[status] = (statuses[status] ?? 0) + 1
        }
    return statuses
  }
  try {
    // The same requests with hardly a body: what answering them takes is not what is measured.
    await everywhere(2)
    await dayBegun(folder)
    const before = megabytesOf(child.pid)
    let highest = before
    const watch = setInterval(() => (highest = Math.max(highest, megabytesOf(child.pid))), 50)
    const statuses = await everywhere(sentBytes)
    clearInterval(watch)
    say(`${places.length} places, ${doors.length} doors: ${JSON.stringify(statuses)}`)
    return [
      {
        what: 'memory while bodies without a length are sent, of what it may grow',
        ratio: (highest - before) / maxGrowthMegabytes,
        most: 1,
        detail: `${before.toFixed(0)} MB before, ${highest.toFixed(0)} MB at most`,
      },
    ]
  } finally {
    await stop(child)
    rmSync(folder, { recursive: true, force: true })
  }
}
