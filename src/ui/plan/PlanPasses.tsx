import { useTranslations } from 'next-intl'
import type { DilutionStyle } from '@/core/dilution/writeDilution'
import { planPasses } from '@/core/passes/planPasses'
import { isFinishing } from '@/core/acts/stageKind'
import { starterTools } from '@/core/tools/starterTools'
import type { ToolKind } from '@/core/tools/tool'
import type { JobFile } from '@/contracts/jobFile'
import { spoken, type SpokenPass, type SpokenPlan, type SpokenStage } from '@/i18n/spoken'
import { useSay } from '@/i18n/useSay'
import { FillList } from './FillList'
import { PassProduct } from './PassProduct'
import { PassStrip } from './PassStrip'
import { sharedScaleSeconds } from './StageTime'

interface PlanPassesProps {
  readonly jobId: string
  readonly plan: SpokenPlan
  readonly jobFile: Pick<JobFile, 'corners' | 'tools'>
  readonly dilutionStyle: DilutionStyle
  /** Rules a product out; null: nothing is changed any more. */
  readonly forbid: ((productId: string) => void) | null
}

/** The stages of a pass, those of one product together. */
function productsOf({ stages }: SpokenPlan, { stageIds }: SpokenPass): SpokenStage[][] {
  const groups = new Map<string, SpokenStage[]>()
  for (const stage of stages.filter(({ id }) => stageIds.includes(id)))
    groups.set(stage.productId, [...(groups.get(stage.productId) ?? []), stage])
  return [...groups.values()]
}

/** How something that stays on is put on, or a polish worked: by the step of its first wheel. */
function howOf({ steps }: SpokenPlan, stages: readonly SpokenStage[]): string | null {
  const own = stages.filter(({ kind }) => isFinishing(kind) || kind === 'polish').map(({ id }) => id)
  const details = steps
    .filter(({ stageId, act }) => stageId !== null && own.includes(stageId) && act !== 'rinse')
    .map(({ detail }) => detail)
  return details.length === 0 ? null : [...new Set(details)].join(' ')
}

/** The plan in the order it is worked: fill the bottles, the passes at each wheel, the end. */
export function PlanPasses({ jobId, plan, jobFile, dilutionStyle, forbid }: PlanPassesProps) {
  'use memo'
  const t = useTranslations()
  const say = useSay()

  const positions = jobFile.corners.map(({ position }) => position)
  const tools = jobFile.tools ?? starterTools
  const kindOfTool = (name: string): ToolKind | null => tools.find((tool) => tool.name === name)?.kind ?? null
  const { passes, after } = spoken(planPasses(plan), say)
  const scaleSeconds = sharedScaleSeconds(plan.stages)
  const saidBefore = (at: number): ReadonlySet<string> =>
    new Set(passes.slice(0, at).flatMap(({ moves }) => moves.flatMap(({ cautions }) => cautions)))
  const strip = (pass: SpokenPass, number: number | null) => (
    <PassStrip
      key={pass.id}
      pass={pass}
      number={number}
      positions={positions}
      kindOfTool={kindOfTool}
      said={saidBefore(passes.indexOf(pass))}
    >
      {pass.stageIds.length > 0 && (
        <ul className="pass-products">
          {productsOf(plan, pass).map((stages) => (
            <PassProduct
              key={stages[0]?.productId}
              stages={stages}
              how={howOf(plan, stages)}
              timings={plan.timings.filter(({ stageId }) => stages.some(({ id }) => id === stageId))}
              positions={positions}
              scaleSeconds={scaleSeconds}
              currency={plan.currency}
              forbid={forbid && (() => forbid(stages[0]?.productId ?? ''))}
            />
          ))}
        </ul>
      )}
    </PassStrip>
  )
  const atWheels = passes.filter(({ kind }) => kind !== 'end')
  return (
    <>
      <FillList jobId={jobId} plan={plan} dilutionStyle={dilutionStyle} />
      {atWheels.length > 0 && (
        <section aria-labelledby="passes">
          <h2 id="passes">
            {positions.length === 1 ? t('plan.passes.oneWheel') : t('plan.passes.eachWheel')}
          </h2>
          <ol className="passes">{atWheels.map((pass, at) => strip(pass, at + 1))}</ol>
        </section>
      )}
      {(passes.length > atWheels.length || after.length > 0) && (
        <section aria-labelledby="end">
          <h2 id="end">{t('plan.passes.atTheEnd')}</h2>
          <ol className="passes">
            {passes
              .filter(({ kind }) => kind === 'end')
              .map((pass) => strip({ ...pass, title: t('plan.passes.onceRound') }, null))}
          </ol>
          {after.length > 0 && (
            <ul className="plan-after">
              {after.map(({ id, title }) => (
                <li key={id}>{title}</li>
              ))}
            </ul>
          )}
        </section>
      )}
    </>
  )
}
