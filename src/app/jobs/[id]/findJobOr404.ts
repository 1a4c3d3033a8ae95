import { notFound } from 'next/navigation'
import { isOwner } from '@/app/access'
import { isUuid } from '@/contracts/fields'
import { withoutCosts } from '@/contracts/withoutCosts'
import { database } from '@/services/records'
import { findJob, type StoredJob } from '@/services/jobs'

/** The job of a page, or the page that says it is not there. Who is not an owner is told no prices. */
export async function jobOr404(id: string): Promise<StoredJob> {
  const job = isUuid(id) ? await findJob(await database(), id) : null
  if (!job) notFound()
  if (await isOwner()) return job
  return { ...job, jobFile: withoutCosts(job.jobFile), plan: withoutCosts(job.plan) }
}
