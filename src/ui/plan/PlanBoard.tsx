'use client'

import { ArrowRight } from 'lucide-react'
import dynamic from 'next/dynamic'
import { Link } from '@/ui/Link'
import { useState } from 'react'
import Alert from 'react-bootstrap/Alert'
import { estimate } from '@/core/estimates/houseEstimates'
import type { DilutionStyle } from '@/core/dilution'
import { protectionFacts } from '@/core/protection/kinds'
import type { Problem } from '@/core/result'
import { services } from '@/core/visit-kinds/service'
import { gradeNames, soilNames } from '@/core/soils/soil'
import { positionNames, positionShortNames, type Position } from '@/core/wheel/position'
import type { JobFile } from '@/contracts/jobFile'
import type { PlanChangeInput } from '@/contracts/planChange'
import type { PlanFile } from '@/contracts/planFile'
import { formatDuration, formatMoney } from '../format/format'
import { heaviest, loadsOfEntries } from '../intake/loads'
import { ConditionsPanel, type Devices } from '../conditions/ConditionsPanel'
import { DayPanel } from '../conditions/DayPanel'
import { Timeline } from '../timeline/Timeline'
import { ProblemAlert } from '../form/ProblemAlert'
import { drawnWheels } from '../wheel-drawing/drawnWheel'
import { Stance } from '../wheel-drawing/Stance'
import { WheelDrawing } from '../wheel-drawing/WheelDrawing'
import { placeNames, placeOf } from '../conditions/place'
import { Deeper } from './Deeper'
import { KeptLink } from './KeptLink'
import { PlanAnswer } from './PlanAnswer'
import { PlanChoice } from './PlanChoice'
import { PlanDetails } from './PlanDetails'
import { StageRow } from './StageRow'
import { sharedScaleSeconds } from './StageTime'
import { usePlan } from './usePlan'
import { WishBar } from './WishBar'

const SoilChart = dynamic(() => import('./SoilChart').then((module) => module.SoilChart), { ssr: false })

interface PlanBoardProps {
  readonly jobId: string
  readonly wheelSetId: string
  readonly jobFile: JobFile
  readonly plan: PlanFile
  readonly state: 'planned' | 'started' | 'finished'
  readonly dilutionStyle: DilutionStyle
  readonly keep: (change: PlanChangeInput) => Promise<{ readonly problems: readonly Problem[] }>
  readonly devices: Devices
}

const conditionsHint = ({ conditions, crew }: JobFile): string =>
  `${Math.round(conditions.airCelsius)} °C, ${placeNames[placeOf(conditions)]}, ${crew.people === 1 ? 'one person' : 'two people'}`

/** The other plans in a few words; what else can be wished where there are none. */
const otherWays = ({ alternatives, chosen }: PlanFile): string =>
  alternatives
    .filter(({ name }) => name !== chosen)
    .map(({ name, operatorSeconds }) => `${name} ${formatDuration(operatorSeconds)}`)
    .join(', ') || 'minutes, money, what to do without'

/** The plan: the answer and the start first, then the stages; the other ways, weather and charts one look deeper. */
export function PlanBoard(props: PlanBoardProps) {
  'use memo'
  const { jobId, wheelSetId, state, dilutionStyle, devices } = props
  const {
    plan,
    file: jobFile,
    working,
    keeping,
    problems,
    whenKept,
    wish,
    setConditions,
    setPeople,
    search,
  } = usePlan(props.plan, props.jobFile, props.keep)
  const { wishes } = jobFile
  const wheels = drawnWheels(jobFile.corners)
  const positions = jobFile.corners.map(({ position }) => position)
  const [shown, setShown] = useState<Position>(positions[0] ?? 'frontLeft')
  const scaleSeconds = sharedScaleSeconds(plan.stages)
  const canChange = state === 'planned'
  const courses = plan.soil.filter(({ corners }) => corners.includes(shown))
  const isProtected = jobFile.corners.some(({ protection }) =>
    protection.some((kind) => protectionFacts[kind].on === 'wheel'),
  )
  const nameOf = (id: string): string =>
    plan.verdicts.find(({ productId }) => productId === id)?.productName ?? id
  return (
    <div className="plan" aria-busy={keeping}>
      <section className="plan-main" aria-label="The plan">
        <div className="plan-head">
          <div aria-live="polite">
            <PlanAnswer plan={plan} />
            {plan.sequence?.pattern && (
              <p className="plan-pattern">{plan.sequence.pattern.sentences.join(' ')}</p>
            )}
            <div className="plan-figures">
              <span>
                <b>{formatMoney(plan.costMinor, plan.currency)}</b> product
              </span>
              <span>
                <b>{plan.waterLitres} l</b> water
              </span>
              <span>
                {working
                  ? 'Working it out …'
                  : keeping
                    ? 'Keeping it …'
                    : 'Minutes and amounts are estimates.'}
              </span>
            </div>
          </div>
          {state === 'finished' ? (
            <Link href="/log" className="btn btn-outline-secondary">
              In the log
            </Link>
          ) : (
            <div className="plan-go">
              <KeptLink
                href={`/jobs/${jobId}/run`}
                keeping={keeping}
                whenKept={whenKept}
                className="btn btn-primary"
              >
                {state === 'started' ? 'Go on in the bay' : 'Start in the bay'}{' '}
                <ArrowRight aria-hidden size={20} />
              </KeptLink>
              <KeptLink href={`/jobs/${jobId}/sheet`} keeping={keeping} whenKept={whenKept}>
                Job sheet
              </KeptLink>
            </div>
          )}
        </div>
        <ProblemAlert problems={problems} />
        {plan.shortfalls.map(({ text, mend, corners }) => (
          <Alert key={text} variant="warning" className="shortfall">
            <b>{text}</b> {mend}{' '}
            <span className="soft">
              ({corners.map((corner) => positionNames[corner].toLowerCase()).join(', ')})
            </span>
          </Alert>
        ))}
        <ol className="rows">
          {plan.stages.map((stage, index) => (
            <StageRow
              key={stage.id}
              stage={stage}
              timings={plan.timings.filter(({ stageId }) => stageId === stage.id)}
              index={index}
              positions={positions}
              scaleSeconds={scaleSeconds}
              currency={plan.currency}
              dilutionStyle={dilutionStyle}
              forbid={
                canChange
                  ? () =>
                      wish({
                        forbidden: [...wishes.forbidden, stage.productId],
                        pinned: wishes.pinned.filter((id) => id !== stage.productId),
                      })
                  : null
              }
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
        {(canChange || plan.alternatives.length > 1) && (
          <Deeper title="Another way" hint={otherWays(plan)}>
            <PlanChoice
              alternatives={plan.alternatives}
              chosen={plan.chosen}
              currency={plan.currency}
              hasProtection={isProtected}
              choose={canChange ? (prefer) => wish({ prefer }) : null}
            />
            {canChange && <WishBar wishes={wishes} currency={plan.currency} nameOf={nameOf} wish={wish} />}
          </Deeper>
        )}
        {plan.sequence && (
          <Timeline
            plan={plan}
            sequence={plan.sequence}
            startAt={jobFile.conditions.startAt}
            search={canChange ? search : null}
            place={
              canChange
                ? (stepId, startSeconds) =>
                    wish({
                      placed: [
                        ...(wishes.placed ?? []).filter((one) => one.stepId !== stepId),
                        { stepId, startSeconds },
                      ],
                    })
                : null
            }
          />
        )}
        {wishes.placed.length > 0 && canChange && (
          <button type="button" className="link-button" onClick={() => wish({ placed: [] })}>
            Forget what was put to a time by hand ({wishes.placed.length})
          </button>
        )}
        <PlanDetails
          plan={plan}
          jobFile={jobFile}
          wishes={wishes}
          wish={canChange ? wish : null}
          dilutionStyle={dilutionStyle}
        />
      </section>
      <section className="plan-side" aria-label="The wheels">
        <h2>
          <Link href={`/wheels/${wheelSetId}`}>{jobFile.vehicle.name}</Link>, {jobFile.wheelSet.name}
        </h2>
        <p className="soft">{services[plan.service].name}</p>
        <Stance wheels={wheels}>
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
          {canChange && <Link href={`/wheels/${wheelSetId}/intake`}>Look again and change the grades</Link>}
        </p>
        <Deeper title="Weather and hands" hint={conditionsHint(jobFile)}>
          <ConditionsPanel
            conditions={jobFile.conditions}
            people={jobFile.crew.people}
            positions={positions}
            timings={plan.timings}
            okCelsius={estimate('coolEnoughCelsius', jobFile.estimates)}
            devices={devices}
            change={canChange ? setConditions : null}
            setPeople={canChange ? setPeople : null}
          />
          <DayPanel corners={jobFile.corners} conditions={jobFile.conditions} estimates={jobFile.estimates} />
        </Deeper>
        {courses.length > 0 && (
          <Deeper title="What is left, stage by stage" hint="an estimate, soil by soil">
            {plan.soil.some(({ corners }) => !corners.includes(shown)) && (
              <div className="chips mt-2" role="group" aria-label="Wheel">
                {positions.map((position) => (
                  <button
                    key={position}
                    type="button"
                    className="chip"
                    aria-pressed={position === shown}
                    onClick={() => setShown(position)}
                  >
                    {positionShortNames[position]}
                  </button>
                ))}
              </div>
            )}
            <SoilChart courses={courses} stages={plan.stages} />
            <p className="soft">Estimates; the shade is how far off they may be.</p>
          </Deeper>
        )}
      </section>
    </div>
  )
}
