import { message, type Message } from '@/core/message/message'
import { createHash } from 'node:crypto'
import { openPromise, type Entry, type ZipFile } from 'yauzl'
import {
  earlierBackupFormat,
  fileOfPicture,
  maxPictures,
  pictureOf,
  readManifest,
  tableFile,
  type BackupManifest,
  type PictureFile,
} from '@/contracts/backup'
import { reasonOf } from '@/core/reasonOf'
import { fail, succeed, type Result } from '@/core/result'
import { sealOf } from './seal'

/** Nothing that a shop writes is larger, unpacked. */
const maxBytes = 1_500_000_000
/** Tables and what else there is, beside the pictures. */
const maxFiles = 400
/** Rows of a shop shrink to a tenth, perhaps to a fiftieth; what shrinks further was made to burst, at this size or above. */
const maxShrunk = { times: 200, bytes: 1_000_000 }

const sha256 = (bytes: Uint8Array): string => createHash('sha256').update(bytes).digest('hex')

const noBackup = (found: Message | string): Result<never> =>
  fail({
    path: 'file',
    found,
    fix: message('problems.backup.notWhole'),
  })

const isBadName = (name: string): boolean =>
  name.startsWith('/') || /(^|[\\/])\.\.([\\/]|$)|[\\:\u0000-\u001f]/.test(name) || name.length > 200

/** The files of a backup, read one at a time. */
class BackupFiles {
  private constructor(
    private readonly zip: ZipFile,
    private readonly entries: ReadonlyMap<string, Entry>,
  ) {}

  /** Looks at all names and sizes before anything is unpacked. */
  static async open(path: string): Promise<Result<BackupFiles>> {
    const zip = await openPromise(path, { lazyEntries: true, autoClose: false })
    const entries = new Map<string, Entry>()
    let [bytes, count, pictureCount] = [0, 0, 0]
    try {
      for await (const entry of zip.eachEntry()) {
        const { fileName, compressedSize, uncompressedSize } = entry
        bytes += uncompressedSize
        if (pictureOf(fileName)) pictureCount += 1
        else count += 1
        const bad = isBadName(fileName)
          ? message('problems.backup.found.name', { name: JSON.stringify(fileName).slice(0, 60) })
          : uncompressedSize > Math.max(maxShrunk.bytes, compressedSize * maxShrunk.times)
            ? message('problems.backup.found.shrunk', { bytes: uncompressedSize, packed: compressedSize })
            : entries.has(fileName)
              ? message('problems.backup.found.twice', { file: fileName })
              : bytes > maxBytes || count > maxFiles || pictureCount > maxPictures
                ? message('problems.backup.found.tooMuch', { files: maxFiles, bytes: maxBytes })
                : null
        if (bad !== null) {
          zip.close()
          return noBackup(bad)
        }
        entries.set(fileName, entry)
      }
      return succeed(new BackupFiles(zip, entries))
    } catch (error) {
      zip.close()
      return noBackup(reasonOf(error))
    }
  }

  get names(): Iterable<string> {
    return this.entries.keys()
  }

  /** A file's bytes; null: it is not there. Never more than it says it has. */
  async read(name: string): Promise<Uint8Array | null> {
    const entry = this.entries.get(name)
    if (!entry) return null
    const chunks: Uint8Array[] = []
    for await (const chunk of await this.zip.openReadStreamPromise(entry)) chunks.push(chunk as Uint8Array)
    return Buffer.concat(chunks)
  }

  close(): void {
    this.zip.close()
  }
}

/** A file as the manifest describes it. */
async function wholeFile(files: BackupFiles, name: string, wanted: string): Promise<Result<Uint8Array>> {
  const bytes = await files.read(name)
  if (!bytes) return noBackup(message('problems.backup.found.missing', { file: name }))
  return sha256(bytes) === wanted
    ? succeed(bytes)
    : noBackup(message('problems.backup.found.otherBytes', { file: name }))
}

function rowsIn(bytes: Uint8Array): unknown[] | null {
  const found: unknown = JSON.parse(Buffer.from(bytes).toString('utf8'))
  return Array.isArray(found) ? found : null
}

/** Photographs of which a picture is missing, or pictures of no photograph. */
function pictureProblem(
  photographs: readonly unknown[],
  pictures: BackupManifest['pictures'],
): Message | null {
  const ids = photographs.map((row) => String((row as { id?: unknown } | null)?.id))
  const wanted = new Set(
    ids.flatMap((photographId) =>
      (['whole', 'small'] as const).map((size) => fileOfPicture({ photographId, size })),
    ),
  )
  const listed = new Set(pictures.map(({ file }) => file))
  const missing = [...wanted].find((file) => !listed.has(file))
  if (missing !== undefined) return message('problems.backup.found.noPicture', { file: missing })
  const stray = [...listed].find((file) => !wanted.has(file))
  return stray === undefined ? null : message('problems.backup.found.stray', { file: stray })
}

/** Compares everything in a backup with its manifest. */
async function checked(files: BackupFiles, seal: 'whole' | 'none'): Promise<Result<BackupManifest>> {
  const text = await files.read('manifest.json')
  if (!text) return noBackup(message('problems.backup.found.missing', { file: 'manifest.json' }))
  const manifest = readManifest(JSON.parse(Buffer.from(text).toString('utf8')))
  if (!manifest.ok) return manifest
  const { format, tables, pictures, others } = manifest.value
  if (seal === 'none' && format !== earlierBackupFormat)
    return noBackup(message('problems.backup.found.cutShort'))
  let photographs: readonly unknown[] = []
  for (const { name, rows, sha256: wanted } of tables) {
    const bytes = await wholeFile(files, tableFile(name), wanted)
    if (!bytes.ok) return bytes
    const found = rowsIn(bytes.value)
    if (found?.length !== rows)
      return noBackup(message('problems.backup.found.otherRows', { file: tableFile(name) }))
    if (name === 'photograph') photographs = found
  }
  for (const { file, sha256: wanted } of [...pictures, ...others]) {
    const bytes = await wholeFile(files, file, wanted)
    if (!bytes.ok) return bytes
  }
  const problem = pictureProblem(photographs, pictures)
  return problem === null ? manifest : noBackup(problem)
}

/** Reads a backup and compares it with its manifest and its seal: what is not exactly as it was written is refused. */
export async function readBackup(path: string): Promise<Result<BackupManifest>> {
  try {
    const seal = await sealOf(path)
    if (seal === 'broken') return noBackup(message('problems.backup.found.changed'))
    const files = await BackupFiles.open(path)
    if (!files.ok) return files
    try {
      return await checked(files.value, seal)
    } finally {
      files.value.close()
    }
  } catch (error) {
    return noBackup(reasonOf(error))
  }
}

/** What is in a backup that was checked, read table by table and picture by picture. */
export interface BackupContents {
  rowsOf(table: string): Promise<readonly unknown[] | null>
  pictures(): AsyncIterable<PictureFile>
  close(): void
}

/** Opens a backup that `readBackup` found whole. */
export async function openBackup(path: string, manifest: BackupManifest): Promise<BackupContents> {
  const files = await BackupFiles.open(path)
  if (!files.ok) throw new Error(JSON.stringify(files.problems[0]?.found))
  const { value } = files
  return {
    rowsOf: async (table) => {
      if (!manifest.tables.some(({ name }) => name === table)) return null
      const bytes = await value.read(tableFile(table))
      return bytes && rowsIn(bytes)
    },
    pictures: async function* () {
      for (const { file } of manifest.pictures) {
        const [of, jpeg] = [pictureOf(file), await value.read(file)]
        if (of && jpeg) yield { ...of, jpeg }
      }
    },
    close: () => value.close(),
  }
}
