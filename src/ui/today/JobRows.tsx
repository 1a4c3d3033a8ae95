import { format } from 'date-fns'
import { Link } from '@/ui/Link'
import { drawnWheel, type WheelEntryLike } from '../wheel-drawing/drawnWheel'
import { WheelDrawing } from '../wheel-drawing/WheelDrawing'

/** Drawn one by one; more stand as lines below. */
const drawn = 20

interface OpenJob {
  readonly id: string
  readonly vehicleName: string
  readonly wheelSetName: string
  readonly headline: string
  readonly plannedFor: Date | null
  readonly startedAt: Date | null
  /** Share of the steps settled, 0 to 1. */
  readonly progress: number
  /** The first of the wheels, to tell the job by. */
  readonly firstCorner: WheelEntryLike
}

const placeOf = ({ id, startedAt }: OpenJob): string => (startedAt ? `/jobs/${id}/run` : `/jobs/${id}`)

function JobRow({ job }: { readonly job: OpenJob }) {
  const wheel = drawnWheel(job.firstCorner)
  return (
    <li className="row-item job-row">
      {wheel ? (
        <WheelDrawing {...wheel} id={`j${job.id.slice(0, 8)}`} label={`Wheel of ${job.vehicleName}`} />
      ) : (
        <span />
      )}
      <div>
        <h3>
          <Link href={`/jobs/${job.id}`}>{job.vehicleName}</Link>
        </h3>
        <p className="soft">
          {job.wheelSetName}
          {job.plannedFor && `, ${format(job.plannedFor, 'EEE d MMM, HH:mm')}`}
        </p>
        <p>{job.headline}</p>
        {job.startedAt && (
          <div
            className="job-bar"
            role="progressbar"
            aria-label={`Work on ${job.vehicleName}`}
            aria-valuenow={Math.round(job.progress * 100)}
          >
            <span style={{ width: `${job.progress * 100}%` }} />
          </div>
        )}
      </div>
      <Link href={placeOf(job)} className="btn btn-outline-secondary">
        {job.startedAt ? 'Go on' : 'Open'}
      </Link>
    </li>
  )
}

/** The jobs that are open: running ones first, then by their hour. */
export function JobRows({ jobs }: { readonly jobs: readonly OpenJob[] }) {
  return (
    <>
      <ul className="rows">
        {jobs.slice(0, drawn).map((job) => (
          <JobRow key={job.id} job={job} />
        ))}
        {jobs.length === 0 && (
          <li className="row-item py-3">
            Nothing yet. Choose a wheel set, say what is on it, and the plan is here.{' '}
            <Link href="/wheels">Wheel sets</Link>
          </li>
        )}
      </ul>
      {jobs.length > drawn && (
        <details className="mt-2">
          <summary>{jobs.length - drawn} more open jobs</summary>
          <ul className="rows">
            {jobs.slice(drawn).map((job) => (
              <li key={job.id} className="row-item stock-row">
                <Link href={placeOf(job)}>
                  {job.vehicleName}, {job.wheelSetName}
                </Link>
                <span>{job.headline}</span>
              </li>
            ))}
          </ul>
        </details>
      )}
    </>
  )
}
