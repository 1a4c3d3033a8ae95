import { getFormats } from '@/i18n/getFormats'
import { headers } from 'next/headers'
import { after } from 'next/server'
import { getTranslations } from 'next-intl/server'
import { titled } from '@/i18n/titled'
import { currentTime } from '@/clock'
import { guessRegion } from '@/core/units/region'
import { Suspense } from 'react'
import { Plus } from 'lucide-react'
import { isOwner } from '@/app/access'
import { Live } from '@/app/_parts/Live'
import { Link } from '@/ui/Link'
import { database } from '@/services/records'
import { listOpenJobs } from '@/services/jobs'
import { hasWheelSets } from '@/services/wheel-sets'
import { lowStock } from '@/services/cabinet'
import { backupTrouble } from '@/services/backup'
import { keepGuessedRegion } from '@/services/settings'
import { weekDue } from '@/services/due'
import { formatDuration } from '@/i18n/format'
import { JobRows } from '@/ui/today/JobRows'
import { RunningOut } from '@/ui/today/RunningOut'
import { DueCount, DueOfWeek } from './_parts/DueOfWeek'
import { Skeleton } from './_parts/Skeleton'
import { soon } from './_parts/soon'
import { Welcome } from './_parts/Welcome'
import { Words } from '@/i18n/Words'

export const dynamic = 'force-dynamic'
export const generateMetadata = titled('today.title')

const dueShown = 7

export default async function TodayPage() {
  const formats = await getFormats()
  const t = await getTranslations()

  const db = await database()
  if (!(await hasWheelSets(db))) {
    const guess = guessRegion((await headers()).get('accept-language'))
    if (await isOwner()) after(() => keepGuessedRegion(db, guess))
    return <Welcome />
  }
  const now = currentTime()
  const due = weekDue(db, now, dueShown)
  const [jobs, low] = await Promise.all([listOpenJobs(db), lowStock(db), soon(due)])
  const trouble = (await isOwner()) ? backupTrouble() : null
  const minutes = jobs.reduce((sum, job) => sum + job.operatorSeconds, 0)

  return (
    <Words of={['today', 'due']}>
      <Live topics={['job', 'due', 'stock', 'sets']} />
      <header className="place-head">
        <div>
          <h1>{formats.dayOfWeek(now, 'long')}</h1>
          <p className="lead-text">
            {jobs.length === 0
              ? t('today.lead.noJobs')
              : t('today.lead.jobs', { count: jobs.length, time: formatDuration(minutes) })}{' '}
            <Suspense>
              <DueCount due={due} />
            </Suspense>
          </p>
        </div>
        <Link href="/wheels" className="btn btn-primary">
          <Plus aria-hidden size={20} /> {t('today.planJob')}
        </Link>
      </header>
      {trouble && (
        <div className="alert alert-warning mb-4" role="alert">
          {t.rich('today.noBackup', {
            trouble,
            link: (words) => <Link href="/settings/backups">{words}</Link>,
          })}
        </div>
      )}
      <div className="today">
        <section aria-labelledby="jobs">
          <div className="section-head">
            <h2 id="jobs">{t('today.jobs.title')}</h2>
          </div>
          <JobRows jobs={jobs} />
          <RunningOut products={low} />
        </section>
        <section aria-labelledby="due">
          <div className="section-head">
            <h2 id="due">{t('today.due.title')}</h2>
            <Link href="/due">{t('due.everything')}</Link>
          </div>
          <Suspense fallback={<Skeleton lines={dueShown} />}>
            <DueOfWeek due={due} jobs={jobs} now={now} />
          </Suspense>
        </section>
      </div>
    </Words>
  )
}
