const backupPattern = /^even-spoke-(\d{4}-\d{2}-\d{2})T\d{2}-\d{2}-\d{2}\.zip$/
const daysKept = 14
const monthsKept = 12

/** The day a backup was made; null: another file. */
export const dayOfBackup = (name: string): string | null => backupPattern.exec(name)?.[1] ?? null

/**
 * Which backups may go: the last of each of fourteen days and of each of twelve months stay. Files of others are not touched.
 * @param names in any order
 */
export function supersededBackups(names: readonly string[]): string[] {
  const ours = names
    .filter((name) => dayOfBackup(name) !== null)
    .sort()
    .reverse()
  const keep = new Set<string>()
  for (const [length, most] of [
    ['2026-01-01'.length, daysKept],
    ['2026-01'.length, monthsKept],
  ] as const) {
    const periods = new Map<string, string>()
    for (const name of ours) {
      const period = (dayOfBackup(name) ?? '').slice(0, length)
      if (!periods.has(period)) periods.set(period, name)
    }
    for (const name of [...periods.values()].slice(0, most)) keep.add(name)
  }
  return ours.filter((name) => !keep.has(name))
}
