// The application's own server: plain HTTP for this machine alone and, once it is opened, HTTPS for the shop's network.
import { randomBytes, timingSafeEqual, X509Certificate } from 'node:crypto'
import { createServer } from 'node:http'
import { createServer as createSecureServer } from 'node:https'
import { join } from 'node:path'
import next from 'next'
import { backupThreadFile, poolFile } from '../lib/build.mjs'
import { root } from '../lib/run.mjs'
import { certificatesFor } from './certificates.mjs'
import { mayGoOn } from './limits.mjs'
import { say } from './say.mjs'
import { environmentOrEnd } from '../lib/environment.mjs'
import { isForwarding, isOwnHeader, originBehind } from './origin.mjs'
import { logAnswer, openLog, plainError, plainPath } from './log.mjs'
import { ownAddresses, ownHostNames } from './network.mjs'
import { writePriority } from './writePriority.mjs'
import { trustPage } from './trustPage.mjs'

// Everything this process writes is for its owner alone.
process.umask(0o077)

const environment = environmentOrEnd()
const loopback = '127.0.0.1'
const usualPort = 4310
const port = environment.EVEN_SPOKE_PORT ?? usualPort
const lanPort = environment.EVEN_SPOKE_LAN_PORT ?? port + 1
const lanHost = environment.EVEN_SPOKE_LAN_HOST || '0.0.0.0'
const moreNames = environment.EVEN_SPOKE_NAMES
const originOf = originOrEnd(environment.EVEN_SPOKE_BEHIND_PROXY)

function originOrEnd(proxies) {
  try {
    return originBehind(proxies)
  } catch (error) {
    process.stderr.write(`${say('proxies', { found: proxies, reason: error.message })}\n`)
    process.exit(64)
  }
}

/** The framework asks itself for the page an action leads to, with the headers of the request it answers: so it is known again. */
const ownMark = 'x-even-spoke-own'
const ownSecret = randomBytes(32).toString('hex')
const isOwn = (mark) => {
  const given = Buffer.from(String(mark ?? ''), 'latin1')
  return given.length === ownSecret.length && timingSafeEqual(given, Buffer.from(ownSecret, 'latin1'))
}

/** Nothing is packed for this machine itself: that costs more than it saves. */
const packing = 'accept-encoding'

/** Open requests end before the data is closed, but nobody waits longer for them, ms. */
const longestQuietMilliseconds = 5000
const dayMilliseconds = 86_400_000

const running = new Set()
const log = openLog(process.env.EVEN_SPOKE_DATA ?? root)
/** What the program takes down itself. */
globalThis.evenSpokeLog = {
  failed: (what, error, path) =>
    log.error({ ...plainError(error), ...(path ? { path: plainPath(path) } : {}) }, what),
}

/** A small server of its own, within the same limits. */
const limited = (door, handle) => async (request, response) => {
  const ended = new Promise((resolve) => response.once('close', resolve))
  if (await mayGoOn(request, response, door, originOf(request).peer, ended)) handle(request, response)
}

/** Marks a request with the door it came through and passes it on. */
const through = (door, handle) => async (request, response) => {
  running.add(response)
  const ended = new Promise((resolve) => response.once('close', resolve))
  void ended.then(() => running.delete(response))
  try {
    if (isOwn(request.headers[ownMark])) delete request.headers[packing]
    else {
      mark(request, door)
      const came = request.headers['x-even-spoke-door']
      logAnswer(log, request, response, came, ended)
      if (!(await mayGoOn(request, response, came, request.headers['x-even-spoke-peer'], ended))) return
      await writePriority(request, ended)
    }
    await handle(request, response)
  } catch (error) {
    log.error(plainError(error), 'not answered')
    response.destroy()
  }
}

/** Marks a request with its door and its peer. What another server passes on was not asked at this desk. */
function mark(request, door) {
  const { peer, isPassedOn } = originOf(request)
  for (const name of Object.keys(request.headers))
    if (isOwnHeader(name) || isForwarding(name)) delete request.headers[name]
  request.headers['x-even-spoke-door'] = isPassedOn ? 'lan' : door
  request.headers['x-even-spoke-peer'] = peer
  if (!isPassedOn && door === 'desk') delete request.headers[packing]
  request.headers[ownMark] = ownSecret
}

/** A connection stays open for a while: one that is closed just as something is sent loses what was sent, ms. */
const keptOpenMilliseconds = 75_000

const listen = (server, at, host) =>
  new Promise((resolve, reject) => {
    server.keepAliveTimeout = keptOpenMilliseconds
    server.once('error', reject)
    server.listen(at, host, () => {
      server.off('error', reject)
      resolve(server)
    })
  })

const closed = (server) =>
  new Promise((resolve) => {
    server.close(resolve)
    server.closeIdleConnections()
  })

/** How often the machine's addresses are looked at, ms. */
const lookMilliseconds = 5000

/** Names and addresses of this machine now, the one a person types first. */
const namesNow = () => [...ownAddresses(), ...ownHostNames(), ...moreNames.split(',').filter(Boolean)]

/** The shop's network: open or not, and how it is reached. */
class Network {
  constructor(handle) {
    this.handle = handle
    this.open_ = null
    this.names = []
    /** One change at a time. */
    this.last = Promise.resolve()
  }

  state() {
    return (
      this.open_ && {
        port: lanPort,
        trustPort: lanPort + 1,
        names: this.names,
        print: this.open_.print,
      }
    )
  }

  change(wanted) {
    this.last = this.last.catch(() => undefined).then(() => (wanted ? this.open() : this.close()))
    return this.last
  }

  async open() {
    if (this.open_) return
    const names = namesNow()
    const certificates = await this.certificates(names)
    const main = await listen(
      createSecureServer(
        { key: certificates.key, cert: certificates.certificate },
        through('lan', this.handle),
      ),
      lanPort,
      lanHost,
    )
    const trust = await listen(
      createServer(
        limited('lan', (request, response) =>
          trustPage(certificates.authority, `https://${this.names[0] ?? loopback}:${lanPort}/pair`)(
            request,
            response,
          ),
        ),
      ),
      lanPort + 1,
      lanHost,
    ).catch(async (error) => {
      await closed(main)
      throw error
    })
    this.takeNames(names)
    const print = new X509Certificate(certificates.authority).fingerprint256
    const look = setInterval(
      () => void this.lookAgain().catch((error) => log.error(plainError(error), 'network')),
      lookMilliseconds,
    )
    look.unref()
    this.open_ = { main, trust, print, look, lookedAt: performance.now() }
  }

  /** A machine that got another address offers it at once; certificates are renewed in time. */
  async lookAgain() {
    if (!this.open_) return
    const names = namesNow()
    const isOld = performance.now() - this.open_.lookedAt > dayMilliseconds
    if (names.join() === this.names.join() && !isOld) return
    const again = await this.certificates(names)
    if (!this.open_) return
    this.open_.lookedAt = performance.now()
    if (again.isNew) this.open_.main.setSecureContext({ key: again.key, cert: again.certificate })
    this.open_.print = new X509Certificate(again.authority).fingerprint256
    this.takeNames(names)
  }

  takeNames(names) {
    this.names = names
    process.env.EVEN_SPOKE_NAMES = names.map((name) => (name.includes(':') ? `[${name}]` : name)).join(',')
  }

  certificates(names) {
    return certificatesFor(
      join(process.env.EVEN_SPOKE_DATA ?? root, 'network'),
      [...names, 'localhost', loopback],
      Date.now(),
      (text) => process.stderr.write(`${text}\n`),
    )
  }

  async close() {
    if (!this.open_) return
    const { main, trust, look } = this.open_
    this.open_ = null
    clearInterval(look)
    process.env.EVEN_SPOKE_NAMES = moreNames
    const gone = [closed(main), closed(trust)]
    main.closeAllConnections()
    trust.closeAllConnections()
    await Promise.all(gone)
  }
}

process.env.EVEN_SPOKE_POOL = poolFile
process.env.EVEN_SPOKE_BACKUP_THREAD = backupThreadFile
// There the framework asks itself; over TLS it would not know the shop's own certificate.
process.env.__NEXT_PRIVATE_ORIGIN = `http://${loopback}:${port}`
const app = next({ dev: false, dir: root, hostname: loopback, port, quiet: true })
const desk = { server: null }
const network = new Network((request, response) => app.getRequestHandler()(request, response))

globalThis.evenSpokeNetwork = network
/** Takes no more requests and waits for those that run; called before the data is closed. */
globalThis.evenSpokeQuiet = async () => {
  globalThis.evenSpokeEndStreams?.()
  const gone = [desk.server && closed(desk.server), network.close()]
  const deadline = Date.now() + longestQuietMilliseconds
  log.info({ running: running.size }, 'stopping')
  while (running.size > 0 && Date.now() < deadline) await new Promise((resolve) => setTimeout(resolve, 20))
  desk.server?.closeAllConnections()
  await Promise.all(gone)
  log.info({ running: running.size }, 'stopped listening')
}

/** Ends with a sentence if another program listens there; the data has not been opened yet. */
function portTaken(error) {
  if (error.code !== 'EADDRINUSE') throw error
  process.stderr.write(`${say('portTaken', { port: String(port) })}\n`)
  process.exit(69)
}

const began = {}
const prepared = new Promise((resolve) => (began.prepared = resolve))
const answerOnceReady = async (request, response) => {
  await prepared
  await app.getRequestHandler()(request, response)
}
desk.server = await listen(createServer(through('desk', answerOnceReady)), port, loopback).catch(portTaken)
await app.prepare()
began.prepared()
log.info({ node: process.version }, 'started')
if (environment.EVEN_SPOKE_LAN) await network.change(true)
