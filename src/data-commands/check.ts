// `npm run check`: holds the data against its own counts, rules and ledger, and against the last backup.
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
async function againstLastBackup(database: Database): Promise<{ problems: string[]; said: string[] }> {
  const { path: folder } = await backupFolderOf(database, folderHere())
  const name = latestFirst(existsSync(folder) ? readdirSync(folder) : [])[0]?.name
  if (!name) return { problems: [], said: ['There is no backup to compare with yet.'] }
  const read = await readBackup(join(folder, name))
  if (!read.ok)
    return { problems: read.problems.map(({ found, mend }) => `${name}: ${found}. ${mend}`), said: [] }
  const counts = await countedRows(database)
  const fewer = [...countsOf(read.value)].flatMap(([table, rows]) => {
    const found = counts.get(table)
    return found !== undefined && found < rows ? [`${table}: ${found} rows now, ${rows} in ${name}`] : []
  })
  return {
    problems: [],
    said:
      fewer.length > 0 ? ['Fewer than in the last backup:', ...fewer] : [`Nothing is missing of ${name}.`],
  }
}

await onDataHere(async (database) => {
  const own = await problemsIn(database)
  const last = await againstLastBackup(database)
  for (const line of last.said) process.stdout.write(`${line}\n`)
  const problems = [...own, ...last.problems]
  for (const line of problems) process.stderr.write(`${line}\n`)
  if (problems.length > 0) return 65
  const rows = [...(await countedRows(database)).values()].reduce((sum, one) => sum + one, 0)
  process.stdout.write(`${rows} rows; counts, rules and ledger hold.\n`)
  return 0
})
