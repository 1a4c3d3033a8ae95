import type { DilutionStyle } from '@/core/dilution'
import type { Position } from '@/core/wheel/position'
import type { PlanFile } from '@/contracts/planFile'
import { StageRow } from './StageRow'
import { sharedScaleSeconds } from './StageTime'

interface PlanStagesProps {
  readonly plan: PlanFile
  readonly positions: readonly Position[]
  readonly dilutionStyle: DilutionStyle
  /** Null: nothing is changed any more. */
  readonly forbid: ((productId: string) => void) | null
}

/** The stages in their order, all times on one scale. */
export function PlanStages({ plan, positions, dilutionStyle, forbid }: PlanStagesProps) {
  'use memo'
  const scaleSeconds = sharedScaleSeconds(plan.stages)
  return (
    <>
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
            forbid={forbid && (() => forbid(stage.productId))}
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
    </>
  )
}
