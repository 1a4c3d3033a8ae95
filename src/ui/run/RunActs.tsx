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
import { buttonWord, cardTitle, lineTitle } from './cardWords'
import { KeepWet } from './KeepWet'
import { Question } from './Question'
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
          <span className="soft">then</span>
          <b>{nextWords(next, cards.stepOf)}</b>
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
        <Question
          // A question is put anew at every step: nothing chosen before stands.
          key={last?.id}
          asks={asks}
          word={buttonWord(tap, steps)}
          wheel={wheel}
          isProtected={isProtected(bay, wheel)}
          tried={state.plan.stages.filter(({ id }) => names.includes(id))}
          answer={bay.answer}
          pass={() => cards.settle(steps)}
        />
      ) : (
        <Button className="btn-done" data-best="" onClick={bay.finish}>
          {buttonWord(tap, steps)}
        </Button>
      )}
      <Button
        variant="outline-secondary"
        className="btn-undo"
        disabled={!state.undoable}
        onClick={undo}
        aria-label={state.undoable ? `Undo: ${state.undoable.title}` : 'Nothing to undo'}
      >
        <Undo2 aria-hidden size={22} /> undo
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
  const { jobId, wheelSetId, title, bay, inHand, who, isAlone, nowMilliseconds, endHere } = props
  const { state, saving, cards, order, away, setAway } = bay
  const left = cards.others.length + 1
  return (
    <div className="run-state">
      <span role="status">
        {saving === 'offline' && <CloudOff aria-hidden size={17} />}
        {saving === 'saved'
          ? `Step ${state.settledCount + 1} of ${state.plan.steps.length}, ${left} ${left === 1 ? 'card' : 'cards'} left`
          : saving === 'saving'
            ? 'saving …'
            : 'No connection: kept on this device, trying again.'}
      </span>
      <button
        type="button"
        className="link-button"
        aria-label={`Skip: ${inHand.steps.map((step) => step.title).join(', ')}`}
        onClick={() => cards.skip(inHand.steps)}
      >
        Skip
      </button>
      <BayPhotograph
        wheelSetId={wheelSetId}
        jobId={jobId}
        positions={inHand.card.corner === null ? [] : [inHand.card.corner]}
      />
      <button type="button" className="link-button" onClick={endHere}>
        End here
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
      <Link href={`/jobs/${jobId}`} aria-label={`Leave the bay, back to the plan of ${title}`}>
        Leave
      </Link>
    </div>
  )
}

/** The card after this one in a line: where, and what first. */
function nextWords(card: Card, stepOf: (id: string) => Step | undefined): string {
  const steps = card.taps.flatMap(({ stepIds }) => stepIds.flatMap((id) => stepOf(id) ?? []))
  const title = cardTitle(card, steps)
  return card.corner === null ? title : `${title}: ${steps.slice(0, 3).map(lineTitle).join(', ')}`
}
