import { createHash } from 'node:crypto'
import { strFromU8, strToU8, unzipSync, zipSync, type Zippable } from 'fflate'
import {
  backupFormat,
  fileOfPicture,
  mostPictures,
  pictureOf,
  readManifest,
  tableFile,
  type BackupManifest,
  type PictureFile,
} from '@/contracts/backup'
import { fail, succeed, type Result } from '@/core/result'

/** A file that goes into a backup. */
export interface BackupFile {
  readonly name: string
  readonly text: string
}

/** What a backup is made of, before it is zipped. */
export interface BackupParts {
  readonly madeAt: string
  readonly dataVersion: number
  readonly tables: readonly { readonly name: string; readonly rows: number; readonly json: string }[]
  readonly pictures: readonly PictureFile[]
  /** Tables for people, beside those that are restored. */
  readonly others: readonly BackupFile[]
}

/** A backup that was read and found whole. */
export interface ReadBackup {
  readonly manifest: BackupManifest
  readonly tables: readonly { readonly name: string; readonly rows: readonly unknown[] }[]
  readonly pictures: readonly PictureFile[]
}

/** Nothing that a shop writes is larger, unpacked. */
const mostBytes = 1_500_000_000
/** Tables and what else there is, beside the pictures. */
const mostFiles = 400
/** Rows of a shop shrink to a tenth, perhaps to a fiftieth; what shrinks further was made to burst, at this size or above. */
const mostShrunk = { times: 200, bytes: 1_000_000 }

const sha256 = (bytes: Uint8Array): string => createHash('sha256').update(bytes).digest('hex')

/** One zip: a manifest with counts and checksums, a JSON file a table, a JPEG file a picture, and what else there is. */
export function zipBackup({ madeAt, dataVersion, tables, pictures, others }: BackupParts): Uint8Array {
  const files: Zippable = {}
  const listed = tables.map(({ name, rows, json }) => {
    const bytes = strToU8(json)
    files[tableFile(name)] = bytes
    return { name, rows, sha256: sha256(bytes) }
  })
  for (const { name, text } of others) files[name] = strToU8(text)
  const listedPictures = pictures.map((picture) => {
    const file = fileOfPicture(picture)
    // They are packed as they are.
    files[file] = [picture.jpeg, { level: 0 }]
    return { file, sha256: sha256(picture.jpeg) }
  })
  const manifest: BackupManifest = {
    format: backupFormat,
    madeAt,
    dataVersion,
    tables: listed,
    pictures: listedPictures,
  }
  return zipSync(
    { 'manifest.json': strToU8(`${JSON.stringify(manifest, null, 2)}\n`), ...files },
    { level: 6 },
  )
}

const noBackup = (found: string): Result<never> =>
  fail({
    path: 'file',
    found,
    mend: 'Choose a backup of this program, whole as it was made; nothing was changed.',
  })

/** What is wrong with a name in a zip; null: nothing. */
const badName = (name: string): boolean =>
  name.startsWith('/') || /(^|[\\/])\.\.([\\/]|$)|[\\:\u0000-\u001f]/.test(name) || name.length > 200

/** Looks at all names and sizes before anything is unpacked. */
function unpacked(zip: Uint8Array): Result<Record<string, Uint8Array>> {
  let [bytes, count, pictureCount] = [0, 0, 0]
  let bad: string | null = null
  try {
    unzipSync(zip, {
      filter: ({ name, size, originalSize }) => {
        bytes += originalSize
        if (pictureOf(name)) pictureCount += 1
        else count += 1
        if (badName(name)) bad = `the name ${JSON.stringify(name).slice(0, 60)} in it`
        if (originalSize > Math.max(mostShrunk.bytes, size * mostShrunk.times))
          bad = `${originalSize} bytes that were shrunk to ${size}`
        return false
      },
    })
    if (bad !== null) return noBackup(bad)
    if (bytes > mostBytes || count > mostFiles || pictureCount > mostPictures)
      return noBackup(`${count + pictureCount} files of ${bytes} bytes`)
    return succeed(unzipSync(zip))
  } catch (error) {
    return noBackup(error instanceof Error ? error.message : 'no zip')
  }
}

function readTable(
  files: Record<string, Uint8Array>,
  { name, rows, sha256: wanted }: BackupManifest['tables'][number],
): Result<readonly unknown[]> {
  const bytes = files[tableFile(name)]
  if (!bytes) return noBackup(`no ${tableFile(name)} in it`)
  if (sha256(bytes) !== wanted) return noBackup(`${tableFile(name)} is not what the manifest says`)
  const found: unknown = JSON.parse(strFromU8(bytes))
  return Array.isArray(found) && found.length === rows
    ? succeed(found)
    : noBackup(`${tableFile(name)} has not the rows that the manifest says`)
}

function readPictureFile(
  files: Record<string, Uint8Array>,
  { file, sha256: wanted }: BackupManifest['pictures'][number],
): Result<PictureFile> {
  const [jpeg, picture] = [files[file], pictureOf(file)]
  if (!jpeg || !picture) return noBackup(`no ${file} in it`)
  return sha256(jpeg) === wanted
    ? succeed({ ...picture, jpeg })
    : noBackup(`${file} is not what the manifest says`)
}

/** Reads a backup and holds it against its manifest; nothing is believed that is not as it was written. */
export function readBackup(zip: Uint8Array): Result<ReadBackup> {
  const files = unpacked(zip)
  if (!files.ok) return files
  const text = files.value['manifest.json']
  if (!text) return noBackup('no manifest.json in it')
  try {
    const manifest = readManifest(JSON.parse(strFromU8(text)))
    if (!manifest.ok) return manifest
    const tables: ReadBackup['tables'][number][] = []
    for (const table of manifest.value.tables) {
      const rows = readTable(files.value, table)
      if (!rows.ok) return rows
      tables.push({ name: table.name, rows: rows.value })
    }
    const pictures: PictureFile[] = []
    for (const picture of manifest.value.pictures) {
      const read = readPictureFile(files.value, picture)
      if (!read.ok) return read
      pictures.push(read.value)
    }
    return succeed({ manifest: manifest.value, tables, pictures })
  } catch (error) {
    return noBackup(error instanceof Error ? error.message : 'no JSON')
  }
}
