import { Plus } from 'lucide-react'
import { format } from 'date-fns'
import type { Metadata } from 'next'
import { LiveRefresh } from '@/ui/live/LiveRefresh'
import { Link } from '@/ui/Link'
import { database } from '@/data/connection'
import { listLowStock } from '@/data/queries/cabinet'
import { listOpenJobs } from '@/data/queries/jobs'
import { hasWheelSets } from '@/data/queries/wheelSets'
import { weekDue } from '@/services/due'
import { weekLoad } from '@/services/weekLoad'
import { DueRows } from '@/ui/due/DueRows'
import { WeekLoad } from '@/ui/due/WeekLoad'
import { formatDuration, formatMillilitres } from '@/ui/format/format'
import { drawnWheel } from '@/ui/wheel-drawing/drawnWheel'
import { WheelDrawing } from '@/ui/wheel-drawing/WheelDrawing'
import { Welcome } from './_parts/Welcome'

export const dynamic = 'force-dynamic'
export const metadata: Metadata = { title: 'Today' }

/** Share of a pack at which a product runs out soon. */
const lowStockShare = 0.25
/** Drawn one by one; more stand as lines below. */
const jobsShown = 20
const dueShown = 7

export default async function TodayPage() {
  const db = await database()
  if (!(await hasWheelSets(db))) return <Welcome />
  const now = new Date()
  const [jobs, due, low] = await Promise.all([
    listOpenJobs(db),
    weekDue(db, now, dueShown),
    listLowStock(db, lowStockShare),
  ])
  const load = await weekLoad(db, jobs, due.visits, now)
  const minutes = jobs.reduce((sum, job) => sum + job.operatorSeconds, 0)

  return (
    <>
      <LiveRefresh topics={['job', 'due', 'stock', 'sets']} />
      <header className="place-head">
        <div>
          <h1>{format(now, 'EEEE d MMMM')}</h1>
          <p className="lead-text">
            {jobs.length === 0
              ? 'No job is planned.'
              : `${jobs.length} ${jobs.length === 1 ? 'job' : 'jobs'} planned, ${formatDuration(minutes)} of work.`}{' '}
            {due.count === 0
              ? 'Nothing falls due this week.'
              : `${due.count} ${due.count === 1 ? 'thing is' : 'things are'} due within a week.`}
          </p>
        </div>
        <Link href="/wheels" className="btn btn-primary">
          <Plus aria-hidden size={20} /> Plan a visit
        </Link>
      </header>
      <div className="today">
        <section aria-labelledby="jobs">
          <div className="section-head">
            <h2 id="jobs">Jobs</h2>
          </div>
          <ul className="rows">
            {jobs.slice(0, jobsShown).map((job) => {
              const wheel = drawnWheel(job.firstCorner)
              return (
                <li key={job.id} className="row-item job-row">
                  {wheel ? (
                    <WheelDrawing
                      {...wheel}
                      id={`j${job.id.slice(0, 8)}`}
                      label={`Wheel of ${job.vehicleName}`}
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
                  <Link
                    href={job.startedAt ? `/jobs/${job.id}/run` : `/jobs/${job.id}`}
                    className="btn btn-outline-secondary"
                  >
                    {job.startedAt ? 'Go on' : 'Open'}
                  </Link>
                </li>
              )
            })}
            {jobs.length === 0 && (
              <li className="row-item py-3">
                Nothing yet. Choose a wheel set, say what is on it, and the plan is here.{' '}
                <Link href="/wheels">Wheel sets</Link>
              </li>
            )}
          </ul>
          {jobs.length > jobsShown && (
            <details className="mt-2">
              <summary>{jobs.length - jobsShown} more open jobs</summary>
              <ul className="rows">
                {jobs.slice(jobsShown).map((job) => (
                  <li key={job.id} className="row-item stock-row">
                    <Link href={job.startedAt ? `/jobs/${job.id}/run` : `/jobs/${job.id}`}>
                      {job.vehicleName}, {job.wheelSetName}
                    </Link>
                    <span>{job.headline}</span>
                  </li>
                ))}
              </ul>
            </details>
          )}
          {low.length > 0 && (
            <>
              <div className="section-head mt-4">
                <h2>Running out</h2>
              </div>
              <ul className="rows">
                {low.map((product) => (
                  <li key={product.id} className="row-item stock-row">
                    <span>{product.name}</span>
                    <span className="number">
                      {formatMillilitres(product.stockMillilitres)} of{' '}
                      {formatMillilitres(product.packMillilitres)}
                    </span>
                  </li>
                ))}
              </ul>
            </>
          )}
        </section>
        <section aria-labelledby="due">
          <div className="section-head">
            <h2 id="due">Worth doing this week</h2>
            <Link href="/due">All that is due</Link>
          </div>
          <WeekLoad days={load} />
          {due.rows.length === 0 ? (
            <p className="py-3">
              Nothing is protected yet, so nothing wears off. The first finished job starts the clocks.
            </p>
          ) : (
            <DueRows items={due.rows} now={now} short />
          )}
        </section>
      </div>
    </>
  )
}
