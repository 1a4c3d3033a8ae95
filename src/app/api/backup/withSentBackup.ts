import { rm } from 'node:fs/promises'
import type { Result } from '@/core/result'
import { dataFolder } from '@/data/connection'
import { receiveFile } from '@/services/backup/temporaryFiles'

/** No backup is larger. */
const maxBytes = 500_000_000

/** Answers with what is done with the backup in a request's body, which is kept in a file meanwhile. */
export async function withSentBackup<T>(
  request: Request,
  work: (path: string) => Promise<Result<T>>,
): Promise<Response> {
  const file = await receiveFile(request.body, dataFolder(), maxBytes)
  if (!file.ok) return Response.json({ problems: file.problems }, { status: 413 })
  try {
    const done = await work(file.value)
    return done.ok ? Response.json(done.value) : Response.json({ problems: done.problems }, { status: 422 })
  } finally {
    await rm(file.value, { force: true })
  }
}
