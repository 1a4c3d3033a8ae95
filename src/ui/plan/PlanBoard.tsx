'use client'

import Alert from 'react-bootstrap/Alert'
import type { DilutionStyle } from '@/core/dilution'
import { protectionFacts } from '@/core/protection/kinds'
import { positionNames } from '@/core/wheel/position'
import type { JobFile } from '@/contracts/jobFile'
import type { KeptChange, PlanChangeInput } from '@/contracts/planChange'
import type { PlanFile } from '@/contracts/planFile'
import type { Devices } from '../conditions/ConditionsPanel'
import { ProblemAlert } from '../form/ProblemAlert'
import { formatDuration } from '../format/format'
import { Timeline } from '../timeline/Timeline'
import { Deeper } from './Deeper'
import { PlanChoice } from './PlanChoice'
import { PlanDetails } from './PlanDetails'
import { PlanHead, type JobState } from './PlanHead'
import { PlanSide } from './PlanSide'
import { PlanStages } from './PlanStages'
import { usePlan } from './usePlan'
import { WishBar } from './WishBar'

interface PlanBoardProps {
  readonly jobId: string
  readonly wheelSetId: string
  readonly jobFile: JobFile
  readonly plan: PlanFile
  readonly state: JobState
  readonly dilutionStyle: DilutionStyle
  readonly keep: (change: PlanChangeInput) => Promise<KeptChange>
  readonly devices: Devices
}

/** The other plans in a few words; what else can be wished where there are none. */
const otherWays = ({ alternatives, chosen }: PlanFile): string =>
  alternatives
    .filter(({ name }) => name !== chosen)
    .map(({ name, operatorSeconds }) => `${name} ${formatDuration(operatorSeconds)}`)
    .join(', ') || 'minutes, money, what to do without'

/** The plan: the answer and the start first, then the stages; the other ways, weather and charts one look deeper. */
export function PlanBoard(props: PlanBoardProps) {
  'use memo'
  const { jobId, wheelSetId, state, dilutionStyle } = props
  const current = usePlan(props.plan, props.jobFile, props.keep)
  const { plan, file, keeping, problems, wish, search } = current
  const { wishes } = file
  const canChange = state === 'planned'
  const nameOf = (id: string): string =>
    plan.verdicts.find(({ productId }) => productId === id)?.productName ?? id
  const forbid = (productId: string) =>
    wish({
      forbidden: [...wishes.forbidden, productId],
      pinned: wishes.pinned.filter((id) => id !== productId),
    })
  const place = (stepId: string, startSeconds: number) =>
    wish({
      placed: [...(wishes.placed ?? []).filter((one) => one.stepId !== stepId), { stepId, startSeconds }],
    })
  return (
    <div className="plan" aria-busy={keeping}>
      <section className="plan-main" aria-label="The plan">
        <PlanHead jobId={jobId} wheelSetId={wheelSetId} state={state} current={current} />
        <ProblemAlert problems={problems} />
        {current.mergedOthers && (
          <Alert variant="info" role="status">
            This plan was changed in another window too. Both changes are in it.
          </Alert>
        )}
        {plan.shortfalls.map(({ text, mend, corners }) => (
          <Alert key={text} variant="warning" className="shortfall">
            <b>{text}</b> {mend}{' '}
            <span className="soft">
              ({corners.map((corner) => positionNames[corner].toLowerCase()).join(', ')})
            </span>
          </Alert>
        ))}
        <PlanStages
          plan={plan}
          positions={file.corners.map(({ position }) => position)}
          dilutionStyle={dilutionStyle}
          forbid={canChange ? forbid : null}
        />
        {(canChange || plan.alternatives.length > 1) && (
          <Deeper title="Another way" hint={otherWays(plan)}>
            <PlanChoice
              alternatives={plan.alternatives}
              chosen={plan.chosen}
              currency={plan.currency}
              hasProtection={file.corners.some(({ protection }) =>
                protection.some((kind) => protectionFacts[kind].on === 'wheel'),
              )}
              choose={canChange ? (prefer) => wish({ prefer }) : null}
            />
            {canChange && <WishBar wishes={wishes} currency={plan.currency} nameOf={nameOf} wish={wish} />}
          </Deeper>
        )}
        {plan.sequence && (
          <Timeline
            plan={plan}
            sequence={plan.sequence}
            startAt={file.conditions.startAt}
            search={canChange ? search : null}
            place={canChange ? place : null}
          />
        )}
        {wishes.placed.length > 0 && canChange && (
          <button type="button" className="link-button" onClick={() => wish({ placed: [] })}>
            Forget what was put to a time by hand ({wishes.placed.length})
          </button>
        )}
        <PlanDetails
          plan={plan}
          jobFile={file}
          wishes={wishes}
          wish={canChange ? wish : null}
          dilutionStyle={dilutionStyle}
        />
      </section>
      <PlanSide wheelSetId={wheelSetId} current={current} canChange={canChange} devices={props.devices} />
    </div>
  )
}
