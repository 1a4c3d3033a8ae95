/** Opens the data before the first request, so that a folder in use or a full disk is said at once. */
export async function register(): Promise<void> {
  if (process.env.NEXT_RUNTIME !== 'nodejs' || process.env.NEXT_PHASE === 'phase-production-build') return
  const { openAtStart } = await import('./data/openAtStart')
  await openAtStart()
  const { openNetworkAsKept } = await import('./services/pairing/openNetworkAsKept')
  await openNetworkAsKept()
  const { keepDailyBackups } = await import('./services/backup/dailyBackup')
  keepDailyBackups()
}
