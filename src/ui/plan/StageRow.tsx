import { deliveryNames } from '@/core/chemistry/family'
import { familyOf } from '@/core/chemistry/families'
import { sayDilution, type DilutionStyle } from '@/core/dilution'
import { stageNames, type Stage } from '@/core/plan/plan'
import { nameCorners } from '@/core/words/sayPlan'
import type { StageTiming } from '@/core/plan/stageTiming'
import { positionNames, type Position } from '@/core/wheel/position'
import { zoneNames } from '@/core/wheel/zone'
import { isFinishing } from '@/core/work/stageKind'
import { Cost } from '../frame/CostsShown'
import { formatMillilitres, formatMoney } from '../format/format'
import { BottleDrawing } from './BottleDrawing'
import { longestWords } from './longestWords'
import { StageTime } from './StageTime'

/** More wheels than this are counted, not named. */
const mostNamed = 2

/** What the wet limit asks for, wheels with the same words together; silent where a whole wheel simply stays wet. */
function sayings(timings: readonly StageTiming[], positions: readonly Position[]) {
  const byText = new Map<string, StageTiming[]>()
  for (const timing of timings) {
    if (timing.sections === 1 && timing.mists === 0 && !timing.isNotNow) continue
    byText.set(timing.text, [...(byText.get(timing.text) ?? []), timing])
  }
  return [...byText].map(([text, alike]) => ({
    text,
    isNotNow: alike.some(({ isNotNow }) => isNotNow),
    corners:
      alike.length === timings.length
        ? null
        : alike.length <= mostNamed
          ? alike.map(({ corner }) => positionNames[corner].toLowerCase()).join(', ')
          : nameCorners(
              alike.map(({ corner }) => corner),
              positions,
            ),
  }))
}

interface StageRowProps {
  readonly stage: Stage
  readonly timings: readonly StageTiming[]
  readonly index: number
  readonly positions: readonly Position[]
  readonly scaleSeconds: number
  readonly currency: string
  readonly dilutionStyle: DilutionStyle
  /** Rules the product out; null once the job has begun. */
  readonly forbid: (() => void) | null
}

/** One stage of the plan: what, where, the recipe spelled out, the time as length, and why on demand. */
export function StageRow(props: StageRowProps) {
  'use memo'
  const { stage, timings, index, positions, scaleSeconds, currency, dilutionStyle, forbid } = props
  const { recipe } = stage
  return (
    <li className="stage">
      <div className="stage-line">
        <span className="stage-number">{index + 1}</span>
        <div>
          <div className="stage-name">
            {stageNames[stage.kind]} {nameCorners(stage.corners, positions)}
            {stage.rounds > 1 && `, ${stage.rounds} rounds`}
          </div>
          <div className="stage-where">
            {stage.productName}, {familyOf(stage.family).name}
          </div>
        </div>
        <BottleDrawing recipe={recipe} delivery={stage.delivery} id={`bottle-${stage.id}`} />
        <div className="recipe">
          <b>{sayDilution(stage.strength.to, dilutionStyle)}</b>
          {recipe.waterMillilitres > 0
            ? `${formatMillilitres(recipe.concentrateMillilitres)} + ${formatMillilitres(recipe.waterMillilitres)} water`
            : formatMillilitres(recipe.totalMillilitres)}
          {`, ${deliveryNames[stage.delivery]}`}
        </div>
        <StageTime stage={stage} scaleSeconds={scaleSeconds} />
      </div>
      {sayings(timings, positions).map(({ text, corners, isNotNow }) => (
        <p key={text} className={isNotNow ? 'stage-wet is-not-now' : 'stage-wet'}>
          {text} {corners && <span className="soft">({corners})</span>}
        </p>
      ))}
      <details className="why">
        <summary>Why, and with what care</summary>
        <p>
          {stage.why}{' '}
          {stage.rules
            .filter(({ verdict }) => verdict === 'withCare')
            .map(({ reason }) => reason)
            .join(' ')}{' '}
          {isFinishing(stage.kind) ? '' : `${longestWords(stage)} `}
          It is {/^[aeiou]/.test(familyOf(stage.family).name) ? 'an' : 'a'} {familyOf(stage.family).name}:{' '}
          {familyOf(stage.family).purposeText}.{' '}
          <Cost>{formatMoney(stage.costMinor, currency)} of product.</Cost>
          {stage.delivery === 'lance' &&
            ` The lance thins it again to ${(stage.surfaceFraction * 100).toFixed(1)} % at the wheel.`}
        </p>
        {stage.tools.length > 0 && (
          <p className="soft">
            {stage.tools
              .map(
                ({ tool, zones }) =>
                  `${tool ?? 'nothing reaches'}: ${zones.map((zone) => zoneNames[zone]).join(', ')}`,
              )
              .join('; ')}
            .
          </p>
        )}
        {forbid && (
          <button type="button" className="link-button" onClick={forbid}>
            Plan without {stage.productName}
          </button>
        )}
        {stage.cautions.length > 0 && (
          <ul className="list-unstyled ps-0">
            {[...new Set(stage.cautions)].map((caution) => (
              <li key={caution} className="caution mt-1">
                {caution}
              </li>
            ))}
          </ul>
        )}
      </details>
    </li>
  )
}
