import { useFormats } from '@/i18n/useFormats'
import { useTranslations } from 'next-intl'
import { bold } from '@/i18n/rich'
import type { PlanName } from '@/core/job/job'
import { Cost } from '../frame/CostsShown'
import { formatDuration } from '@/i18n/format'
import type { SpokenAlternative } from '@/i18n/spoken'

/** How much risk a plan takes, on the scale of the default estimates. */
const riskGrade = (risk: number) => (risk < 0.5 ? 'low' : risk < 1.6 ? 'some' : 'high')

interface PlanChoiceProps {
  readonly alternatives: readonly SpokenAlternative[]
  readonly chosen: PlanName
  readonly currency: string
  readonly hasProtection: boolean
  readonly choose: ((name: PlanName) => void) | null
}

/** The three plans side by side, on what differs and nothing else. */
export function PlanChoice({ alternatives, chosen, currency, hasProtection, choose }: PlanChoiceProps) {
  'use memo'
  const formats = useFormats()
  const t = useTranslations()

  return (
    <div className="plan-choice" role="radiogroup" aria-label={t('plan.options.label')}>
      {alternatives.map((one) => (
        <button
          key={one.name}
          type="button"
          role="radio"
          aria-checked={one.name === chosen}
          disabled={choose === null}
          className="plan-option"
          onClick={() => choose?.(one.name)}
        >
          <span className="plan-option-name">
            {t(`plan.options.names.${one.name}`)}
            {one.name === chosen && <small>{t('plan.options.chosen')}</small>}
          </span>
          <span className="plan-option-figures">
            <span>
              {t.rich('plan.options.hands', { b: bold, time: formatDuration(one.operatorSeconds) })}
            </span>
            <Cost>
              <span>
                {t.rich('plan.options.product', { b: bold, money: formats.money(one.costMinor, currency) })}
              </span>
            </Cost>
            {hasProtection && (
              <span>
                {t.rich('plan.options.protection', {
                  b: bold,
                  percent: Math.round(one.protectionLostShare * 100),
                })}
              </span>
            )}
            <span title={t('plan.options.riskPoints', { points: one.risk })}>
              {t.rich('plan.options.risk', { b: bold, risk: t(`plan.options.risks.${riskGrade(one.risk)}`) })}
            </span>
          </span>
          <span className="plan-option-why">
            {one.name === chosen ? one.why : `${one.summary || t('plan.options.nothing')}.`}
            {one.protectionLostDays > 1 && t('plan.options.protectionDays', { days: one.protectionLostDays })}
          </span>
        </button>
      ))}
    </div>
  )
}
