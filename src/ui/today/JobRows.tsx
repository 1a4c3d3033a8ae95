import { useFormats } from '@/i18n/useFormats'
import { useTranslations } from 'next-intl'
import type { Said } from '@/core/message/message'
import { useSay } from '@/i18n/useSay'
import { Link } from '@/ui/Link'
import { drawnWheel, type WheelEntryLike } from '../wheel-drawing/drawnWheel'
import { WheelDrawing } from '../wheel-drawing/WheelDrawing'

/** Drawn one by one; more stand as lines below. */
const drawn = 20

interface OpenJob {
  readonly id: string
  readonly vehicleName: string
  readonly wheelSetName: string
  readonly headline: Said
  readonly plannedFor: Date | null
  readonly startedAt: Date | null
  /** Share of the steps settled, 0 to 1. */
  readonly progress: number
  /** The first of the wheels, to tell the job by. */
  readonly firstCorner: WheelEntryLike
}

const placeOf = ({ id, startedAt }: OpenJob): string => (startedAt ? `/jobs/${id}/run` : `/jobs/${id}`)

function JobRow({ job }: { readonly job: OpenJob }) {
  const formats = useFormats()
  const t = useTranslations()
  const say = useSay()

  const wheel = drawnWheel(job.firstCorner)
  return (
    <li className="row-item job-row">
      {wheel ? (
        <WheelDrawing
          {...wheel}
          id={`j${job.id.slice(0, 8)}`}
          label={t('today.jobs.wheelOf', { vehicle: job.vehicleName })}
        />
      ) : (
        <span />
      )}
      <div>
        <h3>
          <Link href={`/jobs/${job.id}`}>{job.vehicleName}</Link>
        </h3>
        <p className="soft">
          {job.wheelSetName}
          {job.plannedFor &&
            `, ${formats.dayOfWeek(job.plannedFor, 'short')}, ${formats.timeOfDay(job.plannedFor)}`}
        </p>
        <p>{say(job.headline)}</p>
        {job.startedAt && (
          <div
            className="job-bar"
            role="progressbar"
            aria-label={t('today.jobs.workOn', { vehicle: job.vehicleName })}
            aria-valuenow={Math.round(job.progress * 100)}
          >
            <span style={{ width: `${job.progress * 100}%` }} />
          </div>
        )}
      </div>
      <Link href={placeOf(job)} className="btn btn-outline-secondary">
        {job.startedAt ? t('today.jobs.continue') : t('today.jobs.open')}
      </Link>
    </li>
  )
}

/** The jobs that are open: running ones first, then by their hour. */
export function JobRows({ jobs }: { readonly jobs: readonly OpenJob[] }) {
  const t = useTranslations()
  const say = useSay()

  return (
    <>
      <ul className="rows">
        {jobs.slice(0, drawn).map((job) => (
          <JobRow key={job.id} job={job} />
        ))}
        {jobs.length === 0 && (
          <li className="row-item py-3">
            {t.rich('today.jobs.none', { link: (words) => <Link href="/wheels">{words}</Link> })}
          </li>
        )}
      </ul>
      {jobs.length > drawn && (
        <details className="mt-2">
          <summary>{t('today.jobs.more', { count: jobs.length - drawn })}</summary>
          <ul className="rows">
            {jobs.slice(drawn).map((job) => (
              <li key={job.id} className="row-item stock-row">
                <Link href={placeOf(job)}>
                  {job.vehicleName}, {job.wheelSetName}
                </Link>
                <span>{say(job.headline)}</span>
              </li>
            ))}
          </ul>
        </details>
      )}
    </>
  )
}
