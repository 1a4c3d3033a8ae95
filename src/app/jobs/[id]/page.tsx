import type { PlanFile } from '@/contracts/planFile'
import { getSay } from '@/i18n/getSay'
import { spoken } from '@/i18n/spoken'
import { getTranslations } from 'next-intl/server'
import { titled } from '@/i18n/titled'
import { database } from '@/services/records'
import { readSettings } from '@/services/settings'
import { PlanBoard } from '@/ui/plan/PlanBoard'
import { PlannedFor } from '@/ui/plan/PlannedFor'
import { askThermometer, askWeather } from '../../devices/actions'
import { discardPlan, keepChange, keepHour } from '../actions'
import { jobOr404 } from './findJobOr404'
import { ActionButton } from '@/ui/form/ActionButton'

export const dynamic = 'force-dynamic'
export const generateMetadata = titled('plan.title')

export default async function JobPage({ params }: { params: Promise<{ id: string }> }) {
  const t = await getTranslations()

  const { id } = await params
  const job = await jobOr404(id)
  const settings = await readSettings(await database())
  return (
    <>
      <PlanBoard
        jobId={id}
        wheelSetId={job.wheelSetId}
        jobFile={job.jobFile}
        plan={spoken(job.plan, await getSay()) as PlanFile}
        state={job.finishedAt ? 'finished' : job.startedAt ? 'started' : 'planned'}
        dilutionStyle={settings.dilutionStyle}
        keep={keepChange.bind(null, id)}
        devices={{ weather: askWeather, thermometer: askThermometer }}
      />
      {!job.startedAt && (
        <div className="plan-foot">
          <PlannedFor jobId={id} plannedFor={job.plannedFor} plan={keepHour.bind(null, id)} />
          <ActionButton action={discardPlan.bind(null, id)} className="btn btn-outline-secondary">
            {t('plan.discard')}
          </ActionButton>
        </div>
      )}
    </>
  )
}
