import { notFound } from 'next/navigation'
import { isUuid } from '@/contracts/fields'
import { database } from '@/data/connection'
import { findJob, type StoredJob } from '@/data/queries/jobs'

/** The job of a page, or the page that says it is not there. */
export async function jobOr404(id: string): Promise<StoredJob> {
  const job = isUuid(id) ? await findJob(await database(), id) : null
  return job ?? notFound()
}
