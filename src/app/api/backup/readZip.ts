import { fail, succeed, type Result } from '@/core/result'

const mostBytes = 500_000_000

/** The body of a request, at most as large as any backup. */
export async function readZip(request: Request): Promise<Result<Uint8Array>> {
  const chunks: Uint8Array[] = []
  let size = 0
  const reader = request.body?.getReader()
  while (reader) {
    const { done, value } = await reader.read()
    if (done) break
    size += value.byteLength
    if (size > mostBytes) {
      await reader.cancel()
      return fail({ path: 'file', found: 'more than 500 MB', mend: 'Choose a backup of this program.' })
    }
    chunks.push(value)
  }
  return succeed(Buffer.concat(chunks))
}
