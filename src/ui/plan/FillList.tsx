import { useTranslations } from 'next-intl'
import { deliveryNames } from '@/core/chemistry/family'
import { sayDilution, type DilutionStyle } from '@/core/dilution'
import type { Fill, Plan, StageKind } from '@/core/plan/plan'
import { listed } from '@/core/words/listed'
import { isOnRubber } from '@/core/acts/stageKind'
import { formatMillilitres } from '@/i18n/format'
import { BottleDrawing } from './BottleDrawing'
import { useTicks } from './useTicks'

interface FillListProps {
  readonly jobId: string
  readonly plan: Pick<Plan, 'fills' | 'stages' | 'amounts' | 'steps'>
  readonly dilutionStyle: DilutionStyle
}

const targetNames: Partial<Record<StageKind, string>> = { arch: 'arches', tyre: 'tyres', dress: 'tyres' }

/** What a filled bottle is for: "arches and tyres". */
function targetsOf({ stageIds }: Fill, { stages }: FillListProps['plan']): string {
  const kinds = stageIds.flatMap((id) => stages.find((stage) => stage.id === id)?.kind ?? [])
  const names = kinds.map((kind) =>
    isOnRubber(kind) || kind === 'dress' ? (targetNames[kind] ?? 'tyres') : 'wheels',
  )
  return listed([...new Set(names)])
}

const idOf = ({ productName, container, stageIds }: Fill): string =>
  `${productName}.${container}.${stageIds.join()}`

/** What else stands ready before the first wheel, in the words of that step. */
const readyText = ({ steps }: FillListProps['plan']): string | undefined =>
  steps.find(({ act, corner }) => act === 'getReady' && corner === null)?.detail

/** Bottles and buckets to make ready, in the jug's marks, with ticks. */
export function FillList({ jobId, plan, dilutionStyle }: FillListProps) {
  'use memo'
  const t = useTranslations()

  const { ticked, toggle } = useTicks(`fill.${jobId}`)
  if (plan.fills.length === 0) return null
  return (
    <section aria-labelledby="fill" className="plan-fill">
      <h2 id="fill">{t('plan.fills.title')}</h2>
      <p className="soft">{readyText(plan)}</p>
      <ul className="fills">
        {plan.fills.map((fill) => {
          const { container, productName, recipe } = fill
          const id = idOf(fill)
          const short = plan.amounts.find((amount) => amount.productName === productName)?.shortMillilitres
          return (
            <li key={id}>
              <label className={`fill${ticked.has(id) ? ' is-ticked' : ''}`}>
                <input
                  type="checkbox"
                  className="form-check-input"
                  checked={ticked.has(id)}
                  onChange={() => toggle(id)}
                  aria-label={t('plan.fills.filled', { product: productName })}
                />
                <BottleDrawing recipe={recipe} delivery={container} id={`fill-${fill.stageIds.join('-')}`} />
                <span className="recipe">
                  <b>
                    {formatMillilitres(recipe.concentrateMillilitres)}
                    {recipe.waterMillilitres > 0 &&
                      t('plan.fills.addWater', { water: formatMillilitres(recipe.waterMillilitres) })}
                  </b>
                  <span>
                    {productName}, {sayDilution(recipe.realFraction, dilutionStyle)}
                  </span>
                  <span className="soft">
                    {deliveryNames[container]}, {targetsOf(fill, plan)}
                  </span>
                  {short !== undefined && short > 0 && (
                    <span className="fill-short">
                      {t('plan.fills.short', { amount: formatMillilitres(short) })}
                    </span>
                  )}
                </span>
              </label>
            </li>
          )
        })}
      </ul>
    </section>
  )
}
