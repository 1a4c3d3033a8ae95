'use client'

import type { Translator } from '@/i18n/translator'
import { useTranslations } from 'next-intl'
import Alert from 'react-bootstrap/Alert'
import type { DilutionStyle } from '@/core/dilution/writeDilution'
import { protectionFacts } from '@/core/protection/kinds'
import type { JobFile } from '@/contracts/jobFile'
import type { KeptChange, PlanChangeInput } from '@/contracts/planChange'
import type { PlanFile } from '@/contracts/planFile'
import type { Devices } from '../conditions/useDevices'
import { ProblemAlert } from '../form/ProblemAlert'
import { formatDuration } from '@/i18n/format'
import type { SpokenPlan } from '@/i18n/spoken'
import { Timeline } from '../timeline/Timeline'
import { Deeper } from './Deeper'
import { PlanChoice } from './PlanChoice'
import { PlanDetails } from './PlanDetails'
import { PlanHead, type JobState } from './PlanHead'
import { PlanSide } from './PlanSide'
import { PlanPasses } from './PlanPasses'
import { usePlan } from './usePlan'
import { WishBar } from './WishBar'

interface PlanBoardProps {
  readonly jobId: string
  readonly wheelSetId: string
  readonly jobFile: JobFile
  readonly plan: PlanFile
  readonly state: JobState
  readonly dilutionStyle: DilutionStyle
  readonly keep: (change: PlanChangeInput) => Promise<KeptChange<string>>
  readonly devices: Devices
}

/** The other plans in a few words; what else can be changed where there are none. */
const otherOptions = ({ alternatives, chosen }: SpokenPlan, t: Translator): string =>
  alternatives
    .filter(({ name }) => name !== chosen)
    .map(({ name, operatorSeconds }) =>
      t('plan.options.other', {
        name: t(`plan.options.names.${name}`),
        time: formatDuration(operatorSeconds),
      }),
    )
    .join(', ') || t('plan.options.hint')

/** The plan in the order it is worked: answer and start, bottles, passes; timeline, options and reasons one look deeper. */
export function PlanBoard(props: PlanBoardProps) {
  'use memo'
  const t = useTranslations()

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
      <section className="plan-main" aria-label={t('plan.label')}>
        <PlanHead jobId={jobId} wheelSetId={wheelSetId} state={state} current={current} />
        <ProblemAlert problems={problems} />
        {current.mergedOthers && (
          <Alert variant="info" role="status">
            {t('plan.changedElsewhere')}
          </Alert>
        )}
        {plan.shortfalls.map(({ text, fix, corners }) => (
          <Alert key={text} variant="warning" className="shortfall">
            <b>{text}</b> {fix}{' '}
            <span className="soft">({corners.map((corner) => t(`terms.wheel.${corner}`)).join(', ')})</span>
          </Alert>
        ))}
        <PlanPasses
          jobId={jobId}
          plan={plan}
          jobFile={file}
          dilutionStyle={dilutionStyle}
          forbid={canChange ? forbid : null}
        />
        {plan.sequence && (
          <Deeper
            title={t('plan.timeline.title')}
            hint={t('plan.timeline.hint', { time: formatDuration(plan.sequence.endSeconds) })}
          >
            <Timeline
              plan={plan}
              sequence={plan.sequence}
              startAt={file.conditions.startAt}
              search={canChange ? search : null}
              place={canChange ? place : null}
            />
          </Deeper>
        )}
        {wishes.placed.length > 0 && canChange && (
          <button type="button" className="link-button" onClick={() => wish({ placed: [] })}>
            {t('plan.timeline.clear', { count: wishes.placed.length })}
          </button>
        )}
        {(canChange || plan.alternatives.length > 1) && (
          <Deeper title={t('plan.options.title')} hint={otherOptions(plan, t)}>
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
        <PlanDetails plan={plan} jobFile={file} wishes={wishes} wish={canChange ? wish : null} />
      </section>
      <PlanSide wheelSetId={wheelSetId} current={current} canChange={canChange} devices={props.devices} />
    </div>
  )
}
