import { message } from '@/core/message/message'
import { fail, succeed, type Result } from '@/core/result'

/** Of a larger body this much is read and dropped, so that an honest client still hears the answer; then it is cut off. */
const maxDrainedBytes = 64_000_000

/** Reads a request body but keeps nothing of one that is larger than allowed. */
export async function readLimitedText(request: Request, maxBytes: number): Promise<Result<string>> {
  const reader = request.body?.getReader()
  let chunks: Uint8Array[] = []
  let size = 0
  while (reader) {
    const { done, value } = await reader.read()
    if (done) break
    size += value.byteLength
    if (size <= maxBytes) chunks.push(value)
    else chunks = []
    if (size > maxDrainedBytes) {
      await reader.cancel()
      break
    }
  }
  if (size <= maxBytes) return succeed(Buffer.concat(chunks).toString('utf8'))
  return fail({
    path: '',
    found: message('problems.file.moreThan', { bytes: maxBytes }),
    fix: message('problems.file.sendAtMost', { bytes: maxBytes }),
  })
}
