import { ArrowRight } from 'lucide-react'
import type { Metadata } from 'next'
import Link from 'next/link'
import Alert from 'react-bootstrap/Alert'
import { gradeNames, soilNames } from '@/core/soils/soil'
import { positionNames } from '@/core/wheel/position'
import { database } from '@/data/connection'
import { readSettings } from '@/data/queries/settings'
import { formatMillilitres, formatMoney } from '@/ui/format/format'
import { heaviest, loadsOfEntries } from '@/ui/intake/loads'
import { PlanAnswer } from '@/ui/plan/PlanAnswer'
import { StageRow } from '@/ui/plan/StageRow'
import { sharedScaleSeconds } from '@/ui/plan/StageTime'
import { drawnWheels } from '@/ui/wheel-drawing/drawnWheel'
import { Stance } from '@/ui/wheel-drawing/Stance'
import { WheelDrawing } from '@/ui/wheel-drawing/WheelDrawing'
import { discardPlan } from '../actions'
import { jobOr404 } from './findJobOr404'

export const dynamic = 'force-dynamic'
export const metadata: Metadata = { title: 'Plan' }

export default async function JobPage({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params
  const job = await jobOr404(id)
  const { plan, jobFile } = job
  const settings = await readSettings(await database())
  const positions = jobFile.corners.map(({ position }) => position)
  const scaleSeconds = sharedScaleSeconds(plan.stages)
  const short = plan.amounts.filter(({ shortMillilitres }) => shortMillilitres > 0)
  return (
    <div className="plan">
      <section className="plan-side" aria-label="The wheels">
        <h2>
          <Link href={`/wheels/${job.wheelSetId}`}>{jobFile.vehicle.name}</Link>, {jobFile.wheelSet.name}
        </h2>
        <Stance wheels={drawnWheels(jobFile.corners)}>
          {(wheel) => {
            const loads = loadsOfEntries(
              jobFile.corners.find(({ position }) => position === wheel.position)?.loads ?? [],
            )
            return (
              <>
                <WheelDrawing
                  {...wheel}
                  id={wheel.position}
                  label={`${positionNames[wheel.position]} with the dirt as graded`}
                  loads={loads}
                />
                <h3>{positionNames[wheel.position]}</h3>
                <p className="soft">
                  {heaviest(loads)
                    .map(({ soil, grade }) => `${gradeNames[grade]} ${soilNames[soil]}`)
                    .join(', ') || 'nothing graded'}
                </p>
              </>
            )
          }}
        </Stance>
        <p className="soft mt-3">
          Specks: dirt as graded.{' '}
          {!job.startedAt && (
            <Link href={`/wheels/${job.wheelSetId}/intake`}>Look again and change the grades</Link>
          )}
        </p>
      </section>
      <section className="plan-main" aria-label="The plan">
        <div className="plan-head">
          <div>
            <PlanAnswer plan={plan} />
            <div className="plan-figures">
              <span>
                <b>{formatMoney(plan.costMinor, plan.currency)}</b> product
              </span>
              <span>
                <b>{plan.waterLitres} l</b> water
              </span>
              <span>Minutes and amounts are estimates.</span>
            </div>
          </div>
          {job.finishedAt ? (
            <Link href="/log" className="btn btn-outline-secondary">
              In the log
            </Link>
          ) : (
            <Link href={`/jobs/${id}/run`} className="btn btn-primary">
              {job.startedAt ? 'Go on in the bay' : 'Start in the bay'} <ArrowRight aria-hidden size={20} />
            </Link>
          )}
        </div>
        {plan.shortfalls.map(({ text, mend, corners }) => (
          <Alert key={text} variant="warning" className="shortfall">
            <b>{text}</b> {mend}{' '}
            <span className="soft">
              ({corners.map((corner) => positionNames[corner].toLowerCase()).join(', ')})
            </span>
          </Alert>
        ))}
        {short.length > 0 && (
          <Alert variant="warning" className="shortfall">
            {short.map(({ productId, productName, shortMillilitres, stockMillilitres }) => (
              <p key={productId}>
                <b>{productName}</b> is {formatMillilitres(shortMillilitres)} short:{' '}
                {formatMillilitres(stockMillilitres)} left.
              </p>
            ))}
          </Alert>
        )}
        <ol className="rows">
          {plan.stages.map((stage, index) => (
            <StageRow
              key={stage.id}
              stage={stage}
              index={index}
              positions={positions}
              scaleSeconds={scaleSeconds}
              currency={plan.currency}
              dilutionStyle={settings.dilutionStyle}
            />
          ))}
        </ol>
        <div className="time-key" aria-hidden>
          <span>
            <i style={{ background: 'var(--ink)' }} /> hands
          </span>
          <span className="stage-time">
            <i className="bar-dwell" /> dwell
          </span>
          <span className="stage-time">
            <i className="bar-limit" /> until the latest rinse
          </span>
          <span>one scale for all, per wheel</span>
        </div>
        <details className="order">
          <summary>Order of work, {plan.steps.length} steps</summary>
          <ol>
            {plan.steps.map((step) => (
              <li key={step.id}>
                {step.title}
                {step.tools.length > 0 && <span className="soft"> ({step.tools.join(', ')})</span>}
              </li>
            ))}
          </ol>
        </details>
        {!job.startedAt && (
          <form action={discardPlan.bind(null, id)} className="mt-3">
            <button className="btn btn-outline-secondary">Discard this plan</button>
          </form>
        )}
      </section>
    </div>
  )
}
