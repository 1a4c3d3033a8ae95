import { fail, succeed, type Result } from '@/core/result'

/** Reads a request body but stops as soon as it is larger than allowed. */
export async function readLimitedText(request: Request, mostBytes: number): Promise<Result<string>> {
  const chunks: Uint8Array[] = []
  let size = 0
  const reader = request.body?.getReader()
  while (reader) {
    const { done, value } = await reader.read()
    if (done) break
    size += value.byteLength
    if (size > mostBytes) {
      await reader.cancel()
      return fail({
        path: '',
        found: `more than ${mostBytes} bytes`,
        mend: `Send at most ${mostBytes} bytes.`,
      })
    }
    chunks.push(value)
  }
  return succeed(Buffer.concat(chunks).toString('utf8'))
}
