// A PostgreSQL server of its own for the tests, in a folder that goes again.
import { execFileSync, spawnSync } from 'node:child_process'
import { chownSync, existsSync, mkdtempSync, readdirSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { freePort } from './serve.mjs'

const versions = '/usr/lib/postgresql'
/** The server refuses to run as root; Debian's package brings this user. */
const user = 'postgres'

const isRoot = process.getuid?.() === 0

/** Where Debian keeps the server's programs; null where it has none. */
function programs() {
  if (!existsSync(versions)) return null
  const [newest] = readdirSync(versions).sort((a, b) => Number(b) - Number(a))
  return newest && existsSync(join(versions, newest, 'bin', 'initdb')) ? join(versions, newest, 'bin') : null
}

/** Installs Debian's package where that can be done. */
function install() {
  if (!isRoot || process.platform !== 'linux') return
  const quiet = { stdio: 'ignore', env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' } }
  spawnSync('apt-get', ['update'], quiet)
  spawnSync('apt-get', ['install', '-y', '--no-install-recommends', 'postgresql'], quiet)
}

const idOf = (flag) => Number(execFileSync('id', [flag, user], { encoding: 'utf8' }))

/**
 * Starts one.
 * @returns its address and how to stop it; null where there is none and none can be installed
 */
export async function startPostgres() {
  if (!programs()) install()
  const bin = programs()
  if (!bin) return null
  const folder = mkdtempSync(join(tmpdir(), 'even-spoke-postgres-'))
  const as = isRoot ? { uid: idOf('-u'), gid: idOf('-g') } : {}
  if (isRoot) chownSync(folder, as.uid, as.gid)
  const run = (program, args) =>
    execFileSync(join(bin, program), args, { ...as, cwd: folder, stdio: ['ignore', 'ignore', 'pipe'] })
  const data = join(folder, 'data')
  const port = await freePort(4950)
  run('initdb', ['-D', data, '-U', 'spoke', '-A', 'trust', '-E', 'UTF8', '--locale=C.UTF-8', '-N'])
  const settings = `-p ${port} -k ${folder} -c listen_addresses=127.0.0.1 -c fsync=off -c max_connections=200`
  const start = () => run('pg_ctl', ['-D', data, '-w', '-l', join(folder, 'log'), '-o', settings, 'start'])
  const end = () => run('pg_ctl', ['-D', data, '-w', '-m', 'fast', 'stop'])
  start()
  return {
    /** Starts it again after `end`. */
    start,
    end,
    url: `postgres://spoke@127.0.0.1:${port}/postgres`,
    stop: () => {
      end()
      rmSync(folder, { recursive: true, force: true })
    },
  }
}
