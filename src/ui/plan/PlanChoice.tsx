import type { Alternative } from '@/core/plan/plan'
import type { PlanName } from '@/core/job/job'
import { formatDuration, formatMoney } from '../format/format'

const titles: Record<PlanName, string> = { gentlest: 'Gentlest', balanced: 'Balanced', fastest: 'Fastest' }

interface PlanChoiceProps {
  readonly alternatives: readonly Alternative[]
  readonly chosen: PlanName
  readonly currency: string
  readonly hasProtection: boolean
  readonly choose: ((name: PlanName) => void) | null
}

/** The three plans side by side, on what differs and nothing else. */
export function PlanChoice({ alternatives, chosen, currency, hasProtection, choose }: PlanChoiceProps) {
  return (
    <div className="plan-choice" role="radiogroup" aria-label="Which plan">
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
            {titles[one.name]}
            {one.name === chosen && <small>chosen</small>}
          </span>
          <span className="plan-option-figures">
            <span>
              <b>{formatDuration(one.operatorSeconds)}</b> hands
            </span>
            <span>
              <b>{formatMoney(one.costMinor, currency)}</b> product
            </span>
            {hasProtection && (
              <span>
                <b>−{Math.round(one.protectionLostShare * 100)} %</b> protection
                {one.protectionLostDays > 0 && `, ${one.protectionLostDays} days`}
              </span>
            )}
            <span>
              <b>{one.risk}</b> care
            </span>
          </span>
          <span className="plan-option-why">
            {one.summary || 'nothing may be used'}. {one.why}
          </span>
        </button>
      ))}
    </div>
  )
}
