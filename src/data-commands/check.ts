// `npm run check`: holds the data against its own counts, rules and ledger, and against the last backup.
import { print, printError } from '@/i18n/terminal'
import { message, type Said } from '@/core/message/message'
import { existsSync, readdirSync } from 'node:fs'
import { join } from 'node:path'
import { countsOf } from '@/contracts/backup'
import { countedRows, problemsIn } from '@/data/backup/wholeness'
import type { Database } from '@/data/database'
import { readBackup } from '@/pool/backup/readBackup'
import { backupFolderOf } from '@/services/backup/backupFolder'
import { latestFirst } from '@/services/backup/retention'
import { folderHere, onDataHere } from './openHere'

/** What the last backup says: problems of its own, and what the data has fewer of since. */
async function againstLastBackup(database: Database): Promise<{ problems: Said[]; said: Said[] }> {
  const { path: folder } = await backupFolderOf(database, folderHere())
  const name = latestFirst(existsSync(folder) ? readdirSync(folder) : [])[0]?.name
  if (!name) return { problems: [], said: [message('commands.check.noBackup')] }
  const read = await readBackup(join(folder, name))
  if (!read.ok)
    return {
      problems: read.problems.map(({ found, fix }) =>
        message('commands.problem', { path: name, found, fix }),
      ),
      said: [],
    }
  const counts = await countedRows(database)
  const fewer = [...countsOf(read.value)].flatMap(([table, rows]) => {
    const found = counts.get(table)
    return found !== undefined && found < rows
      ? [message('commands.check.fewer', { table, found, rows, name })]
      : []
  })
  return {
    problems: [],
    said:
      fewer.length > 0
        ? [message('commands.check.fewerThan'), ...fewer]
        : [message('commands.check.nothingMissing', { name })],
  }
}

await onDataHere(async (database) => {
  const own = await problemsIn(database)
  const last = await againstLastBackup(database)
  last.said.forEach(print)
  const problems = [...own, ...last.problems]
  problems.forEach(printError)
  if (problems.length > 0) return 65
  const rows = [...(await countedRows(database)).values()].reduce((sum, one) => sum + one, 0)
  print(message('commands.check.whole', { rows }))
  return 0
})
