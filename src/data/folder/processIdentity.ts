import { execFileSync } from 'node:child_process'
import { readFileSync, readlinkSync } from 'node:fs'
import { hostname } from 'node:os'

/**
 * Tells a process apart from every other one, also from a later one with the same number. No wall clock is in it, so
 * that a clock set back or forward changes nothing. What a system does not tell is null.
 */
export interface ProcessIdentity {
  readonly pid: number
  /** The moment the process began, as the system itself counts it; only ever compared for equality. */
  readonly began: string | null
  readonly host: string
  /** Two machines can have one name. */
  readonly machine: string | null
  /** Changes with every start of the machine. */
  readonly boot: string | null
  /** Process numbers mean something only within one such space (containers have their own). */
  readonly processSpace: string | null
}

/** `elsewhere`: nothing can be known from here. */
export type Liveness = 'alive' | 'dead' | 'elsewhere'

const textOf = (path: string): string | null => {
  try {
    return readFileSync(path, 'utf8').trim() || null
  } catch {
    return null
  }
}

/** State letter and start of a process in ticks since boot (proc(5), fields 3 and 22); undefined where there is no /proc. */
function fromProc(pid: number): { ended: boolean; began: string | null } | undefined {
  if (textOf('/proc/self/stat') === null) return undefined
  const stat = textOf(`/proc/${pid}/stat`)
  // The name in field 2 may hold spaces and brackets; what follows the last bracket does not.
  const fields = stat?.slice(stat.lastIndexOf(')') + 2).split(' ')
  const state = fields?.[0]
  if (!fields || state === undefined) return { ended: true, began: null }
  return { ended: state === 'Z' || state === 'X', began: fields[19] ?? null }
}

function exists(pid: number): boolean {
  try {
    process.kill(pid, 0)
    return true
  } catch (error) {
    return (error as { code?: string }).code !== 'ESRCH'
  }
}

function beginning(pid: number): string | null {
  const known = fromProc(pid)
  if (known) return known.ended ? null : known.began
  if (process.platform === 'win32') return null
  try {
    return (
      execFileSync('ps', ['-o', 'lstart=', '-p', String(pid)], {
        encoding: 'utf8',
        stdio: ['ignore', 'pipe', 'ignore'],
      }).trim() || null
    )
  } catch {
    return null
  }
}

const spaceOf = (): string | null => {
  try {
    return readlinkSync('/proc/self/ns/pid')
  } catch {
    return null
  }
}

export const identityOf = (pid: number): ProcessIdentity => ({
  pid,
  began: beginning(pid),
  host: hostname(),
  machine: textOf('/etc/machine-id'),
  boot: textOf('/proc/sys/kernel/random/boot_id'),
  processSpace: spaceOf(),
})

const differ = (a: string | null, b: string | null): boolean => a !== null && b !== null && a !== b

/** Whether the process that wrote this down still runs, seen from `here`. In doubt it is alive. */
export function livenessOf(
  owner: ProcessIdentity,
  here: ProcessIdentity = identityOf(process.pid),
): Liveness {
  if (owner.host !== here.host || differ(owner.machine, here.machine)) return 'elsewhere'
  if (differ(owner.boot, here.boot)) return 'dead'
  if (differ(owner.processSpace, here.processSpace)) return 'elsewhere'
  const known = fromProc(owner.pid)
  if (known ? known.ended : !exists(owner.pid)) return 'dead'
  return differ(owner.began, known ? known.began : beginning(owner.pid)) ? 'dead' : 'alive'
}
