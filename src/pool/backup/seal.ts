import { createHash } from 'node:crypto'
import { open } from 'node:fs/promises'
import { Transform, type TransformCallback } from 'node:stream'

// A backup ends with a seal: the comment of the zip, which holds the SHA-256 of every byte before it. So a single changed
// byte is noticed, in a name or a time as well as in the contents.

const mark = 'even-spoke sha256 '
const digestLength = 64
const pattern = new RegExp(`^${mark}[0-9a-f]{${digestLength}}$`)

/** Comment to write a zip with; the seal takes the place of its zeros. */
export const unsealed = `${mark}${'0'.repeat(digestLength)}`

/** Passes a zip through and puts its seal in place of the last bytes. */
export class Seal extends Transform {
  readonly #hash = createHash('sha256')
  #held: Buffer = Buffer.alloc(0)
  /** Bytes passed on so far. */
  bytes = 0

  override _transform(chunk: Buffer, _encoding: BufferEncoding, done: TransformCallback): void {
    const all = Buffer.concat([this.#held, chunk])
    const ready = all.subarray(0, Math.max(0, all.length - digestLength))
    this.#held = Buffer.from(all.subarray(ready.length))
    this.#hash.update(ready)
    this.bytes += ready.length
    done(null, ready)
  }

  override _flush(done: TransformCallback): void {
    this.bytes += digestLength
    done(null, Buffer.from(this.#hash.digest('hex'), 'latin1'))
  }
}

/** `broken`: bytes were changed after it was sealed. */
export type SealState = 'whole' | 'broken' | 'none'

/** Bytes read at a time. */
const strideBytes = 1 << 20

/** Compares a file with its seal. Backups of format 1 have none. */
export async function sealOf(path: string): Promise<SealState> {
  const file = await open(path, 'r')
  try {
    const { size } = await file.stat()
    const sealLength = mark.length + digestLength
    if (size < sealLength) return 'none'
    const tail = Buffer.alloc(sealLength)
    await file.read(tail, 0, sealLength, size - sealLength)
    const text = tail.toString('latin1')
    if (!pattern.test(text)) return 'none'
    const hash = createHash('sha256')
    const chunk = Buffer.alloc(strideBytes)
    for (let at = 0; at < size - digestLength;) {
      const { bytesRead } = await file.read(chunk, 0, Math.min(strideBytes, size - digestLength - at), at)
      if (bytesRead === 0) return 'broken'
      hash.update(chunk.subarray(0, bytesRead))
      at += bytesRead
    }
    return hash.digest('hex') === text.slice(mark.length) ? 'whole' : 'broken'
  } finally {
    await file.close()
  }
}
