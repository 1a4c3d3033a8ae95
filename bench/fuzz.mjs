// Requests that nobody sends on purpose, over all routes and actions, from the desk, from a paired device and from a stranger. None may
// be answered 500, tell a stack or a path, or write what it has no right to. `FUZZ` sets how many.
import { createHash, randomUUID } from 'node:crypto'
import { mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { request } from 'node:http'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { ensureBuilt } from '../scripts/lib/build.mjs'
import { bin, must, node, root, say } from '../scripts/lib/run.mjs'
import { freePort, serve, stop } from '../scripts/lib/serve.mjs'
import { changedRequest, recordRequests } from './recorded.mjs'

const total = Number(process.env.FUZZ ?? 20_000)
const atOnce = 8
/** In the place of a status, where the connection was ended. */
const cutOff = 'cut off'

/** The same numbers at every run. */
function dice(seed) {
  let at = 0
  const next = () =>
    createHash('md5')
      .update(`${seed} ${(at += 1)}`)
      .digest()
      .readUInt32LE() /
    2 ** 32
  const below = (count) => Math.floor(next() * count)
  return { next, below, one: (list) => list[below(list.length)] }
}

const words = [
  '', ' ', '0', '-1', '1e999', 'null', 'undefined', 'NaN', '__proto__', 'constructor', "'; drop table visit; --", '../../etc/passwd', '%00', '%ff',
  '%', '%25', '\u0000', '\ud800', '\u202e', 'ä€𝄞', 'x'.repeat(5000), '[object Object]', '{}', '[]', '2026-13-45', '9999-12-31T23:59:59Z', '225/45 R17 ',
  '00000000-0000-0000-0000-000000000000', 'new', 'import', 'tools', '~', '~new', '1,290', '0x10',
] // prettier-ignore

/** Any JSON value, sometimes deep, sometimes one that looks right. */
function anything(at, depth = 0) {
  switch (at.below(depth > 4 ? 5 : 9)) {
    case 0:
      return at.one(words)
    case 1:
      return at.one([0, -1, 1.5, 1e308, -0, 2 ** 53, 12, 300])
    case 2:
      return at.one([true, false, null])
    case 3:
      return randomUUID()
    case 4:
      return new Date(at.next() * 4e12).toISOString()
    case 5:
    case 6:
      return Array.from({ length: at.below(4) }, () => anything(at, depth + 1))
    default:
      return Object.fromEntries(
        Array.from({ length: at.below(6) }, () => [
          at.one([
            'id',
            'kind',
            'name',
            'stepId',
            'at',
            'requestId',
            'position',
            'code',
            'format',
            'corners',
            'wheels',
            '__proto__',
            at.one(words),
          ]),
          anything(at, depth + 1),
        ]),
      )
  }
}

const nested = (depth) => `${'['.repeat(depth)}${']'.repeat(depth)}`

function body(at) {
  switch (at.below(8)) {
    case 0:
      return ''
    case 1:
      return at.one(['{', '"', 'nul', '\u0000', '{"a":1}}', nested(at.one([10, 2000, 100_000]))])
    case 2:
      return JSON.stringify(at.one(words))
    default:
      return JSON.stringify(anything(at))
  }
}

/** Pages and routes as the build knows them, their parts filled in. */
function path(at, { pages, ids }) {
  const filled = at
    .one(pages)
    .replaceAll(/\[[^\]]+\]/g, () =>
      at.one([...ids, encodeSafely(at.one(words)), at.one(['%00', '%zz', '%C0%AF', '..%2f'])]),
    )
  const query =
    at.below(3) === 0
      ? `?${at.one(['q', 'page', 'kind', 'by', 'soil', 'product', 'from', '_rsc'])}=${encodeSafely(at.one(words))}`
      : ''
  return `${filled || '/'}${query}`
}

const encodeSafely = (text) => {
  try {
    return encodeURIComponent(text)
  } catch {
    return '%ED%A0%80'
  }
}

function ask(address, { method, path: where, headers, body: sent }) {
  return new Promise((resolve, reject) => {
    const url = new URL(address)
    const sending = request(
      {
        host: url.hostname,
        port: url.port,
        method,
        path: where.replaceAll(/[^\u0021-\u007e]/g, '_'),
        headers,
      },
      (answer) => {
        const chunks = []
        answer.on('data', (chunk) => {
          chunks.push(chunk)
          // A stream goes on for ever.
          if (answer.headers['content-type']?.startsWith('text/event-stream'))
            sending.destroy(Object.assign(new Error('heard enough'), { code: 'ECONNRESET' }))
        })
        answer.on('end', () =>
          resolve({
            status: answer.statusCode,
            headers: answer.headers,
            text: Buffer.concat(chunks).toString('utf8'),
          }),
        )
      },
    )
    // Several backups at once take their time.
    sending.setTimeout(240_000, () => sending.destroy(new Error(`no answer to ${method} ${where}`)))
    // Of a body that nobody wants the rest is not waited for.
    sending.once('error', (error) =>
      ['ECONNRESET', 'EPIPE'].includes(error.code) ? resolve({ status: cutOff, text: '' }) : reject(error),
    )
    // With its length, as browsers send.
    sending.end(sent)
  })
}

const told = /\n\s+at [\w.<]|node_modules|\.next\/server|ERR_[A-Z_]+/

const everywhere = () => true
const nowhere = (path) => path.startsWith('/pair')
const openToAll = /^\/(pair$|api\/(pair|health|ready)$|api\/calendar\/|_next\/|icon|manifest|favicon|sw\.js)/
const baysToOpen =
  /^\/($|more$|rules(\/glossary)?$|due$|wheels$|wheels\/[0-9a-f-]{36}(\/(look|intake|protection|care|photographs(\/[0-9a-f-]{36})?))?$|api\/photographs\/[0-9a-f-]{36}$|jobs\/[^/]+(\/run|\/sheet)?$|api\/(clock|live)$|api\/jobs\/[^/]+\/events$)/
const baysToWrite =
  /^\/(jobs\/[^/]+(\/run)?$|wheels\/[0-9a-f-]{36}\/(look|intake|protection)$|api\/jobs\/[^/]+\/(events|corrections)$|api\/wheels\/[0-9a-f-]{36}\/(looks|photographs)$|(api\/)?pair$)/

/**
 * What a request says of who sends it, and what they may open and write: the desk, a page of it, another site, a stranger of the
 * network, and devices that were let in.
 */
const sendersOf = ({ owner, bay }) => [
  { name: 'desk', headers: {}, opens: everywhere, writes: everywhere },
  { name: 'page', headers: { 'sec-fetch-site': 'same-origin' }, opens: everywhere, writes: everywhere },
  {
    name: 'other site',
    headers: { 'sec-fetch-site': 'cross-site', origin: 'http://elsewhere.example' },
    opens: everywhere,
    writes: nowhere,
  },
  { name: 'stranger', isFar: true, headers: {}, opens: (path) => openToAll.test(path), writes: nowhere },
  {
    name: 'phone of the owner',
    isFar: true,
    headers: { cookie: owner },
    opens: everywhere,
    writes: everywhere,
  },
  {
    name: 'phone of the bay',
    isFar: true,
    headers: { cookie: bay },
    opens: (path) => openToAll.test(path) || baysToOpen.test(path),
    writes: (path) => baysToWrite.test(path),
  },
]

function fuzzed(at, app, host) {
  const sender = at.one(app.senders)
  const isWrite = at.below(5) < 3
  // From many places, so that the limit of one holds nothing up.
  const far = sender.isFar ? { 'x-forwarded-for': `10.1.${at.below(250)}.${at.below(250)}` } : {}
  const headers = { host, ...far, ...sender.headers }
  if (app.recorded.length > 0 && at.below(3) > 0) {
    const changed = changedRequest(at, app, words, anything)
    return { sender, ...changed, headers: { origin: `http://${host}`, ...changed.headers, ...headers } }
  }
  if (!isWrite)
    return {
      sender,
      method: at.one(['GET', 'GET', 'HEAD']),
      path: path(at, app),
      headers: at.below(6) === 0 ? { ...headers, rsc: '1' } : headers,
    }
  const sent = body(at)
  if (at.below(2) === 0)
    return {
      sender, method: 'POST', path: path(at, app), body: at.below(3) === 0 ? sent : JSON.stringify(Array.from({ length: at.below(4) }, () => anything(at))),
      headers: { ...headers, 'next-action': at.one(app.actions), 'content-type': at.one(['text/plain;charset=UTF-8', 'multipart/form-data; boundary=x']), ...(sender.headers.origin ? {} : { origin: `http://${host}` }) },
    } // prettier-ignore
  return {
    sender,
    method: at.one(['POST', 'POST', 'POST', 'PUT', 'DELETE', 'PATCH']),
    path: path(at, app),
    body: sent,
    headers: {
      ...headers,
      'content-type': at.one([
        'application/json',
        'application/json',
        'text/plain',
        'application/zip',
        'multipart/form-data; boundary=x',
      ]),
    },
  }
}

/** Calls an action of the page of phones, as the desk. */
const atDesk = (address, host, action, args) =>
  ask(address, {
    method: 'POST',
    path: '/settings/phones',
    headers: { host, origin: address, 'next-action': action, 'content-type': 'text/plain;charset=UTF-8' },
    body: JSON.stringify(args),
  })

/** Lets a device in as the desk and a phone would; gives the cookie it is known by. */
async function letIn(address, host, pairing, role) {
  const code = await atDesk(address, host, pairing, [{ role }])
  const [, spoken] = /"code":"([^"]+)"/.exec(code.text) ?? []
  const answer = await ask(address, {
    method: 'POST',
    path: '/api/pair',
    headers: { host, 'x-forwarded-for': '10.2.0.1', 'content-type': 'application/json' },
    body: JSON.stringify({ code: spoken, name: `Phone of the ${role}` }),
  })
  const [cookie] = answer.headers?.['set-cookie'] ?? []
  if (!cookie) throw new Error(`No device was let in: ${answer.status} ${answer.text.slice(0, 200)}`)
  return cookie.split(';')[0]
}

/** Why an answer is one that none may be; null where it is fine. */
function wrongOf({ sender, method, path: where }, { status, text }) {
  const isWrite = !['GET', 'HEAD'].includes(method)
  const [place] = where.split('?')
  if (status >= 500 && status !== 503) return `status ${status}`
  if (told.test(text)) return 'tells how it is built'
  if (status === cutOff || status >= 300) return null
  if (isWrite ? !sender.writes(place) : !sender.opens(place)) return `a ${sender.name} was let in`
  return null
}

/** Sends so many and says which were answered as none may be; two of three begin as a recorded request, where there are any. */
export async function fuzz(address, count, { seed = 'even', recorded = [] } = {}) {
  const routes = JSON.parse(readFileSync(join(root, '.next/app-path-routes-manifest.json'), 'utf8'))
  const manifest = JSON.parse(readFileSync(join(root, '.next/server/server-reference-manifest.json'), 'utf8'))
  const host = new URL(address).host
  const home = await ask(address, { method: 'GET', path: '/wheels', headers: { host } })
  const ids = [...new Set(home.text.match(/[0-9a-f-]{36}/g) ?? [])].slice(0, 5)
  const idOf = (name) => Object.entries(manifest.node).find(([, one]) => one.exportedName === name)[0]
  await atDesk(address, host, idOf('allowNetwork'), [true])
  const pairing = idOf('newPairingCode')
  const app = {
    senders: sendersOf({
      owner: await letIn(address, host, pairing, 'owner'),
      bay: await letIn(address, host, pairing, 'bay'),
    }),
    pages: Object.values(routes),
    actions: Object.keys(manifest.node),
    ids: [...ids, randomUUID()],
    recorded,
  }
  const at = dice(seed)
  const bad = []
  const statuses = {}
  let sent = 0
  await Promise.all(
    Array.from({ length: atOnce }, async () => {
      while (sent < count) {
        sent += 1
        const asked = fuzzed(at, app, host)
        const answer = await ask(address, asked)
        statuses[answer.status] = (statuses[answer.status] ?? 0) + 1
        const why = wrongOf(asked, answer)
        if (why)
          bad.push(
            `${why}: ${asked.sender.name} ${asked.method} ${asked.path.slice(0, 80)} ${asked.headers['next-action'] ?? asked.headers['content-type'] ?? ''} ${String(asked.body ?? '').slice(0, 600)}`,
          )
      }
    }),
  )
  return { bad, statuses }
}

export async function benchFuzz() {
  await ensureBuilt()
  const folder = mkdtempSync(join(tmpdir(), 'even-spoke-bench-'))
  await must('The demo data', node([bin.tsx, 'src/demo/seed.ts'], { env: { EVEN_SPOKE_DATA: folder } }))
  const recorded = await recordRequests(folder)
  say(`${recorded.length} requests recorded`)
  // The network that is let in is this machine alone.
  process.env.EVEN_SPOKE_LAN_HOST = '127.0.0.1'
  // Every sender is a device of its own.
  process.env.EVEN_SPOKE_BEHIND_PROXY = '127.0.0.1'
  const { child, address } = await serve({ dataFolder: folder, port: await freePort(4810) })
  try {
    const { bad, statuses } = await fuzz(address, total, { recorded })
    for (const line of bad.slice(0, 40)) say(line)
    return [
      {
        what: `of ${total} fuzzed requests, answered as none may be`,
        ratio: bad.length,
        most: 0,
        detail: JSON.stringify(statuses),
      },
    ]
  } finally {
    await stop(child)
    rmSync(folder, { recursive: true, force: true })
  }
}
