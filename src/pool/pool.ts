import { message, type Message } from '@/core/message/message'
import { availableParallelism } from 'node:os'
import { Piscina } from 'piscina'
import { tasks, type Tasks } from './tasks'

/** One core is kept for those who only read or tap. */
const threads = Math.max(1, availableParallelism() - 1)
/** So many wait for a thread; whoever comes later is told when to come again. */
const maxWaiting = 4
/** Longer than this nothing takes, ms; then its thread is ended. */
const longestMilliseconds = 60_000
/** So long a plan takes at most, as a rule, s. */
const usualSeconds = 3

/** Next bundles modules more than once; a process needs one pool only. */
const shared = globalThis as typeof globalThis & { evenSpokePool?: Piscina }

/** The threads; none where no file for them was built, as in tests of a service: then work is done on the spot. */
function pool(): Piscina | null {
  const filename = process.env.EVEN_SPOKE_POOL
  if (!filename) return null
  shared.evenSpokePool ??= new Piscina({
    filename,
    minThreads: 1,
    maxThreads: threads,
    maxQueue: maxWaiting,
    idleTimeout: 60_000,
  })
  return shared.evenSpokePool
}

/** Too much is being worked out already. */
export class PoolFull extends Error {
  constructor(readonly retrySeconds: number) {
    super(`too much at once; retry after ${retrySeconds} s`)
  }

  /** What to do about it. */
  get fix(): Message {
    return message('problems.busy.pool', { time: { seconds: this.retrySeconds } })
  }
}

/**
 * Works something out on another thread.
 * @param signal ends the work when who asked has gone
 * @throws PoolFull where too many wait already
 */
export async function inPool<Name extends keyof Tasks>(
  name: Name,
  input: Parameters<Tasks[Name]>[0],
  signal?: AbortSignal,
): Promise<Awaited<ReturnType<Tasks[Name]>>> {
  const running = pool()
  if (!running) return (await tasks[name](input as never)) as Awaited<ReturnType<Tasks[Name]>>
  if (running.queueSize >= maxWaiting)
    throw new PoolFull(Math.ceil((usualSeconds * (running.queueSize + 1)) / threads))
  const limit = AbortSignal.timeout(longestMilliseconds)
  return (await running.run(input, {
    name,
    signal: signal ? AbortSignal.any([signal, limit]) : limit,
  })) as Awaited<ReturnType<Tasks[Name]>>
}
