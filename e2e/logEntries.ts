import { readFileSync, readdirSync } from 'node:fs'
import { join } from 'node:path'

export interface LogEntry {
  readonly level: string
  readonly msg?: string
  readonly path?: string
  readonly status?: number
  /** Requests that were being answered. */
  readonly running?: number
}

/** Everything a server wrote to the log of its data folder. */
export const logEntriesOf = (folder: string): LogEntry[] =>
  readdirSync(join(folder, 'logs')).flatMap((name) =>
    readFileSync(join(folder, 'logs', name), 'utf8')
      .split('\n')
      .filter((line) => line !== '')
      .map((line) => JSON.parse(line) as LogEntry),
  )
