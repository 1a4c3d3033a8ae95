import { useFormats } from '@/i18n/useFormats'
import { useTranslations } from 'next-intl'
import { bold } from '@/i18n/rich'
import { ArrowRight } from 'lucide-react'
import { Link } from '@/ui/Link'
import { Cost } from '../frame/CostsShown'
import { formatDuration } from '@/i18n/format'
import { useSay } from '@/i18n/useSay'
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

/** What goes on behind the figures. */
const statusOf = ({ working, keeping }: PlanHeadProps['current']) =>
  working ? 'plan.head.calculating' : keeping ? 'common.saving' : 'plan.head.estimates'

/** The answer in a few figures, and the way into the bay. */
export function PlanHead(props: PlanHeadProps) {
  'use memo'
  const formats = useFormats()
  const t = useTranslations()
  const say = useSay()

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
          t,
          say,
        ).map((text) => (
          <p key={text} className="plan-pattern">
            {text}
          </p>
        ))}
        <div className="plan-figures">
          <Cost>
            <span>
              {t.rich('plan.head.product', { b: bold, money: formats.money(plan.costMinor, plan.currency) })}
            </span>
          </Cost>
          <span>
            {t.rich('plan.head.water', { b: bold, volume: formats.volume(1000 * plan.waterLitres) })}
          </span>
          <span>{t.rich('plan.head.hands', { b: bold, time: formatDuration(plan.operatorSeconds) })}</span>
          <span>{t(statusOf(props.current))}</span>
        </div>
      </div>
      <WayOn {...props} />
    </div>
  )
}

/** Into the bay; elsewhere where the job is over, or nothing is to be done. */
function WayOn({ jobId, wheelSetId, state, current: { plan, keeping, whenKept } }: PlanHeadProps) {
  const t = useTranslations()

  if (state === 'finished')
    return (
      <Link href="/log" className="btn btn-outline-secondary">
        {t('plan.head.inLog')}
      </Link>
    )
  if (plan.steps.length === 0)
    return (
      <Link href={`/wheels/${wheelSetId}`} className="btn btn-outline-secondary">
        {t('plan.head.toSet')}
      </Link>
    )
  return (
    <div className="plan-go">
      <KeptLink href={`/jobs/${jobId}/run`} keeping={keeping} whenKept={whenKept} className="btn btn-primary">
        {state === 'started' ? t('plan.head.continue') : t('plan.head.start')}{' '}
        <ArrowRight aria-hidden size={20} />
      </KeptLink>
      <KeptLink href={`/jobs/${jobId}/sheet`} keeping={keeping} whenKept={whenKept}>
        {t('plan.head.sheet')}
      </KeptLink>
    </div>
  )
}
