import { message } from '@/core/message/message'
import { issueText } from './issueText'
import * as v from 'valibot'
import { succeed, type Result } from '@/core/result'
import { noLongerThan, oneLine, isUuid } from './fields'
import { photographSizes, type PhotographSize } from './photograph'
import { parse } from './problems'

export const backupFormat = 'even-spoke/backup/2'
/** Without a seal, and without checksums of the tables for people. */
export const earlierBackupFormat = 'even-spoke/backup/1'

/** More than a shop has room for. */
export const maxPictures = 50_000

/** A picture that lies as a file of its own in a backup. */
export interface PictureFile {
  readonly photographId: string
  readonly size: PhotographSize
  readonly jpeg: Uint8Array
}

/** The table of the pictures; in a backup they are files, not lines of JSON. */
export const pictureTable = 'photograph_file'

/** Where a picture lies in a backup. */
export const fileOfPicture = ({ photographId, size }: Omit<PictureFile, 'jpeg'>): string =>
  size === 'whole' ? `photographs/${photographId}.jpg` : `photographs/${size}/${photographId}.jpg`

/** Whose picture lies there; null: none of ours. */
export function pictureOf(file: string): Omit<PictureFile, 'jpeg'> | null {
  const photographId = file.slice(-'.jpg'.length - 36, -'.jpg'.length)
  const size = photographSizes.find((one) => fileOfPicture({ photographId, size: one }) === file)
  return size !== undefined && isUuid(photographId) ? { photographId, size } : null
}

const sha256 = v.pipe(v.string(), v.regex(/^[0-9a-f]{64}$/, issueText('problems.backup.sum')))

const count = v.pipe(v.number(), v.integer(), v.minValue(0))

/** What lies in a backup, and what each file has to be. */
export const backupManifest = v.strictObject({
  format: v.picklist(
    [backupFormat, earlierBackupFormat],
    issueText('problems.backup.format', { format: backupFormat }),
  ),
  madeAt: v.pipe(v.string(), v.isoTimestamp()),
  /** Number of the last migration of the data in it. */
  dataVersion: v.pipe(count, v.minValue(1)),
  tables: v.pipe(
    v.array(
      v.strictObject({
        name: v.pipe(v.string(), v.regex(/^[a-z_]{1,60}$/, issueText('problems.backup.tableName'))),
        rows: count,
        sha256,
      }),
    ),
    v.maxLength(200),
  ),
  /** Photographs, each a file of its own; absent in earlier backups. */
  pictures: v.optional(
    v.pipe(
      v.array(
        v.strictObject({
          file: v.pipe(
            v.string(),
            v.check((name) => pictureOf(name) !== null, issueText('problems.backup.pictureName')),
          ),
          sha256,
        }),
      ),
      v.maxLength(maxPictures),
    ),
    [],
  ),
  /** Tables for people; absent in earlier backups. */
  others: v.optional(
    v.pipe(
      v.array(
        v.strictObject({
          file: v.pipe(v.string(), v.regex(/^[a-z]{1,40}\.csv$/, issueText('problems.backup.csvName'))),
          sha256,
        }),
      ),
      v.maxLength(20),
    ),
    [],
  ),
})
export type BackupManifest = v.InferOutput<typeof backupManifest>

/** Tables and pictures of which no two have one name. */
export function readManifest(value: unknown): Result<BackupManifest> {
  const read = parse(backupManifest, value)
  if (!read.ok) return read
  const { tables, pictures } = read.value
  const names = [...tables.map(({ name }) => name), ...pictures.map(({ file }) => file)]
  const seen = new Set<string>()
  const twice = names.find((name) => seen.size === seen.add(name).size)
  return twice === undefined
    ? succeed(read.value)
    : { ok: false, problems: [{ path: 'tables', found: twice, fix: message('problems.backup.twice') }] }
}

/** Rows of each table, as a manifest or a dump counts them. */
export const countsOf = ({
  tables,
  pictures,
}: {
  readonly tables: readonly { readonly name: string; readonly rows: number }[]
  readonly pictures: readonly unknown[]
}): Map<string, number> =>
  new Map([...tables.map(({ name, rows }) => [name, rows] as const), [pictureTable, pictures.length]])

export const tableFile = (name: string): string => `tables/${name}.json`

/** Where backups go; empty: in the data folder. */
export const backupFolderInput = v.strictObject({
  folder: v.pipe(v.string(), v.trim(), noLongerThan('path', 500), oneLine('path')),
})
