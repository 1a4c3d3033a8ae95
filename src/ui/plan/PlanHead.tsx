import { ArrowRight } from 'lucide-react'
import { Link } from '@/ui/Link'
import { Cost } from '../frame/CostsShown'
import { formatDuration, formatMoney } from '../format/format'
import { KeptLink } from './KeptLink'
import { PlanAnswer } from './PlanAnswer'
import { secondRoundWords } from './secondRoundWords'
import type { PlanState } from './usePlan'

/** How far a job has come. */
export type JobState = 'planned' | 'started' | 'finished'

interface PlanHeadProps {
  readonly jobId: string
  readonly wheelSetId: string
  readonly state: JobState
  readonly current: Pick<PlanState, 'plan' | 'file' | 'working' | 'keeping' | 'whenKept'>
}

const saidOf = ({ working, keeping }: PlanHeadProps['current']): string =>
  working ? 'Working it out …' : keeping ? 'Saving …' : 'Times and amounts are estimates.'

/** The answer in a few figures, and the way into the bay. */
export function PlanHead(props: PlanHeadProps) {
  'use memo'
  const { plan, file } = props.current
  return (
    <div className="plan-head">
      <div aria-live="polite">
        <PlanAnswer plan={plan} />
        {plan.sequence?.pattern && (
          <p className="plan-pattern">{plan.sequence.pattern.sentences.join(' ')}</p>
        )}
        {secondRoundWords(
          plan,
          file.corners.map(({ position }) => position),
        ).map((text) => (
          <p key={text} className="plan-pattern">
            {text}
          </p>
        ))}
        <div className="plan-figures">
          <Cost>
            <span>
              <b>{formatMoney(plan.costMinor, plan.currency)}</b> product
            </span>
          </Cost>
          <span>
            <b>{plan.waterLitres} l</b> water
          </span>
          <span>
            <b>{formatDuration(plan.operatorSeconds)}</b> hands-on
          </span>
          <span>{saidOf(props.current)}</span>
        </div>
      </div>
      <WayOn {...props} />
    </div>
  )
}

/** Into the bay; elsewhere where the job is over, or nothing is to be done. */
function WayOn({ jobId, wheelSetId, state, current: { plan, keeping, whenKept } }: PlanHeadProps) {
  if (state === 'finished')
    return (
      <Link href="/log" className="btn btn-outline-secondary">
        In the log
      </Link>
    )
  if (plan.steps.length === 0)
    return (
      <Link href={`/wheels/${wheelSetId}`} className="btn btn-outline-secondary">
        To the wheel set
      </Link>
    )
  return (
    <div className="plan-go">
      <KeptLink href={`/jobs/${jobId}/run`} keeping={keeping} whenKept={whenKept} className="btn btn-primary">
        {state === 'started' ? 'Go on in the bay' : 'Start in the bay'} <ArrowRight aria-hidden size={20} />
      </KeptLink>
      <KeptLink href={`/jobs/${jobId}/sheet`} keeping={keeping} whenKept={whenKept}>
        Job sheet
      </KeptLink>
    </div>
  )
}
