import * as v from 'valibot'
import { readStoredJob } from '@/contracts/storedJob'
import { readStoredPlan } from '@/contracts/storedPlan'
import { parse } from '@/contracts/problems'
import { settings } from '@/contracts/settings'
import { reasonOf } from '@/core/reasonOf'

type Row = Readonly<Record<string, unknown>>

/** Settings are stored under this name; those that could not be read once are kept under others. */
const shopSettings = 'shop'

const named = v.object({ id: v.optional(v.string()), name: v.optional(v.string()) })

function problemOf(read: () => unknown): string | null {
  try {
    read()
    return null
  } catch (error) {
    return reasonOf(error)
  }
}

const document = v.looseObject({ format: v.optional(v.string()) })

/**
 * A file that says which format it has must be of that format. One that does not say is kept: the program shows such a job as
 * unreadable, and a shop must not lose its backup because of one.
 */
function fileProblem(column: string, file: unknown, read: (stored: unknown) => unknown): string | null {
  if (!v.is(document, file)) return `${column} is no document`
  const problem = file.format === undefined ? null : problemOf(() => read(file))
  return problem === null ? null : `${column}: ${problem}`
}

/** What is wrong with the documents in a row: settings, jobs, plans. Null: nothing. */
function documentProblem(table: string, row: Row): string | null {
  if (table === 'job')
    return (
      fileProblem('job_file', row.job_file, readStoredJob) ??
      fileProblem('plan_file', row.plan_file, readStoredPlan)
    )
  if (table === 'setting' && row.name === shopSettings) {
    // Entries that only another version knows are left as they are.
    const read = parse(v.looseObject(settings.entries), row.value)
    if (!read.ok) return `${read.problems[0]?.path} ${read.problems[0]?.fix}`.trim()
  }
  return null
}

/** A row that is not what its table holds. */
export class RowRefused extends Error {
  constructor(
    readonly table: string,
    readonly row: string,
    readonly found: string,
  ) {
    super(`${table}, ${row}: ${found}`)
    this.name = 'RowRefused'
  }
}

/**
 * Parses every row of a table, documents included.
 * @throws RowRefused for the first one that does not fit
 */
export function parseRows(table: string, contract: v.GenericSchema, rows: readonly unknown[]): void {
  for (const [at, row] of rows.entries()) {
    const identified = v.safeParse(named, row)
    const called = (identified.success && (identified.output.id ?? identified.output.name)) || `row ${at + 1}`
    const read = v.safeParse(contract, row)
    if (!read.success) {
      const [issue] = read.issues
      throw new RowRefused(
        table,
        called,
        `${v.getDotPath(issue) ?? 'the row'} is ${issue.received.slice(0, 60)}, not ${(issue.expected ?? 'what the column holds').slice(0, 60)}`,
      )
    }
    const problem = documentProblem(table, row as Row)
    if (problem !== null) throw new RowRefused(table, called, problem)
  }
}
