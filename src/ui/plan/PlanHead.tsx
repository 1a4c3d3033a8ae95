import { ArrowRight } from 'lucide-react'
import { Link } from '@/ui/Link'
import { formatMoney } from '../format/format'
import { KeptLink } from './KeptLink'
import { PlanAnswer } from './PlanAnswer'
import type { PlanState } from './usePlan'

/** How far a job has come. */
export type JobState = 'planned' | 'started' | 'finished'

interface PlanHeadProps {
  readonly jobId: string
  readonly state: JobState
  readonly current: Pick<PlanState, 'plan' | 'working' | 'keeping' | 'whenKept'>
}

const saidOf = ({ working, keeping }: PlanHeadProps['current']): string =>
  working ? 'Working it out …' : keeping ? 'Keeping it …' : 'Minutes and amounts are estimates.'

/** The answer in a few figures, and the way into the bay. */
export function PlanHead({ jobId, state, current }: PlanHeadProps) {
  'use memo'
  const { plan, keeping, whenKept } = current
  return (
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
          <span>{saidOf(current)}</span>
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
  )
}
