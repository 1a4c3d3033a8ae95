import { fail, succeed, type Result } from '@/core/result'
import { readUpTo } from '@/services/readUpTo'

const mostBytes = 500_000_000

/** The body of a request, at most as large as any backup. */
export async function readZip(request: Request): Promise<Result<Uint8Array>> {
  const body = await readUpTo(request.body, mostBytes)
  return body
    ? succeed(body)
    : fail({ path: 'file', found: 'more than 500 MB', mend: 'Choose a backup of this program.' })
}
