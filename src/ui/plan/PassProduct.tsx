import { deliveryNames } from '@/core/chemistry/family'
import { familyOf } from '@/core/chemistry/families'
import type { Stage } from '@/core/plan/plan'
import type { StageTiming } from '@/core/plan/stageTiming'
import { listed } from '@/core/words/listed'
import { nameCorners } from '@/core/words/sayPlan'
import type { Position } from '@/core/wheel/position'
import { zoneNames } from '@/core/wheel/zone'
import { isFinishing, isOnRubber, type StageKind } from '@/core/work/stageKind'
import { Cost } from '../frame/CostsShown'
import { formatMoney } from '../format/format'
import { longestWords } from './longestWords'
import { stageSayings } from './stageSayings'
import { StageTime } from './StageTime'

/** The surfaces a product goes on. */
const targetNames: Partial<Record<StageKind, string>> = { arch: 'arches', tyre: 'tyres', dress: 'tyres' }
const targetOf = ({ kind }: Stage): string => targetNames[kind] ?? 'wheels'

/** Where a stage is worked and how often, as far as it is not once all round: "2 rounds on the fronts only". */
const placeOf = (stage: Stage, positions: readonly Position[]): string =>
  [
    stage.rounds > 1 ? `${stage.rounds} rounds` : '',
    stage.corners.length === positions.length ? '' : nameCorners(stage.corners, positions),
  ]
    .filter((text) => text !== '')
    .join(' ')

/** What one product of a pass goes on, and where: "arches and tyres, 2 rounds on the fronts only". */
function useWords(stages: readonly Stage[], positions: readonly Position[]): string {
  const places = [...new Set(stages.map((stage) => placeOf(stage, positions)))]
  return places
    .map((place) => {
      const targets = stages.filter((stage) => placeOf(stage, positions) === place).map(targetOf)
      return `${listed([...new Set(targets)])}${place === '' ? '' : `${/^\d/.test(place) ? ',' : ''} ${place}`}`
    })
    .join('; ')
}

interface PassProductProps {
  /** What one product does in the pass. */
  readonly stages: readonly Stage[]
  /** How it is put on, where that is an art of its own; null elsewhere. */
  readonly how: string | null
  readonly timings: readonly StageTiming[]
  readonly positions: readonly Position[]
  readonly scaleSeconds: number
  readonly currency: string
  /** Rules the product out; null once the job has begun. */
  readonly forbid: (() => void) | null
}

/** Shows one product of a pass: its surfaces, its dwell as a bar, and the reasons on demand. */
export function PassProduct(props: PassProductProps) {
  'use memo'
  const { stages, how, timings, positions, scaleSeconds } = props
  const longest = stages.reduce((one, other) =>
    other.operatorSeconds / other.corners.length > one.operatorSeconds / one.corners.length ? other : one,
  )
  return (
    <li className="stage">
      <div className="stage-line">
        <i className={`stage-mark${isOnRubber(longest.kind) ? ' is-on-rubber' : ''}`} aria-hidden />
        <div>
          <b>{longest.productName}</b>, {familyOf(longest.family).name}{' '}
          <span className="stage-where">{useWords(stages, positions)}</span>
        </div>
        <StageTime stage={longest} scaleSeconds={scaleSeconds} />
      </div>
      {how && <p className="stage-how">{how}</p>}
      {stageSayings(timings, positions).map(({ text, where, isNotNow }) => (
        <p key={text} className={isNotNow ? 'stage-wet is-not-now' : 'stage-wet'}>
          {text} {where && <span className="soft">({where})</span>}
        </p>
      ))}
      <Reasons {...props} longest={longest} />
    </li>
  )
}

const distinct = <T,>(values: readonly T[]): T[] => [...new Set(values)]

/** Why this product, with what care, and the way to plan without it. */
function Reasons({
  stages,
  longest,
  currency,
  forbid,
}: Pick<PassProductProps, 'stages' | 'currency' | 'forbid'> & { readonly longest: Stage }) {
  const { name, purposeText } = familyOf(longest.family)
  const withCare = stages.flatMap(({ rules }) => rules.filter(({ verdict }) => verdict === 'withCare'))
  const tools = stages.flatMap((stage) =>
    stage.tools.map(
      ({ tool, zones }) => `${tool ?? 'nothing reaches'}: ${zones.map((zone) => zoneNames[zone]).join(', ')}`,
    ),
  )
  const cautions = distinct(stages.flatMap((stage) => stage.cautions))
  return (
    <details className="why">
      <summary>Reasons and precautions</summary>
      <p>
        {distinct(stages.map(({ why }) => why)).join(' ')}{' '}
        {distinct(withCare.map(({ reason }) => reason)).join(' ')}{' '}
        {isFinishing(longest.kind) ? '' : `${longestWords(longest)} `}
        It is {/^[aeiou]/.test(name) ? 'an' : 'a'} {name}: {purposeText}, applied with the{' '}
        {deliveryNames[longest.delivery]}.{' '}
        <Cost>
          {formatMoney(
            stages.reduce((sum, { costMinor }) => sum + costMinor, 0),
            currency,
          )}{' '}
          of product.
        </Cost>
        {longest.delivery === 'lance' &&
          ` The lance dilutes it to ${(longest.surfaceFraction * 100).toFixed(1)} % at the wheel.`}
      </p>
      {tools.length > 0 && <p className="soft">{distinct(tools).join('; ')}.</p>}
      {forbid && (
        <button type="button" className="link-button" onClick={forbid}>
          Plan without {longest.productName}
        </button>
      )}
      {cautions.length > 0 && (
        <ul className="list-unstyled ps-0">
          {cautions.map((caution) => (
            <li key={caution} className="caution mt-1">
              {caution}
            </li>
          ))}
        </ul>
      )}
    </details>
  )
}
