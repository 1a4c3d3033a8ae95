import { Brush } from 'lucide-react'
import { writeDilution } from '@/core/dilution'
import type { Stage, Step } from '@/core/plan/plan'
import { formatClock, formatMillilitres } from '../format/format'

interface RunNowProps {
  readonly step: Step
  readonly stage: Stage | undefined
  /** Seconds the dwell still takes; null when nothing has to be waited for. */
  readonly dwellLeftSeconds: number | null
  /** Limits that can no longer be kept, in plain words. */
  readonly lost: readonly string[]
}

/** The one thing to do now: what, how, with which tool and which care. */
export function RunNow({ step, stage, dwellLeftSeconds, lost }: RunNowProps) {
  return (
    <>
      {lost.map((text) => (
        <p key={text} className="caution run-lost">
          {text}
        </p>
      ))}
      <h1>{step.title}</h1>
      <p className="run-detail">
        {dwellLeftSeconds !== null && <b>Let it dwell {formatClock(dwellLeftSeconds)} more. </b>}
        {dwellLeftSeconds !== null && 'Then: '}
        {step.detail}
      </p>
      {stage && step.act === 'spray' && (
        <p className="run-recipe soft">
          {writeDilution({ from: stage.recipe.realFraction, to: stage.recipe.realFraction })}:{' '}
          {formatMillilitres(stage.recipe.concentrateMillilitres)} product
          {stage.recipe.waterMillilitres > 0 &&
            `, ${formatMillilitres(stage.recipe.waterMillilitres)} water`}{' '}
          for {stage.corners.length === 1 ? 'this wheel' : `${stage.corners.length} wheels`}
        </p>
      )}
      {step.tools.length > 0 && (
        <p className="run-tools">
          {step.tools.map((tool) => (
            <span key={tool}>
              <Brush aria-hidden size={17} /> {tool}
            </span>
          ))}
        </p>
      )}
      {step.cautions.length > 0 && (
        <ul className="run-cautions">
          {step.cautions.map((caution) => (
            <li key={caution} className="caution">
              {caution}
            </li>
          ))}
        </ul>
      )}
    </>
  )
}
