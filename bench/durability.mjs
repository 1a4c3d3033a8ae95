// What keeping the data costs and whether it is kept: taps with and without syncs, power cuts, kills, suspended servers.
import { cpSync, mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { ensureBuilt } from '../scripts/lib/build.mjs'
import { bin, must, node, say } from '../scripts/lib/run.mjs'
import { freePort, serve, stop } from '../scripts/lib/serve.mjs'

const cuts = 100
const kills = 200
const suspensions = 50

const jobOf = async (address) => /\/jobs\/[0-9a-f-]{36}/.exec(await (await fetch(address)).text())?.[0]

/** Sends one tap; true when it was acknowledged. */
const tap = (address, job, requestId) =>
  fetch(`${address}/api${job}/events`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({
      kind: 'misted',
      stepId: 'lookRound',
      at: new Date().toISOString(),
      requestId,
    }),
  }).then(
    (answer) => answer.ok,
    () => false,
  )

const storedTaps = async (address, job) =>
  (await (await fetch(`${address}/api${job}/events`)).json()).events.length

/** Counts events that were acknowledged before a server went and are not there after the next start. */
async function lostOver(rounds, folder, interrupt) {
  let lost = 0
  let acknowledged = 0
  let job
  for (let round = 0; round < rounds; round += 1) {
    const server = await serve({ dataFolder: folder, port: await freePort(4710) })
    job ??= await jobOf(server.address)
    const stored = await storedTaps(server.address, job)
    lost += Math.max(0, acknowledged - stored)
    acknowledged = stored
    let alive = true
    const over = interrupt(server, round).then(() => (alive = false))
    while (alive && (await tap(server.address, job, crypto.randomUUID()))) acknowledged += 1
    await over
    if (round % 20 === 19) say(`  ${round + 1} rounds, ${acknowledged} taps, ${lost} lost`)
  }
  const server = await serve({ dataFolder: folder, port: await freePort(4710) })
  lost += Math.max(0, acknowledged - (await storedTaps(server.address, job)))
  await stop(server.child, 'SIGTERM')
  return { lost, acknowledged }
}

const pause = (milliseconds) => new Promise((resolve) => setTimeout(resolve, milliseconds))

async function killed({ child }, round) {
  await pause(100 + ((round * 137) % 700))
  await stop(child, 'SIGKILL')
}

/** Suspends the server, lets a second one try to start on its folder, and wakes it again. */
const suspended = (folder) => async (server) => {
  await pause(150)
  server.child.kill('SIGSTOP')
  const second = await node([bin.next, 'start', '-H', '127.0.0.1', '-p', '0'], {
    env: { NODE_ENV: 'production', EVEN_SPOKE_DATA: folder },
    capture: true,
  })
  if (second.code !== 75) throw new Error(`A second start on a suspended server ended with ${second.code}`)
  server.child.kill('SIGCONT')
  await pause(150)
  await stop(server.child, 'SIGKILL')
}

async function tapCost(address, job, devices, each) {
  const times = []
  const before = performance.now()
  await Promise.all(
    Array.from({ length: devices }, async () => {
      for (let at = 0; at < each; at += 1) {
        const start = performance.now()
        if (!(await tap(address, job, crypto.randomUUID()))) throw new Error('A tap was refused')
        times.push(performance.now() - start)
      }
    }),
  )
  times.sort((a, b) => a - b)
  return {
    perSecond: times.length / ((performance.now() - before) / 1000),
    p95: times[Math.floor(times.length * 0.95)],
  }
}

export async function benchDurability() {
  await ensureBuilt()
  const demo = mkdtempSync(join(tmpdir(), 'even-spoke-bench-'))
  await must('The demo data', node([bin.tsx, 'src/demo/seed.ts'], { env: { EVEN_SPOKE_DATA: demo } }))
  const copy = () => {
    const folder = mkdtempSync(join(tmpdir(), 'even-spoke-bench-'))
    cpSync(demo, folder, { recursive: true })
    return folder
  }
  const folders = [copy(), copy(), copy()]
  try {
    const server = await serve({ dataFolder: folders[0], port: await freePort(4710) })
    const job = await jobOf(server.address)
    await tapCost(server.address, job, 1, 50)
    const alone = await tapCost(server.address, job, 1, 300)
    const eight = await tapCost(server.address, job, 8, 100)
    await stop(server.child, 'SIGTERM')
    const { output } = await node([bin.tsx, 'bench/durability.ts', String(cuts)], { capture: true })
    const { synced, unsynced, cutsLost, cutsFailed } = JSON.parse(output.trim().split('\n').at(-1))
    say('Killing …')
    const afterKills = await lostOver(kills, folders[1], killed)
    say('Suspending …')
    const afterSuspensions = await lostOver(suspensions, folders[2], suspended(folders[2]))
    return [
      {
        what: 'a write with the log on the disk / without, alone',
        ratio: synced.alone / unsynced.alone,
        detail: `${synced.alone.toFixed(2)} ms / ${unsynced.alone.toFixed(2)} ms`,
      },
      {
        what: 'the same, eight at once',
        ratio: synced.eight / unsynced.eight,
        detail: `${synced.eight.toFixed(2)} ms / ${unsynced.eight.toFixed(2)} ms a write, ${synced.writesPerSync.toFixed(1)} writes a sync`,
      },
      {
        what: 'taps a second from eight devices / from one',
        ratio: eight.perSecond / alone.perSecond,
        detail: `${eight.perSecond.toFixed(0)} / ${alone.perSecond.toFixed(0)}; p95 ${eight.p95.toFixed(1)} ms / ${alone.p95.toFixed(1)} ms`,
      },
      {
        what: 'power cuts after which something acknowledged was missing or nothing started',
        ratio: cutsLost + cutsFailed,
        most: 0,
        detail: `${cuts} cuts: ${cutsLost} with losses, ${cutsFailed} that did not start`,
      },
      {
        what: 'acknowledged taps lost over kills',
        ratio: afterKills.lost,
        most: 0,
        detail: `${kills} kills, ${afterKills.acknowledged} taps`,
      },
      {
        what: 'acknowledged taps lost over suspended servers',
        ratio: afterSuspensions.lost,
        most: 0,
        detail: `${suspensions} suspensions with a second start each, ${afterSuspensions.acknowledged} taps`,
      },
    ]
  } finally {
    for (const folder of [demo, ...folders]) rmSync(folder, { recursive: true, force: true })
  }
}
