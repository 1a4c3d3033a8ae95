// What one device may ask for at a time, so that none holds the program for the others.
import { setTimeout as pause } from 'node:timers/promises'
import { RateLimiterMemory } from 'rate-limiter-flexible'
import { say } from './say.mjs'

const isUpload = (path) => /^\/api\/backup\/(look|restore)$/.test(path)

const methods = ['GET', 'HEAD', 'POST', 'PUT', 'PATCH', 'DELETE', 'OPTIONS']

/** Requests in ten seconds; a page and all it is drawn with are about forty. */
const most = { desk: 6000, lan: 600 }
/** Requests that are open at once. */
const maxOpen = { desk: 256, lan: 64 }
/** Backups are large, everything else is not, bytes. */
const maxBytes = (path) => (isUpload(path) ? 500_000_000 : 5_000_000)

/** How long a sender that sends too much may go on after the answer, ms. Cut off in the middle it would not read the answer. */
const letFinishMilliseconds = 2000
/** Pause after each piece, ms. Read at full speed, pieces pile up in memory before they are freed. */
const pieceMilliseconds = 25

/** A body that has not arrived after so long is given up, ms; a backup is large, and the connection as a whole has its own limit. */
const bodyMilliseconds = 30_000
/** However wrong the clock is, nobody waits longer, s. */
const longestWaitSeconds = 10

/** Reads the rest of a refused body piece by piece and drops it, until it ends or the time is over. */
async function readAway(request) {
  const deadline = performance.now() + letFinishMilliseconds
  let isOver = request.destroyed || request.complete
  for (const event of ['end', 'close', 'error']) request.once(event, () => (isOver = true))
  while (!isOver && performance.now() < deadline) {
    request.read()
    await pause(pieceMilliseconds)
  }
}

/** What every answer of the program has, for those that do not come as far as the program. */
export const everyRefusal = {
  'x-content-type-options': 'nosniff',
  'content-security-policy': "default-src 'none'; frame-ancestors 'none'",
  'cross-origin-opener-policy': 'same-origin',
  'cross-origin-resource-policy': 'same-origin',
  'referrer-policy': 'same-origin',
  'permissions-policy': 'camera=(), microphone=(), geolocation=()',
  'x-frame-options': 'DENY',
}

const perTenSeconds = {
  desk: new RateLimiterMemory({ points: most.desk, duration: 10 }),
  lan: new RateLimiterMemory({ points: most.lan, duration: 10 }),
}
const open = new Map()

/** Sends a whole refusal; the connection stays open until the response is ended. */
function sayRefusal(response, status, found, fix, retrySeconds) {
  const body = JSON.stringify({ problems: [{ path: '', found, fix }] })
  response.writeHead(status, {
    'content-type': 'application/json',
    'content-length': Buffer.byteLength(body),
    'cache-control': 'no-store',
    'x-content-type-options': 'nosniff',
    ...everyRefusal,
    connection: 'close',
    ...(retrySeconds ? { 'retry-after': String(retrySeconds) } : {}),
  })
  response.write(body)
}

function refuse(response, status, found, fix, retrySeconds) {
  sayRefusal(response, status, found, fix, retrySeconds)
  response.end()
}

/** Refuses a body at once, and closes the connection when the sender has had time to read the answer. */
async function refuseBody(request, response, status, found, fix) {
  sayRefusal(response, status, found, fix)
  await readAway(request)
  response.end()
  request.destroy()
}

/**
 * Whether a request may go on; where not it is answered.
 * @param ended comes once the request is answered or given up
 */
export async function mayGoOn(request, response, door, peer, ended) {
  const path = (request.url ?? '').split('?')[0]
  // The framework cannot make a request of some others, and answers with a failure.
  if (!methods.includes(request.method)) {
    refuse(response, 405, String(request.method).slice(0, 20), say('limits.method'))
    return false
  }
  if (request.headers['transfer-encoding'] !== undefined) {
    await refuseBody(request, response, 411, say('limits.unknownLength'), say('limits.sendLength'))
    return false
  }
  const length = Number(request.headers['content-length'] ?? 0)
  if (length > maxBytes(path)) {
    await refuseBody(
      request,
      response,
      413,
      say('limits.bytes', { bytes: length }),
      say('limits.atMost', { bytes: maxBytes(path) }),
    )
    return false
  }
  const who = `${door} ${peer}`
  // Counted before anything is waited for, so that a burst counts as one.
  const own = (open.get(who) ?? 0) + 1
  open.set(who, own)
  void ended.then(() => {
    const left = (open.get(who) ?? 1) - 1
    if (left > 0) open.set(who, left)
    else open.delete(who)
  })
  if (own > maxOpen[door]) {
    refuse(response, 429, say('limits.atOnce', { count: own }), say('limits.waitForAnswers'), 1)
    return false
  }
  try {
    await perTenSeconds[door].consume(peer)
  } catch ({ msBeforeNext = 1000 }) {
    refuse(
      response,
      429,
      say('limits.tooMany'),
      say('limits.wait'),
      Math.min(longestWaitSeconds, Math.ceil(msBeforeNext / 1000)),
    )
    return false
  }
  if (length > 0 && !isUpload(path)) closeIfSlow(request, response)
  return true
}

/** Closes a connection whose body does not arrive. */
function closeIfSlow(request, response) {
  const timer = setTimeout(() => {
    if (request.complete) return
    if (!response.headersSent) refuse(response, 408, say('limits.late'), say('limits.sendAgain'))
    request.destroy()
  }, bodyMilliseconds)
  for (const event of ['end', 'close']) request.once(event, () => clearTimeout(timer))
}
