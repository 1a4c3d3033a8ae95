// Two thousand wheel sets with three years of records beside the demo data: how long the main views take against the demo alone, and
// how long writes take while twenty people read and five write for a minute.
import { cpSync, existsSync, mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { randomUUID } from 'node:crypto'
import { ensureBuilt } from '../scripts/lib/build.mjs'
import { bin, must, node, root, say } from '../scripts/lib/run.mjs'
import { freePort, serve, stop } from '../scripts/lib/serve.mjs'
import { median } from './measure.mjs'

const sets = 2000
const rounds = 15
const readers = 20
/** Somebody who reads opens another page after so long, and who writes sends the next, ms; more or less. */
const asPeopleDo = { reading: 5000, writing: 2000 }
/** The next at once: as much as the program can take. */
const withoutPause = { reading: 0, writing: 0 }
const minuteMilliseconds = 60_000
const dayBegunMilliseconds = 300_000
const json = { 'content-type': 'application/json' }

const percentile = (times, share) => [...times].sort((a, b) => a - b)[Math.floor(times.length * share)]
const pause = (milliseconds) => new Promise((resolve) => setTimeout(resolve, milliseconds))
/** People do not move in step: from half to half as much again, the same in every run. */
const moreOrLess = (milliseconds, who, turn) => milliseconds * (0.5 + ((who * 0.618 + turn * 0.755) % 1))

async function timed(work) {
  const before = performance.now()
  const answer = await work()
  const text = await answer.text()
  if (answer.status !== 200 && answer.status !== 303)
    throw new Error(`answered ${answer.status}: ${text.slice(0, 200)}`)
  return { milliseconds: performance.now() - before, text }
}

/** The main views; `set` is one with records. */
const views = (set) => ({
  Today: '/',
  'wheel sets': '/wheels',
  'wheel sets found': '/wheels?q=a',
  'a set': `/wheels/${set}`,
  intake: `/wheels/${set}/intake`,
  protection: `/wheels/${set}/protection`,
  'new set': '/wheels/new',
  Due: '/due',
  'Due by vehicle': '/due?by=vehicle',
  'which lasts longer': '/due/lasting',
  log: '/log',
  cabinet: '/cabinet',
  settings: '/settings',
})

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

const actionIds = () =>
  Object.fromEntries(
    Object.entries(
      JSON.parse(readFileSync(join(root, '.next/server/server-reference-manifest.json'), 'utf8')).node,
    ).map(([id, { exportedName }]) => [exportedName, id]),
  )

/** Calls an action as its form does. */
const act = (address, page, id, args) =>
  timed(() =>
    fetch(address + page, {
      method: 'POST',
      redirect: 'manual',
      headers: { 'next-action': id, 'content-type': 'text/plain;charset=UTF-8', origin: address },
      body: JSON.stringify(args),
    }),
  )

const wheelSet = (number, note) => ({
  vehicle: { name: `Car ${number}`, kind: 'car', kilometresPerWeek: 200 },
  name: 'All year',
  note,
  wheels: ['frontLeft', 'frontRight', 'rearLeft', 'rearRight'].map((position) => ({
    position,
    tyreCode: '225/45 R18',
    rimWidthInches: 8,
    spokeCount: 10,
    spokeWidthMillimetres: 30,
    spokeDepthMillimetres: 45,
    hardwarePieces: 5,
    finishes: [{ zone: 'face', finish: 'paintedGloss', condition: 'sound' }],
  })),
})

/** Five people who write: two tap, two save wheel sets, one saves products. */
function writers(address, job, setIds, product) {
  const ids = actionIds()
  const tap = () => {
    const event = {
      kind: 'misted',
      stepId: 'lookRound',
      at: new Date().toISOString(),
      requestId: randomUUID(),
    }
    return timed(() =>
      fetch(`${address}/api/jobs/${job}/events`, {
        method: 'POST',
        headers: json,
        body: JSON.stringify(event),
      }),
    )
  }
  const saving = (number) => {
    let version = 0
    return () => {
      version += 1
      const id = setIds[number]
      return act(address, `/wheels/${id}/edit`, ids.saveWheelSet, [
        id,
        { version, vehicleVersion: version },
        wheelSet(number, `Save ${version}`),
      ])
    }
  }
  let productVersion = product.version - 1
  const save = () => {
    productVersion += 1
    return act(address, `/cabinet/${product.file.id}`, ids.saveProduct, [productVersion, product.file])
  }
  return { tap, 'tap of another': tap, 'wheel set': saving(7), 'another wheel set': saving(8), product: save }
}

async function minuteOfWork(address, { paths, writing }, pauses) {
  const until = performance.now() + minuteMilliseconds
  const read = []
  const written = {}
  const reading = Array.from({ length: readers }, async (_, reader) => {
    await pause((pauses.reading * reader) / readers)
    for (let at = reader; performance.now() < until; at += 1) {
      const path = paths[at % paths.length]
      read.push({ path, milliseconds: (await timed(() => fetch(address + path))).milliseconds })
      await pause(moreOrLess(pauses.reading, reader, at))
    }
  })
  const writers = Object.entries(writing).map(async ([name, write], writer) => {
    written[name] = []
    for (let turn = 0; performance.now() < until; turn += 1) {
      const { milliseconds, text } = await write()
      if (text.includes('Nothing was overwritten')) throw new Error(`${name}: a save was refused`)
      written[name].push(milliseconds)
      // A form that went through leads to a page, as its browser would ask for it.
      const path = /"goTo":"([^"]+)"/.exec(text)?.[1]
      if (path) read.push({ path, milliseconds: (await timed(() => fetch(address + path))).milliseconds })
      await pause(moreOrLess(pauses.writing, writer, turn))
    }
  })
  await Promise.all([...reading, ...writers])
  return { read, written }
}

/** How long pages and saves take while everybody works for a minute. */
async function minuteRows(address, who, pauses, how) {
  const { read, written } = await minuteOfWork(address, who, pauses)
  const reads = read.map(({ milliseconds }) => milliseconds)
  const slowest = read.reduce((one, other) => (other.milliseconds > one.milliseconds ? other : one))
  say(
    `${how}: ${read.length} pages read, median ${median(reads).toFixed(0)} ms, 95 of 100 within ${percentile(reads, 0.95).toFixed(0)} ms; the slowest ${slowest.path}, ${slowest.milliseconds.toFixed(0)} ms`,
  )
  for (const [name, times] of Object.entries(written))
    say(
      `${name}: ${times.length} written, median ${median(times).toFixed(0)} ms, 95 of 100 within ${percentile(times, 0.95).toFixed(0)} ms`,
    )
  const row = (what, times, mostMilliseconds) => ({
    what: `${what}, ${how}, 95 of 100 / ${mostMilliseconds} ms`,
    ratio: percentile(times, 0.95) / mostMilliseconds,
    most: 1,
    detail: `${percentile(times, 0.95).toFixed(0)} ms`,
  })
  return [
    row(`saves of 5 beside ${readers} readers`, Object.values(written).flat(), 200),
    row(`pages of ${readers} readers beside 5 who save`, reads, 1000),
  ]
}

/** Comes when the copy and the backup of the day are made: once a day, before or while people work. */
async function dayBegun(folder) {
  const made = (name) =>
    existsSync(join(folder, name)) && readdirSync(join(folder, name)).some((one) => !one.endsWith('.part'))
  const began = performance.now()
  while (!made('copies') || !made('backups')) {
    if (performance.now() - began > dayBegunMilliseconds) throw new Error('No backup of the day was made.')
    await pause(500)
  }
}

const idsOf = (folder) =>
  node([bin.tsx, 'bench/addSets.ts', folder, String(sets)], {
    capture: true,
    env: { NODE_OPTIONS: '--conditions=react-server' },
  })

export async function benchScale() {
  await ensureBuilt()
  const folder = mkdtempSync(join(tmpdir(), 'even-spoke-bench-'))
  const bigFolder = mkdtempSync(join(tmpdir(), 'even-spoke-bench-'))
  await must('The demo data', node([bin.tsx, 'src/demo/seed.ts'], { env: { EVEN_SPOKE_DATA: folder } }))
  cpSync(folder, bigFolder, { recursive: true })
  const { output } = await idsOf(bigFolder)
  const added = JSON.parse(output.trim().split('\n').at(-1))
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
