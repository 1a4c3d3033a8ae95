/** Opens the data before the first request, so that a folder in use or a full disk is said at once. */
export async function register(): Promise<void> {
  if (process.env.NEXT_RUNTIME !== 'nodejs' || process.env.NEXT_PHASE === 'phase-production-build') return
  const { dataFolder, openAtStart } = await import('./services/records')
  await openAtStart()
  const { openNetworkAsKept } = await import('./services/pairing')
  await openNetworkAsKept()
  const { clearTemporaryFiles, keepDailyBackups } = await import('./services/backup')
  await clearTemporaryFiles(dataFolder())
  keepDailyBackups()
}

/** What the server takes down of what happened; see scripts/server/log.mjs. */
interface ServerLog {
  failed(what: string, error: unknown, path?: string): void
}

/** Takes down what went wrong while a page, a route or an action was worked out: where, and nothing of what somebody typed. */
export function onRequestError(error: unknown, request: { readonly path: string }): void {
  const { evenSpokeLog } = globalThis as typeof globalThis & { evenSpokeLog?: ServerLog }
  evenSpokeLog?.failed('request failed', error, request.path)
}
