/** What a route asks about intake, plans, taps and the end of a job. */
export { correctVisit } from './correctVisit'
export { finishJob } from './finishJob'
export { intakeOffer } from './intakeOffer'
export { planFor } from './planFor'
export { planJob } from './planJob'
export { jobEnded, recordRunEvent } from './recordRunEvent'
export { replanJob } from './replanJob'
export {
  discardJob,
  findJob,
  jobExists,
  latestJobFile,
  listOpenJobs,
  type OpenJob,
  type StoredJob,
} from '@/data/queries/jobs'
export { listRunEvents } from '@/data/queries/runEvents'
