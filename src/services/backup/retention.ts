/** `even-spoke-000012-2026-11-29T10-00-00.zip`; earlier versions wrote no counter. */
const backupPattern = /^even-spoke-(?:(\d{6})-)?(\d{4}-\d{2}-\d{2})T(\d{2}-\d{2}-\d{2})\.zip$/
const counterDigits = 6
const daysKept = 14
const monthsKept = 12

/** A backup by its file name. */
export interface NamedBackup {
  readonly name: string
  /** Counts up with every backup made in a folder, whatever the clock says; 0 for those of earlier versions. */
  readonly counter: number
  /** ISO date, by the clock it was made with. */
  readonly day: string
  readonly time: string
}

/** What a file name says; null: not a backup of ours. */
export function readBackupName(name: string): NamedBackup | null {
  const [, counter, day, time] = backupPattern.exec(name) ?? []
  return day === undefined || time === undefined ? null : { name, counter: Number(counter ?? 0), day, time }
}

/** Backups in a list of file names, the latest first: by counter, and by date where there is none. */
export const latestFirst = (names: readonly string[]): NamedBackup[] =>
  names
    .flatMap((name) => readBackupName(name) ?? [])
    .sort((a, b) => b.counter - a.counter || (a.day + a.time < b.day + b.time ? 1 : -1))

/** What the next backup in a folder is called. */
export function nextBackupName(names: readonly string[], now: Date): string {
  const counter = 1 + Math.max(0, ...latestFirst(names).map((one) => one.counter))
  return `even-spoke-${String(counter).padStart(counterDigits, '0')}-${now.toISOString().slice(0, 19).replaceAll(':', '-')}.zip`
}

/**
 * Which backups may be deleted: the last of each of fourteen days and of each of twelve months stay. Files of others are not
 * touched.
 * @param names in any order
 */
export function supersededBackups(names: readonly string[]): string[] {
  const ours = latestFirst(names)
  const keep = new Set<string>()
  for (const [length, most] of [
    ['2026-01-01'.length, daysKept],
    ['2026-01'.length, monthsKept],
  ] as const) {
    const periods = new Map<string, string>()
    for (const { name, day } of ours) {
      const period = day.slice(0, length)
      if (!periods.has(period)) periods.set(period, name)
    }
    for (const name of [...periods.values()].slice(0, most)) keep.add(name)
  }
  return ours.map(({ name }) => name).filter((name) => !keep.has(name))
}
