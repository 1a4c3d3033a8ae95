import { createHash, type Hash } from 'node:crypto'
import { open } from 'node:fs/promises'
import { Readable } from 'node:stream'
import { pipeline } from 'node:stream/promises'
import { ZipFile } from 'yazl'
import {
  backupFormat,
  fileOfPicture,
  tableFile,
  type BackupManifest,
  type PictureFile,
} from '@/contracts/backup'
import { Seal, unsealed } from './seal'

/** What a backup is made of. Nothing is read before its turn comes, and little is held at a time. */
export interface BackupParts {
  /** ISO 8601. */
  readonly madeAt: string
  /** Number of the last migration. */
  readonly dataVersion: number
  readonly tables: readonly string[]
  /** Rows of a table as JSON, one text a row, some rows at a time. */
  rowsOf(table: string): AsyncIterable<readonly string[]>
  /** Names of the photographs' pictures, in the order in which they are written. */
  readonly pictures: readonly Omit<PictureFile, 'jpeg'>[]
  picture(of: Omit<PictureFile, 'jpeg'>): Promise<Uint8Array>
  /** Tables for people, beside those that are restored. */
  readonly others: readonly { readonly name: string; text(): Promise<string> }[]
}

/** A file of the zip whose contents are made when its turn comes. */
interface Entry {
  readonly name: string
  readonly isPacked: boolean
  content(): AsyncIterable<Uint8Array>
}

async function* jsonArray(
  rows: AsyncIterable<readonly string[]>,
  counted: (rows: number, sha256: string) => void,
): AsyncGenerator<Uint8Array> {
  const hash = createHash('sha256')
  let count = 0
  const hashed = (text: string): Uint8Array => {
    const bytes = Buffer.from(text)
    hash.update(bytes)
    return bytes
  }
  yield hashed('[\n')
  for await (const lines of rows) {
    if (lines.length === 0) continue
    yield hashed(`${count > 0 ? ',\n' : ''}${lines.join(',\n')}`)
    count += lines.length
  }
  yield hashed('\n]\n')
  counted(count, hash.digest('hex'))
}

async function* once(
  bytes: Promise<Uint8Array>,
  hashed: (sha256: string) => void,
): AsyncGenerator<Uint8Array> {
  const content = await bytes
  hashed(hashOf(content).digest('hex'))
  yield content
}

const hashOf = (bytes: Uint8Array): Hash => createHash('sha256').update(bytes)

/** The files of a backup, its manifest last, when all checksums are known. */
function* entriesOf(parts: BackupParts): Generator<Entry> {
  const tables: BackupManifest['tables'] = []
  const pictures: BackupManifest['pictures'] = []
  const others: BackupManifest['others'] = []
  for (const name of parts.tables)
    yield {
      name: tableFile(name),
      isPacked: true,
      content: () => jsonArray(parts.rowsOf(name), (rows, sha256) => tables.push({ name, rows, sha256 })),
    }
  for (const { name, text } of parts.others)
    yield {
      name,
      isPacked: true,
      content: () =>
        once(
          text().then((said) => Buffer.from(said)),
          (sha256) => others.push({ file: name, sha256 }),
        ),
    }
  for (const picture of parts.pictures) {
    const file = fileOfPicture(picture)
    yield {
      name: file,
      isPacked: false,
      content: () => once(parts.picture(picture), (sha256) => pictures.push({ file, sha256 })),
    }
  }
  const { madeAt, dataVersion } = parts
  async function* manifest(): AsyncGenerator<Uint8Array> {
    const said: BackupManifest = { format: backupFormat, madeAt, dataVersion, tables, pictures, others }
    yield await Promise.resolve(Buffer.from(`${JSON.stringify(said, null, 2)}\n`))
  }
  yield { name: 'manifest.json', isPacked: true, content: manifest }
}

/**
 * Writes a backup into a new file and puts it on the disk: when this resolves, a power cut takes none of it.
 * @returns its size, bytes
 * @throws what the disk or the data throws; the file is then incomplete and the caller's to delete
 */
export async function writeBackup(path: string, parts: BackupParts): Promise<number> {
  const file = await open(path, 'wx', 0o600)
  const zip = new ZipFile()
  const seal = new Seal()
  let current: Readable | null = null
  const fail = (error: Error): void => void seal.destroy(error)
  zip.on('error', fail)
  for (const { name, isPacked, content } of entriesOf(parts))
    zip.addReadStreamLazy(
      name,
      { compress: isPacked, mode: 0o100600, mtime: new Date(parts.madeAt) },
      (given) => {
        current = Readable.from(content(), { objectMode: false }).on('error', fail)
        given(null, current)
      },
    )
  zip.end({ comment: unsealed, forceZip64Format: false })
  try {
    await pipeline(zip.outputStream, seal, async (chunks: AsyncIterable<Uint8Array>) => {
      for await (const chunk of chunks) await file.writeFile(chunk)
    })
    await file.sync()
    return seal.bytes
  } finally {
    ;(current as Readable | null)?.destroy()
    await file.close()
  }
}
