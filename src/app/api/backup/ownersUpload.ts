import { message } from '@/core/message/message'
import { problemAnswer } from '@/app/problemAnswer'
import { randomBytes } from 'node:crypto'
import { rm } from 'node:fs/promises'
import type { NextRequest } from 'next/server'
import type { Guarded } from '@/app/access'
import { admit, guarded, refusal } from '@/app/gateway'
import type { Result } from '@/core/result'
import { dataFolder } from '@/services/records'
import { mayUse } from '@/access-control/roles'
import { contentSecurityPolicy } from '@/access-control/securityHeaders'
import { receiveFile } from '@/services/backup'

/** No backup is larger. */
const maxBytes = 500_000_000

async function answerTo<T>(
  request: NextRequest,
  work: (path: string) => Promise<Result<T>>,
): Promise<Response> {
  const admitted = await admit(request)
  if (admitted instanceof Response) return admitted
  if (!mayUse(admitted.caller, 'owner'))
    return refusal({
      status: 403,
      found: message('problems.access.bayDevice'),
      fix: message('problems.access.owner'),
    })
  const file = await receiveFile(request.body, dataFolder(), maxBytes)
  if (!file.ok) return problemAnswer(413, file.problems)
  try {
    const done = await work(file.value)
    return done.ok ? Response.json(done.value) : problemAnswer(422, done.problems)
  } finally {
    await rm(file.value, { force: true })
  }
}

/**
 * Makes a route that takes a backup file from an owner. It does not come through the proxy, which would hold all of it in
 * memory: the caller is checked here, before a byte is read, and the body goes to a file as it arrives.
 */
export function ownersUpload<T>(
  work: (path: string) => Promise<Result<T>>,
): ((request: NextRequest) => Promise<Response>) & Guarded {
  const post = async (request: NextRequest): Promise<Response> => {
    const policy = contentSecurityPolicy(randomBytes(16).toString('base64'))
    return guarded(await answerTo(request, work), request.nextUrl.pathname, policy)
  }
  return Object.assign(post, { access: 'owner' as const })
}
