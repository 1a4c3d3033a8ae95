import { useFormats } from '@/i18n/useFormats'
import { useFormatter, useTranslations } from 'next-intl'
import { sayDilution, type DilutionStyle } from '@/core/dilution/writeDilution'
import type { Fill, StageKind } from '@/core/plan/plan'
import { strengthOf } from './strengthOf'
import type { SpokenPlan } from '@/i18n/spoken'
import { BottleDrawing } from './BottleDrawing'
import { useTicks } from './useTicks'

interface FillListProps {
  readonly jobId: string
  readonly plan: Pick<SpokenPlan, 'fills' | 'stages' | 'amounts' | 'steps'>
  readonly dilutionStyle: DilutionStyle
}

const targetOf = (kind: StageKind): 'arches' | 'tyres' | 'wheels' =>
  kind === 'arch' ? 'arches' : kind === 'tyre' || kind === 'dress' ? 'tyres' : 'wheels'

/** What a filled bottle is for. */
const targetsOf = ({ stageIds }: Fill, { stages }: FillListProps['plan']) => [
  ...new Set(
    stageIds.flatMap((id) => stages.filter((stage) => stage.id === id).map(({ kind }) => targetOf(kind))),
  ),
]

const idOf = ({ productName, container, stageIds }: Fill): string =>
  `${productName}.${container}.${stageIds.join()}`

/** What else stands ready before the first wheel, in the words of that step. */
const readyText = ({ steps }: FillListProps['plan']): string | undefined =>
  steps.find(({ act, corner }) => act === 'getReady' && corner === null)?.detail

/** Bottles and buckets to make ready, in the jug's marks, with ticks. */
export function FillList({ jobId, plan, dilutionStyle }: FillListProps) {
  'use memo'
  const formats = useFormats()
  const t = useTranslations()
  const format = useFormatter()

  const { ticked, toggle } = useTicks(`fill.${jobId}`)
  if (plan.fills.length === 0) return null
  return (
    <section aria-labelledby="fill" className="plan-fill">
      <h2 id="fill">{t('plan.fills.title')}</h2>
      <p className="soft">{readyText(plan)}</p>
      <ul className="fills">
        {plan.fills.map((fill) => {
          const { container, productName, recipe } = fill
          const poured = formats.onMarks(strengthOf(fill, plan), recipe.totalMillilitres)
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
                <BottleDrawing recipe={poured} delivery={container} id={`fill-${fill.stageIds.join('-')}`} />
                <span className="recipe">
                  <b>
                    {formats.poured(poured.concentrateMillilitres)}
                    {poured.waterMillilitres > 0 &&
                      t('plan.fills.addWater', { water: formats.poured(poured.waterMillilitres) })}
                  </b>
                  <span>
                    {productName}, {sayDilution(recipe.realFraction, dilutionStyle)}
                  </span>
                  <span className="soft">
                    {t(`terms.delivery.${container}`)},{' '}
                    {format.list(targetsOf(fill, plan).map((target) => t(`plan.product.targets.${target}`)))}
                  </span>
                  {short !== undefined && short > 0 && (
                    <span className="fill-short">
                      {t('plan.fills.short', { amount: formats.volume(short) })}
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
