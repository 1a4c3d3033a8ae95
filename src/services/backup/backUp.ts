import Papa from 'papaparse'
import { writeCabinetCsv } from '@/contracts/cabinetCsv'
import { dump } from '@/data/backup/dump'
import type { Database, Queryable } from '@/data/database'
import { listProducts } from '@/data/queries/cabinet'
import { readSettings } from '@/data/queries/settings'
import { listVisits } from '@/data/queries/visits'
import { zipBackup, type BackupFile } from '@/pool/zip'
import { backupThread, onBackupThread } from './backupThread'

/** What a spreadsheet would run is written as text. */
const harmless = (text: string): string => (/^[=+\-@\t\r]/.test(text) ? `'${text}` : text)

/** More visits no shop has. */
const allVisits = 10_000_000

async function logTable(database: Queryable): Promise<string> {
  const { rows: visits } = await listVisits(database, { size: allVisits })
  const rows = visits.map((visit) => [
    visit.finishedAt.toISOString(),
    harmless(visit.vehicleName),
    harmless(visit.wheelSetName),
    harmless(visit.headline),
    visit.result,
    String(Math.round((visit.clockSeconds ?? visit.operatorSeconds) / 60)),
    (visit.costMinor / 100).toFixed(2),
    visit.currency,
    harmless(visit.note),
  ])
  return Papa.unparse({
    fields: ['finished', 'vehicle', 'wheel set', 'headline', 'result', 'minutes', 'cost', 'currency', 'note'],
    data: rows,
  })
}

/** Tables a person reads, beside those a restore reads. */
async function peoplesTables(database: Queryable): Promise<BackupFile[]> {
  const { currency } = await readSettings(database)
  return [
    { name: 'log.csv', text: await logTable(database) },
    { name: 'cabinet.csv', text: writeCabinetCsv(await listProducts(database), currency) },
  ]
}

/** Everything that is stored as one zip, as of one instant; read over the connection that is given. */
export async function backUpOver(database: Database, now: Date): Promise<Uint8Array> {
  const { also: others, ...dumped } = await dump(database, peoplesTables)
  return zipBackup({ madeAt: now.toISOString(), ...dumped, others })
}

/** Everything that is stored as one zip, as of one instant: read and packed on a thread of its own while work goes on. */
export async function backUp(database: Database, now: Date): Promise<Uint8Array> {
  const server = process.env.EVEN_SPOKE_DATABASE_URL
  const isThread = backupThread() !== null
  if (isThread && server) return onBackupThread({ kind: 'server', url: server }, now)
  if (!isThread || !database.snapshot) return backUpOver(database, now)
  const snapshot = await database.snapshot()
  try {
    return await onBackupThread({ kind: 'snapshot', folder: snapshot.folder }, now)
  } finally {
    await snapshot.drop()
  }
}

/** What a backup is called. */
export const backupName = (now: Date): string =>
  `even-spoke-${now.toISOString().slice(0, 19).replaceAll(':', '-')}.zip`
