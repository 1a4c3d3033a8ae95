import { getTranslations } from 'next-intl/server'
import { withoutTexts } from '@/contracts/saidText'
import { titled } from '@/i18n/titled'
import { currentTime } from '@/clock'
import { redirect } from 'next/navigation'
import { livePlace } from '@/app/access'
import { database } from '@/services/records'
import { listRunEvents } from '@/services/jobs'
import { KeepForOffline } from '@/ui/offline/KeepForOffline'
import { RunView } from '@/ui/run/RunView'
import { drawnWheels } from '@/ui/wheel-drawing/drawnWheel'
import { endJob } from '../../actions'
import { jobOr404 } from '../findJobOr404'

export const dynamic = 'force-dynamic'
export const generateMetadata = titled('bay.title')

export default async function RunPage({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params
  const job = await jobOr404(id)
  if (job.finishedAt) redirect('/log')
  // Nothing to do is nothing to write down either.
  if (job.plan.steps.length === 0) redirect(`/jobs/${id}`)
  const t = await getTranslations()
  const events = await listRunEvents(await database(), id)
  return (
    <>
      <KeepForOffline />
      <RunView
        jobId={id}
        wheelSetId={job.wheelSetId}
        title={`${job.jobFile.vehicle.name}, ${job.jobFile.wheelSet.name}`}
        jobFile={job.jobFile}
        plan={withoutTexts(job.plan, (key) => t.has(key as 'bay.title'))}
        wheels={drawnWheels(job.jobFile.corners)}
        loads={job.jobFile.corners.map(({ position, loads }) => ({ position, loads }))}
        stored={{ events, place: await livePlace() }}
        serverMilliseconds={currentTime().getTime()}
        end={endJob.bind(null, id)}
      />
    </>
  )
}
