import { message } from '@/core/message/message'
import { currentTime } from '@/clock'
import { createWriteStream } from 'node:fs'
import { mkdir, readdir, rm, stat } from 'node:fs/promises'
import { randomUUID } from 'node:crypto'
import { join } from 'node:path'
import { Readable } from 'node:stream'
import { pipeline } from 'node:stream/promises'
import { fail, succeed, type Result } from '@/core/result'

const folderOf = (dataFolder: string): string => join(/* turbopackIgnore: true */ dataFolder, 'temporary')

/** Nothing takes longer; another process on the same folder may still use a younger file. */
const maxAgeMilliseconds = 3_600_000

/** Deletes what an earlier run of the program left behind. */
export async function clearTemporaryFiles(dataFolder: string): Promise<void> {
  const folder = folderOf(dataFolder)
  for (const name of await readdir(folder).catch(() => [])) {
    const path = join(/* turbopackIgnore: true */ folder, name)
    const found = await stat(path).catch(() => null)
    if (found && currentTime().getTime() - found.mtimeMs > maxAgeMilliseconds) await rm(path, { force: true })
  }
}

/** A path in the data folder that nothing uses yet. Whoever asks for it deletes it. */
export async function temporaryPath(dataFolder: string, extension: string): Promise<string> {
  await mkdir(folderOf(dataFolder), { recursive: true, mode: 0o700 })
  return join(folderOf(dataFolder), `${randomUUID()}.${extension}`)
}

class TooLarge extends Error {}

/**
 * Writes a request body to a file while it arrives; little of it is in memory at a time.
 * @returns the path, for the caller to delete; a problem if the body is larger than allowed
 */
export async function receiveFile(
  body: ReadableStream<Uint8Array> | null,
  dataFolder: string,
  maxBytes: number,
): Promise<Result<string>> {
  const path = await temporaryPath(dataFolder, 'part')
  let bytes = 0
  async function* counted(chunks: AsyncIterable<Uint8Array>) {
    for await (const chunk of chunks) {
      bytes += chunk.byteLength
      if (bytes > maxBytes) throw new TooLarge()
      yield chunk
    }
  }
  try {
    const source = body ? Readable.fromWeb(body as never) : Readable.from([])
    await pipeline(source, counted, createWriteStream(path, { flags: 'wx', mode: 0o600 }))
    return succeed(path)
  } catch (error) {
    await rm(path, { force: true })
    if (error instanceof TooLarge)
      return fail({
        path: 'file',
        found: message('problems.file.moreThan', { bytes: maxBytes }),
        fix: message('problems.file.sendAtMost', { bytes: maxBytes }),
      })
    throw error
  }
}
