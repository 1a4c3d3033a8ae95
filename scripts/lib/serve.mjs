import { spawn } from 'node:child_process'
import { createServer } from 'node:net'
import { join } from 'node:path'
import { bin, root, say } from './run.mjs'

const host = '127.0.0.1'

const isFree = (port) =>
  new Promise((resolve) => {
    const probe = createServer()
    probe.once('error', () => resolve(false))
    probe.listen(port, host, () => probe.close(() => resolve(true)))
  })

/** The wanted port, or the next free one after it. */
export async function freePort(wanted) {
  for (let port = wanted; port < wanted + 100; port += 1) {
    if (await isFree(port)) {
      if (port !== wanted) say(`Port ${wanted} is taken; using ${port}.`)
      return port
    }
  }
  throw new Error(`No free port from ${wanted} to ${wanted + 99}.`)
}

async function answers(url) {
  try {
    return (await fetch(url)).ok
  } catch {
    return false
  }
}

const passedOn = ['SIGINT', 'SIGTERM', 'SIGHUP']

/** npm passes on a request to stop, but cannot when it is killed itself; then this process gets another parent. */
function stopWithCaller(child) {
  if (!process.env.npm_lifecycle_event || process.platform === 'win32') return
  const caller = process.ppid
  const timer = setInterval(() => {
    if (process.ppid !== caller) child.kill('SIGTERM')
  }, 1000)
  timer.unref()
}

/** Starts the built application and resolves with it once it answers; a failed start ends this process with its code. */
export async function serve({ dataFolder, port, app = root, healthPath = '/api/health' }) {
  const address = `http://${host}:${port}`
  const program =
    app === root
      ? [join(root, 'scripts/server/server.mjs')]
      : [join(root, bin.next), 'start', app, '-H', host, '-p', String(port)]
  const child = spawn(process.execPath, program, {
    cwd: root,
    env: {
      ...process.env,
      NEXT_TELEMETRY_DISABLED: '1',
      NODE_ENV: 'production',
      EVEN_SPOKE_DATA: dataFolder,
      EVEN_SPOKE_ADDRESS: address,
      EVEN_SPOKE_PORT: String(port),
      EVEN_SPOKE_LAN: flag('lan') ? '1' : '',
      EVEN_SPOKE_BEHIND_PROXY: option('behind-proxy') ?? process.env.EVEN_SPOKE_BEHIND_PROXY ?? '',
      EVEN_SPOKE_NAMES: option('names') ?? process.env.EVEN_SPOKE_NAMES ?? '',
      EVEN_SPOKE_STOPS_WITH_PARENT: '1',
      EVEN_SPOKE_TAKE_OVER: flag('take-over') ? '1' : '',
      EVEN_SPOKE_RECOVERY: flag('last-good') ? 'lastGood' : flag('as-it-is') ? 'asItIs' : '',
    },
    // Nothing is ever written to its input: that it ends tells the application that this process has ended.
    stdio: ['pipe', 'ignore', 'inherit'],
  })
  let ended = null
  child.once('exit', (code, signal) => {
    ended = code ?? (signal ? 1 : 0)
  })
  while (ended === null && !(await answers(`${address}${healthPath}`)))
    await new Promise((resolve) => setTimeout(resolve, 100))
  if (ended !== null) {
    process.stderr.write('The application did not start.\n')
    process.exit(ended === 0 ? 1 : ended)
  }
  return { child, address }
}

/** Keeps running until the application ends; passes on a request to stop. */
export function stayWith(child) {
  if (child.exitCode !== null) process.exit(child.exitCode)
  for (const signal of passedOn) process.on(signal, () => child.kill(signal))
  stopWithCaller(child)
  child.once('exit', (code) => process.exit(code ?? 0))
}

/** Ends the application and resolves when it has gone: it closes its data and makes a good copy first. */
export const stop = (child, signal = 'SIGTERM') =>
  new Promise((resolve) => {
    child.once('exit', resolve)
    child.kill(signal)
  })

/** Value of `--name value` or `--name=value`, else undefined. */
export function option(name) {
  const args = process.argv.slice(2)
  const at = args.findIndex((argument) => argument === `--${name}` || argument.startsWith(`--${name}=`))
  if (at < 0) return undefined
  const value = args[at].includes('=') ? args[at].slice(name.length + 3) : args[at + 1]
  if (value !== undefined && value !== '' && !value.startsWith('--')) return value
  process.stderr.write(`--${name} needs a value: --${name} ${examples[name] ?? 'VALUE'}\n`)
  process.exit(64)
}

const examples = {
  port: '4310',
  data: '/path/of/a/folder',
  names: 'shop.example,10.0.0.5',
  'behind-proxy': '10.0.0.2',
}

export const flag = (name) => process.argv.slice(2).includes(`--${name}`)

export function portOption() {
  const text = option('port') ?? process.env.EVEN_SPOKE_PORT ?? process.env.PORT ?? '4310'
  const port = /^\d+$/.test(text) ? Number(text) : Number.NaN
  if (Number.isInteger(port) && port >= 1024 && port <= 65_000) return port
  process.stderr.write(`Port ${text} cannot be used; give a whole number from 1024 to 65000.\n`)
  process.exit(64)
}
