import { useFormats } from '@/i18n/useFormats'
import { useTranslations } from 'next-intl'
import { bold } from '@/i18n/rich'
import { Brush, Circle } from 'lucide-react'
import { useMemo } from 'react'
import { sayDilution } from '@/core/dilution/writeDilution'
import type { Said } from '@/core/message/message'
import type { Card, Stage, Step } from '@/core/plan/plan'
import type { RunState } from '@/core/run/runState'
import { passTitles } from '@/core/passes/passTitles'
import { dwellLeftSeconds } from '@/core/run/urgentClock'
import { formatClock } from '@/i18n/format'
import { useSay } from '@/i18n/useSay'
import { cardTitle, sayLine } from './cardWords'

interface RunCardProps {
  readonly card: Card
  readonly stepOf: (id: string) => Step | undefined
  readonly state: RunState
  readonly nowMilliseconds: number
  /** What the last answer has changed; empty where nothing. */
  readonly sight: Said
  /** Limits that can no longer be kept, in plain words. */
  readonly lost: readonly Said[]
  /** Ends one line alone. */
  readonly tick: (step: Step) => void
}

/** A coming to a wheel: what is done there up to the next tap, and after it. */
export function RunCard({ card, stepOf, state, sight, nowMilliseconds, lost, tick }: RunCardProps) {
  const t = useTranslations()
  const say = useSay()

  const steps = (ids: readonly string[]): Step[] => ids.flatMap((id) => stepOf(id) ?? [])
  const [now, ...later] = card.taps.map(({ stepIds }) => steps(stepIds))
  const all = [...(now ?? []), ...later.flat()]
  const dwellLeft = now?.[0] ? dwellLeftSeconds(state.clocks, now[0], nowMilliseconds) : null
  const passes = useMemo(() => passTitles(state.plan), [state.plan])
  const pass = card.corner === null ? undefined : passes.get(now?.[0]?.id ?? '')
  const cautions = [...new Set((now ?? []).flatMap((step) => step.cautions.map(say)))]
  return (
    <>
      {lost.map(say).map((text) => (
        <p key={text} className="caution run-lost">
          {text}
        </p>
      ))}
      {sight && <p className="run-sight">{say(sight)}</p>}
      <div className="run-title">
        <h1>{cardTitle(card, all, t, say)}</h1>
        {pass && <span className="run-pass-name">{say(pass)}</span>}
      </div>
      {dwellLeft !== null && (
        <p className="run-detail">{t.rich('bay.card.dwell', { b: bold, time: formatClock(dwellLeft) })}</p>
      )}
      <ol className="run-lines">
        {now?.map((step) => (
          <li key={step.id}>
            <Line
              step={step}
              stage={state.plan.stages.find(({ id }) => id === step.stageId)}
              isOnly={now.length === 1}
            />
            {now.length > 1 && (
              <button
                type="button"
                className="run-tick"
                aria-label={t('bay.card.doneStep', { step: sayLine(step, t, say) })}
                onClick={() => tick(step)}
              >
                <Circle aria-hidden size={26} />
              </button>
            )}
          </li>
        ))}
      </ol>
      {cautions.length > 0 && (
        <ul className="run-cautions">
          {cautions.map((caution) => (
            <li key={caution} className="caution">
              {caution}
            </li>
          ))}
        </ul>
      )}
      {later.length > 0 && (
        <p className="run-later soft">
          {t('bay.card.thenHere', {
            steps: later
              .flat()
              .map((step) => sayLine(step, t, say))
              .join(' · '),
          })}
        </p>
      )}
    </>
  )
}

/** One act of a card: what, how, with what. */
function Line({ step, stage, isOnly }: { step: Step; stage: Stage | undefined; isOnly: boolean }) {
  const formats = useFormats()
  const t = useTranslations()
  const say = useSay()

  const { recipe } = stage ?? {}
  const poured = stage && formats.onMarks(stage.strength.from, stage.recipe.totalMillilitres)
  return (
    <div className="run-line">
      <b>
        {sayLine(step, t, say)}
        {step.addedBecause && <span className="run-added">{t('bay.card.added')}</span>}
      </b>
      {(isOnly || step.act === 'lookAgain') && <span>{say(step.detail)}</span>}
      {step.tools.length > 0 && (
        <span className="run-tools">
          <Brush aria-hidden size={17} /> {step.tools.join(', ')}
        </span>
      )}
      {stage && recipe && poured && step.act === 'spray' && (
        <span className="soft">
          {sayDilution(recipe.realFraction)}
          {isOnly && t('bay.card.product', { amount: formats.poured(poured.concentrateMillilitres) })}
          {isOnly &&
            poured.waterMillilitres > 0 &&
            t('bay.card.water', { amount: formats.poured(poured.waterMillilitres) })}
          {isOnly && t('bay.card.forWheels', { count: stage.corners.length })}
        </span>
      )}
    </div>
  )
}
