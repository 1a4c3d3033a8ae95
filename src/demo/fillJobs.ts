import type { Database } from '@/data/database'
import { findJob, markFinished } from '@/data/queries/jobs'
import { storeRunEvents } from '@/data/queries/runEvents'
import { planJob } from '@/services/jobs/planJob'
import type { DemoFiles } from './readDemoFiles'
import { workedTaps } from './workedTaps'

const millisecondsPerDay = 86_400_000

/** Sets whose jobs are planned for today. */
const todays = ['corvane-summer', 'brackwater-estate', 'aldery-show']

/** Days since a set was last worked on; infinite: never. */
export const lastDaysAgo = ({ history }: DemoFiles, key: string): number =>
  Math.min(...history.filter(({ wheelSet }) => wheelSet === key).map((rhythm) => rhythm.lastDaysAgo))

/** Plans today's jobs, and works the last one of every other set: its grades are what the next intake starts from, its taps what the minutes follow. Gives how many are planned for today. */
export async function fillJobs(
  database: Database,
  files: DemoFiles,
  ids: ReadonlyMap<string, string>,
  now: Date,
): Promise<number> {
  const plan = async ({ key, intake }: DemoFiles['wheelSets'][number], at: Date): Promise<string | null> => {
    const wheelSetId = ids.get(key)
    if (!wheelSetId) return null
    const conditions = { ...intake.conditions, startAt: at.toISOString() }
    const planned = await planJob(database, wheelSetId, { ...intake, conditions }, at)
    if (!planned.ok)
      throw new Error(`The demo job of ${key}: ${planned.problems[0]?.path} ${planned.problems[0]?.fix}`)
    return planned.value.jobId
  }
  const worked = files.wheelSets
    .filter(({ key }) => !todays.includes(key))
    .map((set) => ({ set, days: lastDaysAgo(files, set.key) }))
    .filter(({ days }) => Number.isFinite(days))
    .sort((a, b) => b.days - a.days)
  for (const { set, days } of worked) {
    const finishedAt = new Date(now.getTime() - days * millisecondsPerDay)
    const jobId = await plan(set, finishedAt)
    const job = jobId ? await findJob(database, jobId) : null
    if (!job) continue
    await storeRunEvents(database, job.id, workedTaps(job.plan, finishedAt))
    await markFinished(database, job.id, finishedAt)
  }
  for (const key of todays) {
    const set = files.wheelSets.find((one) => one.key === key)
    if (set) await plan(set, now)
  }
  return todays.length
}
