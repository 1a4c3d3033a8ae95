import type { Alternative } from '@/core/plan/plan'
import type { PlanName } from '@/core/job/job'
import { Cost } from '../frame/CostsShown'
import { formatDuration, formatMoney } from '../format/format'

const titles: Record<PlanName, string> = { gentlest: 'Gentlest', balanced: 'Balanced', fastest: 'Fastest' }

/** How much asks for care, in a word. */
const careWord = (risk: number): string => (risk < 0.5 ? 'usual' : risk < 1.6 ? 'some' : 'much')

interface PlanChoiceProps {
  readonly alternatives: readonly Alternative[]
  readonly chosen: PlanName
  readonly currency: string
  readonly hasProtection: boolean
  readonly choose: ((name: PlanName) => void) | null
}

/** The three plans side by side, on what differs and nothing else. */
export function PlanChoice({ alternatives, chosen, currency, hasProtection, choose }: PlanChoiceProps) {
  'use memo'
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
            <Cost>
              <span>
                <b>{formatMoney(one.costMinor, currency)}</b> product
              </span>
            </Cost>
            {hasProtection && (
              <span>
                <b>−{Math.round(one.protectionLostShare * 100)} %</b> protection
              </span>
            )}
            <span title={`${one.risk} points on the house scale`}>
              <b>{careWord(one.risk)}</b> care
            </span>
          </span>
          <span className="plan-option-why">
            {one.name === chosen ? one.why : `${one.summary || 'Nothing may be used'}.`}
            {one.protectionLostDays > 1 && ` Costs about ${one.protectionLostDays} days of the protection.`}
          </span>
        </button>
      ))}
    </div>
  )
}
