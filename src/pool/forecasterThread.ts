import { Piscina } from 'piscina'
import type { Forecaster } from '@/core/forecaster'

/** Next bundles modules more than once; a process needs one thread only. */
const shared = globalThis as typeof globalThis & { evenSpokeForecaster?: Piscina }

/** The first forecast of thousands of sets takes seconds, ms. */
const longestMilliseconds = 120_000

/** One thread that keeps what is forecast for as long as it lives; none where no file for it was built. */
function thread(): Piscina | null {
  const filename = process.env.EVEN_SPOKE_POOL
  if (!filename) return null
  shared.evenSpokeForecaster ??= new Piscina({
    filename,
    minThreads: 1,
    maxThreads: 1,
    concurrentTasksPerWorker: 1,
    idleTimeout: Infinity,
  })
  return shared.evenSpokeForecaster
}

/**
 * Has the forecaster hear or answer something on its own thread.
 * @param here does it on the spot where there is no thread
 */
export async function onForecaster<Name extends 'hear' | 'ask'>(
  name: Name,
  input: Parameters<Forecaster[Name]>[0],
  here: () => ReturnType<Forecaster[Name]>,
): Promise<ReturnType<Forecaster[Name]>> {
  const running = thread()
  if (!running) return here()
  return (await running.run(input, {
    name,
    signal: AbortSignal.timeout(longestMilliseconds),
  })) as ReturnType<Forecaster[Name]>
}
