import { shopSay } from '@/i18n/shopSay'
import { rm } from 'node:fs/promises'
import Papa from 'papaparse'
import { writeCabinetCsv } from '@/contracts/cabinetCsv'
import { dump } from '@/data/backup/dump'
import type { Database, Queryable } from '@/data/database'
import { listProducts } from '@/data/queries/cabinet'
import { readSettings } from '@/data/queries/settings'
import { listVisits } from '@/data/queries/visits'
import { writeBackup, type BackupParts } from '@/pool/backup/writeBackup'
import { backupThread, onBackupThread } from './backupThread'

/** What a spreadsheet would run is written as text. */
const harmless = (text: string): string => (/^[=+\-@\t\r]/.test(text) ? `'${text}` : text)

/** More visits no shop has. */
const allVisits = 10_000_000

async function logTable(database: Queryable): Promise<string> {
  const say = shopSay()
  const { rows: visits } = await listVisits(database, { size: allVisits })
  const rows = visits.map((visit) => [
    visit.finishedAt.toISOString(),
    harmless(visit.vehicleName),
    harmless(visit.wheelSetName),
    harmless(say(visit.headline)),
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
const peoplesTables = (at: Queryable): BackupParts['others'] => [
  { name: 'log.csv', text: () => logTable(at) },
  {
    name: 'cabinet.csv',
    text: async () => writeCabinetCsv(await listProducts(at), (await readSettings(at)).currency),
  },
]

/**
 * Writes everything that is stored, as of one instant, into a new file; read over the connection that is given.
 * @returns its size, bytes. The file is on the disk then.
 */
export const backUpOver = (database: Database, now: Date, path: string): Promise<number> =>
  dump(database, (reader) =>
    writeBackup(path, { ...reader, madeAt: now.toISOString(), others: peoplesTables(reader.at) }),
  )

/** Next bundles modules more than once; a process makes one backup at a time, because each takes memory and disk. */
const shared = globalThis as typeof globalThis & { evenSpokeBackupTurn?: Promise<unknown> }

function inTurn<T>(work: () => Promise<T>): Promise<T> {
  const done = (shared.evenSpokeBackupTurn ?? Promise.resolve()).then(work)
  shared.evenSpokeBackupTurn = done.catch(() => undefined)
  return done
}

/**
 * Writes a backup of everything, as of one instant, into a new file: on a thread of its own, while work goes on.
 * @param path must not exist yet
 * @returns its size, bytes. The file is on the disk then.
 * @throws what the disk or the data throws; what was begun of the file is deleted then
 */
export const backUp = (database: Database, now: Date, path: string): Promise<number> =>
  inTurn(async () => {
    try {
      return await written(database, now, path)
    } catch (error) {
      await rm(path, { force: true })
      throw error
    }
  })

async function written(database: Database, now: Date, path: string): Promise<number> {
  const server = process.env.EVEN_SPOKE_DATABASE_URL
  const isThread = backupThread() !== null
  if (isThread && server) return onBackupThread({ kind: 'server', url: server }, now, path)
  if (!isThread || !database.snapshot) return backUpOver(database, now, path)
  const snapshot = await database.snapshot()
  try {
    return await onBackupThread({ kind: 'snapshot', folder: snapshot.folder }, now, path)
  } finally {
    await snapshot.drop()
  }
}
