'use client'

import { CloudOff, Undo2 } from 'lucide-react'
import Link from 'next/link'
import { useState, useSyncExternalStore } from 'react'
import Button from 'react-bootstrap/Button'
import type { Card, Step } from '@/core/plan/plan'
import { readClock } from '@/core/run/dwellClock'
import type { RunEvent } from '@/core/run/runEvent'
import { dwellLeftSeconds, filmToWet, urgentClock } from '@/core/run/urgentClock'
import { positionNames, type Position } from '@/core/wheel/position'
import type { FinishInput } from '@/contracts/intake'
import type { JobFile } from '@/contracts/jobFile'
import type { PlanFile } from '@/contracts/planFile'
import type { FormAction } from '../form/formAction'
import { loadsOfEntries, type LoadEntry } from '../intake/loads'
import { ProblemAlert } from '../form/ProblemAlert'
import type { DrawnWheel } from '../wheel-drawing/drawnWheel'
import { WheelDrawing, type RingMark } from '../wheel-drawing/WheelDrawing'
import { BayDeviceChoice } from './BayDeviceChoice'
import { CalledAway, type Away } from './CalledAway'
import { buttonWord, cardTitle, lineTitle } from './cardWords'
import { ClockStrip } from './ClockStrip'
import { Coming } from './Coming'
import { FinishForm } from './FinishForm'
import { KeepWet } from './KeepWet'
import { RunCard } from './RunCard'
import { useBayCards } from './useBayCards'
import { useBayDevice } from './useBayDevice'
import { useAwakeScreen, usePhaseSignal } from './useBaySignals'
import { useOrder } from './useOrder'
import { useRemote } from './useRemote'
import { useRun } from './useRun'
import { useServerNow } from './useServerNow'
import { useSpeech } from './useSpeech'
import { useWho } from './useWho'
import { WhoChips } from './WhoChips'

interface RunViewProps {
  readonly jobId: string
  readonly title: string
  readonly jobFile: JobFile
  readonly plan: PlanFile
  readonly wheels: readonly DrawnWheel[]
  readonly loads: readonly { readonly position: Position; readonly loads: readonly LoadEntry[] }[]
  readonly events: readonly RunEvent[]
  readonly serverMilliseconds: number
  readonly end: FormAction<FinishInput>
}

const nothingChanges = () => () => {}

const ringTones = {
  dwelling: 'chemistry', ready: 'ready', keepWet: 'warm', rinseNow: 'warm', dry: 'warm', over: 'warm',
} as const // prettier-ignore

/** The bay: the card in hand, what comes, undo, and every clock that runs. */
export function RunView({
  jobId,
  title,
  jobFile,
  plan,
  wheels,
  loads,
  events,
  serverMilliseconds,
  end,
}: RunViewProps) {
  const { nowMilliseconds, serverNow } = useServerNow(serverMilliseconds)
  const isShared = (plan.sequence?.people ?? 1) > 1
  const [who, setWho] = useWho(jobId)
  const person = isShared ? who : undefined
  const { state, saving, refusal, tap } = useRun(jobId, plan, events, serverNow, person)
  const [ending, setEnding] = useState(false)
  const maySleep = useAwakeScreen()
  // Drawn by the server it does not hear taps yet.
  const isLive = useSyncExternalStore(
    nothingChanges,
    () => true,
    () => false,
  )
  const [device, changeDevice] = useBayDevice()
  const positions = wheels.map(({ position }) => position)
  const readings = state.clocks.map((clock) => ({ clock, reading: readClock(clock, nowMilliseconds) }))
  usePhaseSignal(
    readings.map(({ clock, reading }) => ({ key: `${clock.corner}.${clock.stageId}`, phase: reading.phase })),
  )

  const [away, setAway] = useState<Away | null>(null)
  const order = useOrder(jobFile, plan, state, serverNow, away)
  const bay = useBayCards(plan, state, order, person, tap)
  const { inHand, others, stepOf } = bay
  const { undoable } = state
  const undo = () => undoable && tap({ kind: undoable.kind, stepId: undoable.stepId })
  const isOver = ending || !inHand
  const finish = () => !isOver && bay.settle(inHand.steps)
  useRemote(finish, undo)
  const urgent = readings.find(({ reading }) => ['rinseNow', 'over'].includes(reading.phase))
  const spoken = urgent
    ? `Rinse ${positionNames[urgent.clock.corner].toLowerCase()} now`
    : inHand
      ? `${cardTitle(inHand.card, inHand.steps)}: ${inHand.steps.map(lineTitle).join(', ')}`
      : ''
  useSpeech(spoken, device.speaks)
  if (isOver) {
    return (
      <FinishForm
        jobId={jobId}
        saving={saving}
        end={end}
        back={() => {
          setEnding(false)
          if (!ending) undo()
        }}
      />
    )
  }

  const { card, steps } = inHand
  const shownAt = card.corner ?? positions[0]
  const wheel = wheels.find(({ position }) => position === shownAt)
  const clock = shownAt ? urgentClock(state.clocks, shownAt, nowMilliseconds) : null
  const reading = clock && readClock(clock, nowMilliseconds)
  const dwellLeft = steps[0] ? dwellLeftSeconds(state.clocks, steps[0], nowMilliseconds) : null
  const drying = filmToWet(
    state.clocks,
    [steps[0], bay.theirs[0]].filter((step) => step !== undefined),
    nowMilliseconds,
  )
  const ring: RingMark | undefined =
    clock && reading
      ? {
          share: Math.min(1, reading.elapsedSeconds / clock.maxSeconds),
          tone: ringTones[reading.phase],
          film: reading.filmShare,
        }
      : undefined
  const zonesInHand = [...new Set(steps.flatMap(({ zones }) => zones))]
  const wetStages = state.clocks.filter(({ corner }) => corner === shownAt).map(({ stageId }) => stageId)
  const wetZones = plan.stages.filter(({ id }) => wetStages.includes(id)).flatMap(({ zones }) => zones)
  const wheelLoads = loads.find(({ position }) => position === shownAt)?.loads ?? []

  return (
    <div
      className={`run${device.isFar ? ' is-far' : ''}${device.isLeftHanded ? ' is-left' : ''}`}
      data-settled={state.settledCount}
      data-live={isLive}
    >
      <ClockStrip
        plan={plan}
        state={state}
        positions={positions}
        nowMilliseconds={nowMilliseconds}
        inHand={card.corner}
        isOpen={(position) => bay.cards.some(({ corner }) => corner === position)}
        choose={bay.choose}
      />
      <div className="run-now" aria-live="polite">
        {isShared && <WhoChips who={who} choose={setWho} />}
        <RunCard
          card={card}
          stepOf={stepOf}
          stages={plan.stages}
          dwellLeftSeconds={dwellLeft}
          lost={order?.lost ?? []}
          tick={(step) => bay.settle([step])}
        />
      </div>
      {wheel && (
        <div className="run-wheel">
          <WheelDrawing
            {...wheel}
            id="run"
            label={`${positionNames[wheel.position]}: ${steps.map(lineTitle).join(', ')}`}
            loads={loadsOfEntries(wheelLoads)}
            highlighted={zonesInHand.length > 0 ? zonesInHand : undefined}
            wet={wetZones}
            ring={ring}
          />
        </div>
      )}
      <div className="run-acts">
        {others[0] && (
          <div className="run-next">
            <span className="soft">then</span>
            <b>{nextWords(others[0], stepOf)}</b>
          </div>
        )}
        {drying && (
          <KeepWet
            clock={drying}
            nowMilliseconds={nowMilliseconds}
            misted={() => tap({ kind: 'misted', stepId: drying.wettedBy })}
          />
        )}
        <Button className="btn-done" onClick={finish}>
          {buttonWord(inHand.tap, steps)}
        </Button>
        <Button
          variant="outline-secondary"
          className="btn-undo"
          disabled={!undoable}
          onClick={undo}
          aria-label={undoable ? `Undo: ${undoable.title}` : 'Nothing to undo'}
        >
          <Undo2 aria-hidden size={22} /> undo
        </Button>
        <div className="run-state">
          <span role="status">
            {saving === 'offline' && <CloudOff aria-hidden size={17} />}
            {saving === 'saved'
              ? `Step ${state.settledCount + 1} of ${plan.steps.length}, ${others.length + 1} ${others.length === 0 ? 'card' : 'cards'} left`
              : saving === 'saving'
                ? 'saving …'
                : 'No connection: kept on this device, trying again.'}
          </span>
          <button
            type="button"
            className="link-button"
            aria-label={`Skip: ${steps.map(({ title }) => title).join(', ')}`}
            onClick={() => bay.skip(steps)}
          >
            Skip
          </button>
          <button type="button" className="link-button" onClick={() => setEnding(true)}>
            End here
          </button>
          <CalledAway
            plan={plan}
            state={state}
            order={order}
            person={who}
            isAlone={!isShared}
            away={away?.person === who ? away : null}
            nowMilliseconds={nowMilliseconds}
            go={setAway}
            tap={tap}
          />
          <Link href={`/jobs/${jobId}`} aria-label={`Leave the bay, back to the plan of ${title}`}>
            Leave
          </Link>
        </div>
        {refusal && <ProblemAlert problems={[{ path: '', found: '', mend: refusal }]} />}
      </div>
      <div className="run-more">
        <Coming cards={others} stepOf={stepOf} doneUpTo={bay.settleUpTo} />
        <BayDeviceChoice device={device} change={changeDevice} maySleep={maySleep} />
      </div>
    </div>
  )
}

/** The card after this one in a line: where, and what first. */
function nextWords(card: Card, stepOf: (id: string) => Step | undefined): string {
  const steps = card.taps.flatMap(({ stepIds }) => stepIds.flatMap((id) => stepOf(id) ?? []))
  const title = cardTitle(card, steps)
  return card.corner === null ? title : `${title}: ${steps.slice(0, 3).map(lineTitle).join(', ')}`
}
