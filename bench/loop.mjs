// A light page and a tap alone, and beside heavy plan requests: how long they wait, and what becomes of those beyond the queue.
import { mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { randomUUID } from 'node:crypto'
import { ensureBuilt } from '../scripts/lib/build.mjs'
import { bin, must, node, say } from '../scripts/lib/run.mjs'
import { freePort, serve, stop } from '../scripts/lib/serve.mjs'

const heavyAtOnce = [1, 2, 4, 8]
const rounds = 60
const json = { 'content-type': 'application/json' }

const p95 = (times) => [...times].sort((a, b) => a - b)[Math.floor(times.length * 0.95)]

async function timed(work) {
  const before = performance.now()
  const answer = await work()
  await answer.text()
  return { status: answer.status, milliseconds: performance.now() - before }
}

/** Light requests one after the other, and how long the slowest of twenty took. */
async function light(address, job) {
  const [pages, taps] = [[], []]
  for (let round = 0; round < rounds; round += 1) {
    pages.push((await timed(() => fetch(`${address}/rules`))).milliseconds)
    const tap = { kind: 'misted', stepId: 'lookRound', at: new Date().toISOString(), requestId: randomUUID() }
    const sent = await timed(() =>
      fetch(`${address}/api/jobs/${job}/events`, {
        method: 'POST',
        headers: json,
        body: JSON.stringify(tap),
      }),
    )
    if (sent.status !== 200) throw new Error(`a tap was answered ${sent.status}`)
    taps.push(sent.milliseconds)
  }
  return { page: p95(pages), tap: p95(taps) }
}

/** Keeps so many plan requests running until it is stopped. */
function heavy(address, count, body) {
  let running = true
  const statuses = []
  const loops = Array.from({ length: count }, async () => {
    while (running) {
      const { status } = await timed(() =>
        fetch(`${address}/api/plan`, { method: 'POST', headers: json, body }),
      )
      statuses.push(status)
      // Who is told to come again does so, later.
      if (status === 503) await new Promise((resolve) => setTimeout(resolve, 1000))
    }
  })
  return async () => {
    running = false
    await Promise.all(loops)
    return statuses
  }
}

export async function benchLoop() {
  await ensureBuilt()
  const folder = mkdtempSync(join(tmpdir(), 'even-spoke-bench-'))
  await must('The demo data', node([bin.tsx, 'src/demo/seed.ts'], { env: { EVEN_SPOKE_DATA: folder } }))
  const { child, address } = await serve({ dataFolder: folder, port: await freePort(4710) })
  const body = readFileSync('docs/examples/winter-neglected.job.json', 'utf8')
  try {
    const job = /\/jobs\/([0-9a-f-]{36})/.exec(await (await fetch(address)).text())?.[1]
    await light(address, job)
    const idle = await light(address, job)
    say(`alone: page ${idle.page.toFixed(1)} ms, tap ${idle.tap.toFixed(1)} ms (95 of 100)`)
    const rows = []
    for (const count of heavyAtOnce) {
      const end = heavy(address, count, body)
      await new Promise((resolve) => setTimeout(resolve, 500))
      const beside = await light(address, job)
      const statuses = await end()
      const planned = statuses.filter((status) => status === 200).length
      const turned = statuses.filter((status) => status === 503).length
      say(
        `beside ${count}: page ${beside.page.toFixed(1)} ms, tap ${beside.tap.toFixed(1)} ms; ${planned} planned, ${turned} told to come again`,
      )
      if (planned + turned !== statuses.length)
        throw new Error(`other answers: ${[...new Set(statuses)].join(', ')}`)
      for (const what of ['page', 'tap'])
        rows.push({
          what: `${what} beside ${count} heavy plan requests / alone, 95 of 100`,
          ratio: beside[what] / idle[what],
          most: 4,
          detail: `${beside[what].toFixed(1)} ms / ${idle[what].toFixed(1)} ms`,
        })
    }
    return rows
  } finally {
    await stop(child)
    rmSync(folder, { recursive: true, force: true })
  }
}
