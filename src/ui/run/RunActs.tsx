import type { Translator } from '@/i18n/translator'
import { useTranslations } from 'next-intl'
import type { Say } from '@/i18n/sayer'
import { useSay } from '@/i18n/useSay'
import { CloudOff, Undo2 } from 'lucide-react'
import { Link } from '@/ui/Link'
import Button from 'react-bootstrap/Button'
import { triedStageIds } from '@/core/plan/stepId'
import type { Card, Step } from '@/core/plan/plan'
import { beads } from '@/core/protection/kinds'
import { filmToWet } from '@/core/run/urgentClock'
import { BayPhotograph } from '../photographs/BayPhotograph'
import type { DrawnWheel } from '../wheel-drawing/drawnWheel'
import { CalledAway } from './CalledAway'
import { buttonText, cardTitle, sayLine } from './cardWords'
import { KeepWet } from './KeepWet'
import { QuestionPanel } from './QuestionPanel'
import type { Bay } from './useBay'
import type { BayCards } from './useBayCards'

interface RunActsProps {
  readonly jobId: string
  readonly wheelSetId: string
  readonly title: string
  readonly bay: Bay
  readonly inHand: NonNullable<BayCards['inHand']>
  readonly wheel: DrawnWheel | undefined
  readonly who: number
  readonly isAlone: boolean
  readonly nowMilliseconds: number
  readonly endHere: () => void
}

/** What the thumb does: the one button or the question, a mist in between, undo, and what is rarer. */
export function RunActs(props: RunActsProps) {
  const t = useTranslations()
  const say = useSay()

  const { bay, inHand, wheel, nowMilliseconds } = props
  const { state, cards, asks, undo } = bay
  const { steps, tap } = inHand
  const [next] = cards.others
  const drying = filmToWet(
    state.clocks,
    [steps[0], cards.theirs[0]].filter((step) => step !== undefined),
    nowMilliseconds,
  )
  const last = steps.at(-1)
  const names = last ? triedStageIds(last.id) : []
  return (
    <div className="run-acts">
      {next && (
        <div className="run-next">
          <span className="soft">{t('bay.acts.then')}</span>
          <b>{nextText(next, cards.stepOf, t, say)}</b>
        </div>
      )}
      {drying && (
        <KeepWet
          clock={drying}
          nowMilliseconds={nowMilliseconds}
          misted={() => bay.tap({ kind: 'misted', stepId: drying.wettedBy })}
        />
      )}
      {asks ? (
        <QuestionPanel
          // A question is put anew at every step: nothing chosen before stands.
          key={last?.id}
          asks={asks}
          word={buttonText(tap, steps, t)}
          wheel={wheel}
          isProtected={isProtected(bay, wheel)}
          tried={state.plan.stages.filter(({ id }) => names.includes(id))}
          answer={bay.answer}
          pass={() => cards.settle(steps)}
        />
      ) : (
        <Button className="btn-done" data-best="" onClick={bay.finish}>
          {buttonText(tap, steps, t)}
        </Button>
      )}
      <Button
        variant="outline-secondary"
        className="btn-undo"
        disabled={!state.undoable}
        onClick={undo}
        aria-label={
          state.undoable
            ? t('bay.acts.undoStep', { step: say(state.undoable.title) })
            : t('bay.acts.nothingToUndo')
        }
      >
        <Undo2 aria-hidden size={22} /> {t('bay.acts.undo')}
      </Button>
      <RarerActs {...props} />
    </div>
  )
}

/** Whether a wheel has something on that water beads on. */
const isProtected = ({ job }: Bay, wheel: DrawnWheel | undefined): boolean =>
  job?.corners.some(({ position, protection }) => position === wheel?.position && protection.some(beads)) ??
  false

/** Where one is, and what is seldom wanted. */
function RarerActs(props: RunActsProps) {
  const t = useTranslations()
  const say = useSay()

  const { jobId, wheelSetId, title, bay, inHand, who, isAlone, nowMilliseconds, endHere } = props
  const { state, saving, cards, order, away, setAway } = bay
  const left = cards.others.length + 1
  return (
    <div className="run-state">
      <span role="status">
        {saving === 'offline' && <CloudOff aria-hidden size={17} />}
        {saving === 'saved'
          ? t('bay.acts.progress', { step: state.settledCount + 1, steps: state.plan.steps.length, left })
          : saving === 'saving'
            ? t('common.saving')
            : t('bay.acts.offline')}
      </span>
      <button
        type="button"
        className="link-button"
        aria-label={t('bay.acts.skipSteps', {
          steps: inHand.steps.map(({ title }) => say(title)).join(', '),
        })}
        onClick={() => cards.skip(inHand.steps)}
      >
        {t('bay.acts.skip')}
      </button>
      <BayPhotograph
        wheelSetId={wheelSetId}
        jobId={jobId}
        positions={inHand.card.corner === null ? [] : [inHand.card.corner]}
      />
      <button type="button" className="link-button" onClick={endHere}>
        {t('bay.acts.end')}
      </button>
      <CalledAway
        plan={state.plan}
        state={state}
        order={order}
        person={who}
        isAlone={isAlone}
        away={away?.person === who ? away : null}
        nowMilliseconds={nowMilliseconds}
        go={setAway}
        tap={bay.tap}
      />
      <Link href={`/jobs/${jobId}`} aria-label={t('bay.acts.leaveLabel', { set: title })}>
        {t('bay.acts.leave')}
      </Link>
    </div>
  )
}

/** The card after this one in a line: where, and what first. */
function nextText(card: Card, stepOf: (id: string) => Step | undefined, t: Translator, say: Say): string {
  const steps = card.taps.flatMap(({ stepIds }) => stepIds.flatMap((id) => stepOf(id) ?? []))
  const title = cardTitle(card, steps, t, say)
  return card.corner === null
    ? title
    : `${title}: ${steps
        .slice(0, 3)
        .map((step) => sayLine(step, t, say))
        .join(', ')}`
}
