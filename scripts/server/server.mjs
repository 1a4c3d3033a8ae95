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
import { isForwarding, isOwnHeader, originBehind } from './origin.mjs'
import { logAnswer, openLog, plainError, plainPath } from './log.mjs'
import { ownAddresses, ownHostNames } from './network.mjs'
import { savesFirst } from './savesFirst.mjs'
import { trustPage } from './trustPage.mjs'

// Everything this process writes is for its owner alone.
process.umask(0o077)

const loopback = '127.0.0.1'
const port = Number(process.env.EVEN_SPOKE_PORT)
const lanPort = Number(process.env.EVEN_SPOKE_LAN_PORT ?? port + 1)
const lanHost = process.env.EVEN_SPOKE_LAN_HOST ?? '0.0.0.0'
const moreNames = process.env.EVEN_SPOKE_NAMES ?? ''
const originOf = originBehind(process.env.EVEN_SPOKE_BEHIND_PROXY ?? '')

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
      await savesFirst(request, ended)
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

/** The shop's network: open or not, and how it is reached. */
class Network {
  constructor(handle) {
    this.handle = handle
    this.open_ = null
    /** One change at a time. */
    this.last = Promise.resolve()
  }

  state() {
    return (
      this.open_ && {
        port: lanPort,
        trustPort: lanPort + 1,
        names: this.open_.names,
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
    const addresses = ownAddresses()
    const names = [...addresses, ...ownHostNames(), ...moreNames.split(',').filter(Boolean)]
    const certificates = await this.certificates(names)
    const main = await listen(
      createSecureServer(
        { key: certificates.key, cert: certificates.certificate },
        through('lan', this.handle),
      ),
      lanPort,
      lanHost,
    )
    const at = addresses[0] ?? names[0] ?? loopback
    const trust = await listen(
      createServer(limited('lan', trustPage(certificates.authority, `https://${at}:${lanPort}/pair`))),
      lanPort + 1,
      lanHost,
    ).catch(async (error) => {
      await closed(main)
      throw error
    })
    process.env.EVEN_SPOKE_NAMES = names.map((name) => (name.includes(':') ? `[${name}]` : name)).join(',')
    const print = new X509Certificate(certificates.authority).fingerprint256
    const renew = setInterval(async () => {
      const again = await this.certificates(names)
      if (again.isNew) main.setSecureContext({ key: again.key, cert: again.certificate })
    }, dayMilliseconds)
    renew.unref()
    this.open_ = { main, trust, names, print, renew }
  }

  certificates(names) {
    return certificatesFor(join(process.env.EVEN_SPOKE_DATA ?? root, 'network'), [
      ...names,
      'localhost',
      loopback,
    ])
  }

  async close() {
    if (!this.open_) return
    const { main, trust, renew } = this.open_
    this.open_ = null
    clearInterval(renew)
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
}

await app.prepare()
desk.server = await listen(createServer(through('desk', app.getRequestHandler())), port, loopback)
log.info({ node: process.version }, 'started')
if (process.env.EVEN_SPOKE_LAN === '1') await network.change(true)
