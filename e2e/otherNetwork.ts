import { execFileSync } from 'node:child_process'
import { chmodSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { chromium, type Browser } from '@playwright/test'
import { shiftClocks } from './testClock'
import { chromiumArguments, chromiumPath } from '../scripts/lib/chromium.mjs'

/** A browser that has nothing of this machine but one wire to it. */
export interface OtherNetwork {
  readonly browser: Browser
  /** Whether it is a network of its own; else it is another name of this machine. */
  readonly isOwn: boolean
  /** What this machine is called there. */
  readonly machine: string
  /** Gives this machine another address there, as a new router does; only on a network of its own. */
  addAddress(): string
  close(): Promise<void>
}

const ip = (...command: readonly string[]): string =>
  execFileSync('ip', [...command], { stdio: ['ignore', 'pipe', 'ignore'] }).toString()

interface Wire {
  readonly machine: string
  readonly addAddress: () => string
  readonly end: () => void
}

/** A network namespace with one wire to here; null where this machine lets nobody make one. */
function wired(name: string): Wire | null {
  const [here, there] = [`${name}-h`, `${name}-p`]
  const net = `10.83.${process.pid % 250}`
  try {
    ip('netns', 'add', name)
    ip('link', 'add', here, 'type', 'veth', 'peer', 'name', there)
    ip('link', 'set', there, 'netns', name)
    ip('addr', 'add', `${net}.1/24`, 'dev', here)
    ip('link', 'set', here, 'up')
    ip('-n', name, 'addr', 'add', `${net}.2/24`, 'dev', there)
    ip('-n', name, 'link', 'set', there, 'up')
    ip('-n', name, 'link', 'set', 'lo', 'up')
  } catch {
    unwire(name)
    return null
  }
  const addAddress = (): string => {
    const another = `10.84.${process.pid % 250}`
    ip('addr', 'add', `${another}.1/24`, 'dev', here)
    ip('-n', name, 'addr', 'add', `${another}.2/24`, 'dev', there)
    return `${another}.1`
  }
  return { machine: `${net}.1`, addAddress, end: () => unwire(name) }
}

/** With the namespace its end of the wire goes, and with that the wire. */
function unwire(name: string): void {
  try {
    ip('netns', 'del', name)
  } catch {
    // There was none.
  }
}

/** Starts a browser on another network: one of its own where the system lets us make one, else on another name of this machine. */
export async function openOtherNetwork(): Promise<OtherNetwork> {
  const name = `es${process.pid}`
  const wire = wired(name)
  const folder = mkdtempSync(join(tmpdir(), 'even-spoke-net-'))
  const starter = join(folder, 'browser')
  writeFileSync(starter, `#!/bin/sh\nexec ${wire ? `ip netns exec ${name} ` : ''}${chromiumPath()} "$@"\n`)
  chmodSync(starter, 0o700)
  const browser = await chromium.launch({
    executablePath: starter,
    // The shop's own certificate would be trusted by hand; a worker that stands in for the network needs that.
    args: [...chromiumArguments, '--ignore-certificate-errors'],
  })
  shiftClocks(browser)
  return {
    browser,
    isOwn: wire !== null,
    machine: wire?.machine ?? '127.0.0.1',
    addAddress: () => {
      if (!wire) throw new Error('No network of its own: this machine gets no other address.')
      return wire.addAddress()
    },
    close: async () => {
      await browser.close()
      wire?.end()
      rmSync(folder, { recursive: true, force: true })
    },
  }
}
