import { useTranslations } from 'next-intl'
import type { Wishes } from '@/core/job/job'
import type { JobFile } from '@/contracts/jobFile'
import type { SpokenPlan } from '@/i18n/spoken'
import { MinutesBehind } from './MinutesBehind'
import { Verdicts } from './Verdicts'

interface PlanDetailsProps {
  readonly plan: SpokenPlan
  readonly jobFile: JobFile
  readonly wishes: Wishes
  readonly wish: ((changes: Partial<Wishes>) => void) | null
}

/** What stands behind the plan, each on demand. */
export function PlanDetails({ plan, jobFile, wishes, wish }: PlanDetailsProps) {
  'use memo'
  const t = useTranslations()

  return (
    <>
      {plan.testSpot && (
        <p className="caution mt-3">
          <b>{t('plan.testSpot')}</b> {plan.testSpot}
        </p>
      )}
      {plan.wouldChange.length > 0 && (
        <section className="plan-notes" aria-labelledby="change">
          <h3 id="change">{t('plan.change.title')}</h3>
          <ul>
            {plan.wouldChange.map((text) => (
              <li key={text}>{text}</li>
            ))}
          </ul>
        </section>
      )}
      {plan.ladder.length > 0 && (
        <details className="order">
          <summary>{t('plan.ladder.title')}</summary>
          <ol>
            {plan.ladder.map(({ text, why }) => (
              <li key={text}>
                {text} <span className="soft">{why}</span>
              </li>
            ))}
          </ol>
        </details>
      )}
      <details className="order">
        <summary>{t('plan.verdicts.title', { count: plan.verdicts.length })}</summary>
        <Verdicts verdicts={plan.verdicts} wishes={wishes} wish={wish} />
      </details>
      <MinutesBehind jobFile={jobFile} />
      <details className="order">
        <summary>{t('plan.order.title', { count: plan.steps.length })}</summary>
        <ol>
          {plan.steps.map((step) => (
            <li key={step.id}>
              {step.title}
              {step.tools.length > 0 && <span className="soft"> ({step.tools.join(', ')})</span>}
            </li>
          ))}
        </ol>
      </details>
      <details className="order">
        <summary>{t('plan.assumptions.title')}</summary>
        <ul>
          {[...plan.assumptions, ...plan.methods].map((text) => (
            <li key={text}>{text}</li>
          ))}
        </ul>
      </details>
    </>
  )
}
