// People who read and people who write, on a shop with many wheel sets: what benches of load share.
import { randomUUID } from 'node:crypto'
import { existsSync, readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import sharp from 'sharp'
import { bin, node, root } from '../scripts/lib/run.mjs'

export const readers = 20
/** Somebody who reads opens another page after so long, and who writes sends the next, ms; more or less. */
export const asPeopleDo = { reading: 5000, writing: 2000 }
const dayBegunMilliseconds = 300_000
export const json = { 'content-type': 'application/json' }

export const percentile = (times, share) => [...times].sort((a, b) => a - b)[Math.floor(times.length * share)]
export const pause = (milliseconds) => new Promise((resolve) => setTimeout(resolve, milliseconds))
/** People do not move in step: from half to half as much again, the same in every run. */
export const moreOrLess = (milliseconds, who, turn) =>
  milliseconds * (0.5 + ((who * 0.618 + turn * 0.755) % 1))

export async function timed(work) {
  const before = performance.now()
  const answer = await work()
  const text = await answer.text()
  if (answer.status !== 200 && answer.status !== 303)
    throw new Error(`answered ${answer.status}: ${text.slice(0, 200)}`)
  return { milliseconds: performance.now() - before, text }
}

/** The main views; `set` is one with records. */
export const views = (set) => ({
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

/** One tap in a job. */
export const tap = (address, job) =>
  timed(() =>
    fetch(`${address}/api/jobs/${job}/events`, {
      method: 'POST',
      headers: json,
      body: JSON.stringify({
        kind: 'misted',
        stepId: 'lookRound',
        at: new Date().toISOString(),
        requestId: randomUUID(),
      }),
    }),
  )

/** Sends a photograph of a wheel set. */
export const sendPhotograph = (address, set, jpeg) =>
  timed(() =>
    fetch(`${address}/api/wheels/${set}/photographs`, {
      method: 'POST',
      headers: json,
      body: JSON.stringify({ requestId: randomUUID(), secondsAgo: 1, jpeg: jpeg.toString('base64') }),
    }),
  )

/** A picture as large as phones send them: noise, so that it does not shrink. */
export const pictureOfNoise = () =>
  sharp({
    create: {
      width: 1280,
      height: 960,
      channels: 3,
      noise: { type: 'gaussian', mean: 128, sigma: 40 },
      background: '#888',
    },
  })
    .jpeg({ quality: 75 })
    .toBuffer()

/** Five people who write: two tap, two save wheel sets, one saves products. */
export function writers(address, job, setIds, product) {
  const ids = actionIds()
  const tapped = () => tap(address, job)
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
  return {
    tap: tapped,
    'tap of another': tapped,
    'wheel set': saving(7),
    'another wheel set': saving(8),
    product: save,
  }
}

/** Readers and those who write work for so long; gives what every page and every save took. */
export async function workTogether(address, { paths, writing }, pauses, milliseconds) {
  const until = performance.now() + milliseconds
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

/** Adds wheel sets with three years of records; gives their ids and a product as its form would send it. */
export async function addSets(folder, sets) {
  const { output } = await node([bin.tsx, 'bench/addSets.ts', folder, String(sets)], {
    capture: true,
    env: { NODE_OPTIONS: '--conditions=react-server' },
  })
  return JSON.parse(output.trim().split('\n').at(-1))
}

/** Comes when the copy and the backup of the day are made: once a day, before or while people work. */
export async function dayBegun(folder) {
  const made = (name) =>
    existsSync(join(folder, name)) && readdirSync(join(folder, name)).some((one) => !one.endsWith('.part'))
  const began = performance.now()
  while (!made('copies') || !made('backups')) {
    if (performance.now() - began > dayBegunMilliseconds) throw new Error('No backup of the day was made.')
    await pause(500)
  }
}
