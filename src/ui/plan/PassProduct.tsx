import { useFormats } from '@/i18n/useFormats'
import type { Translator } from '@/i18n/translator'
import { useFormatter, useTranslations } from 'next-intl'
import { sayWhere } from '@/core/reasons/sayCorners'
import type { Position } from '@/core/wheel/position'
import { isFinishing, isOnRubber } from '@/core/acts/stageKind'
import { Cost } from '../frame/CostsShown'
import type { Say } from '@/i18n/sayer'
import type { SpokenStage, SpokenTiming } from '@/i18n/spoken'
import { useSay } from '@/i18n/useSay'
import { longestWords } from './longestWords'
import { stageSayings } from './stageSayings'
import { StageTime } from './StageTime'

/** The surfaces a product goes on. */
const targetOf = ({ kind }: SpokenStage): 'arches' | 'tyres' | 'wheels' =>
  kind === 'arch' ? 'arches' : kind === 'tyre' || kind === 'dress' ? 'tyres' : 'wheels'

type ListOf = ReturnType<typeof useFormatter>['list']

/** What one product of a pass goes on, where and how often: "arches and tyres, on the fronts only, two applications". */
function placesOf(
  stages: readonly SpokenStage[],
  positions: readonly Position[],
  t: Translator,
  say: Say,
  list: ListOf,
): string {
  const keyOf = ({ rounds, corners }: SpokenStage): string => `${rounds} ${corners.join()}`
  return [...new Set(stages.map(keyOf))]
    .flatMap((key) => {
      const alike = stages.filter((stage) => keyOf(stage) === key)
      const [one] = alike
      if (!one) return []
      return t('plan.product.place', {
        targets: list([...new Set(alike.map((stage) => t(`plan.product.targets.${targetOf(stage)}`)))]),
        where: one.corners.length === positions.length ? 'none' : say(sayWhere(one.corners, positions)),
        count: one.rounds,
      })
    })
    .join('; ')
}

interface PassProductProps {
  /** What one product does in the pass. */
  readonly stages: readonly SpokenStage[]
  /** How it is put on, where that is an art of its own; null elsewhere. */
  readonly how: string | null
  readonly timings: readonly SpokenTiming[]
  readonly positions: readonly Position[]
  readonly scaleSeconds: number
  readonly currency: string
  /** Rules the product out; null once the job has begun. */
  readonly forbid: (() => void) | null
}

/** Shows one product of a pass: its surfaces, its dwell as a bar, and the reasons on demand. */
export function PassProduct(props: PassProductProps) {
  'use memo'
  const t = useTranslations()
  const format = useFormatter()
  const say = useSay()
  const { stages, how, timings, positions, scaleSeconds } = props
  const longest = stages.reduce((one, other) =>
    other.operatorSeconds / other.corners.length > one.operatorSeconds / one.corners.length ? other : one,
  )
  return (
    <li className="stage">
      <div className="stage-line">
        <i className={`stage-mark${isOnRubber(longest.kind) ? ' is-on-rubber' : ''}`} aria-hidden />
        <div>
          <b>{longest.productName}</b>, {t(`terms.family.${longest.family}`)}{' '}
          <span className="stage-where">{placesOf(stages, positions, t, say, format.list)}</span>
        </div>
        <StageTime stage={longest} scaleSeconds={scaleSeconds} />
      </div>
      {how && <p className="stage-how">{how}</p>}
      {stageSayings(timings, positions, t, say).map(({ text, where, isNotNow }) => (
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
}: Pick<PassProductProps, 'stages' | 'currency' | 'forbid'> & { readonly longest: SpokenStage }) {
  const formats = useFormats()
  const t = useTranslations()

  const withCare = stages.flatMap(({ rules }) => rules.filter(({ verdict }) => verdict === 'withCare'))
  const tools = stages.flatMap((stage) =>
    stage.tools.map(
      ({ tool, zones }) =>
        `${tool ?? t('plan.product.nothingReaches')}: ${zones.map((zone) => t(`terms.zone.${zone}`)).join(', ')}`,
    ),
  )
  const cautions = distinct(stages.flatMap((stage) => stage.cautions))
  return (
    <details className="why">
      <summary>{t('plan.product.reasons')}</summary>
      <p>
        {distinct(stages.map(({ why }) => why)).join(' ')}{' '}
        {distinct(withCare.map(({ reason }) => reason)).join(' ')}{' '}
        {isFinishing(longest.kind) ? '' : `${longestWords(longest, t)} `}
        {t('plan.product.what', {
          name: t(`terms.family.${longest.family}`),
          purpose: t(`terms.familyPurpose.${longest.family}`),
          delivery: t(`terms.delivery.${longest.delivery}`),
        })}{' '}
        <Cost>
          {t('plan.product.cost', {
            money: formats.money(
              stages.reduce((sum, { costMinor }) => sum + costMinor, 0),
              currency,
            ),
          })}
        </Cost>
        {longest.delivery === 'lance' &&
          t('plan.product.lance', { percent: formats.number(longest.surfaceFraction * 100, 1) })}
      </p>
      {tools.length > 0 && <p className="soft">{distinct(tools).join('; ')}.</p>}
      {forbid && (
        <button type="button" className="link-button" onClick={forbid}>
          {t('plan.product.without', { product: longest.productName })}
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
