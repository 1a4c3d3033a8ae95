'use client'

import { CloudOff, Undo2 } from 'lucide-react'
import Link from 'next/link'
import { useMemo, useState } from 'react'
import Button from 'react-bootstrap/Button'
import { cardsOf } from '@/core/cards/cardsOf'
import { givenUpBy, stepsLeft } from '@/core/order/stepsLeft'
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
  const [device, changeDevice] = useBayDevice()
  const [chosen, setChosen] = useState<Position | null>(null)
  const positions = wheels.map(({ position }) => position)
  const readings = state.clocks.map((clock) => ({ clock, reading: readClock(clock, nowMilliseconds) }))
  usePhaseSignal(
    readings.map(({ clock, reading }) => ({ key: `${clock.corner}.${clock.stageId}`, phase: reading.phase })),
  )

  const [away, setAway] = useState<Away | null>(null)
  const order = useOrder(jobFile, plan, state, serverNow, away)
  const stepOf = useMemo(() => {
    const steps = new Map(plan.steps.map((step) => [step.id, step]))
    return (id: string): Step | undefined => steps.get(id)
  }, [plan.steps])
  const cardsFor = (who: number | undefined): Card[] =>
    cardsOf(
      stepsLeft(plan, state, order, who ?? null)
        .filter(({ act }) => act !== 'writeDown')
        .map((step) => ({ step, person: who ?? 0 })),
    )
  const cards = cardsFor(person)
  // Who went to another wheel first finds its card; the rest follows.
  const card = cards.find(({ corner }) => corner !== null && corner === chosen) ?? cards[0]
  const others = cards.filter((one) => one !== card)
  const [tapNow] = card?.taps ?? []
  const inHand = tapNow?.stepIds.flatMap((id) => stepOf(id) ?? []) ?? []
  const [current] = inHand

  const { undoable } = state
  const undo = () => undoable && tap({ kind: undoable.kind, stepId: undoable.stepId })
  const settle = (steps: readonly Step[]) => {
    // What has to come off at once is not brushed any more: that is left out, and kept so.
    const givenUp = steps.flatMap((step) => givenUpBy(step, plan, order, state))
    tap(
      ...givenUp.map((stepId) => ({ kind: 'skipped', stepId }) as const),
      ...steps
        .filter(({ id }) => !givenUp.includes(id))
        .map(({ id }) => ({ kind: 'done', stepId: id }) as const),
    )
    if (card && steps.length >= card.taps.flatMap(({ stepIds }) => stepIds).length) setChosen(null)
  }
  const isEnding = ending || !card || !current || !tapNow
  const finish = () => !isEnding && settle(inHand)
  const doneUpTo = (last: Card) => {
    const upTo = [...(card ? [card] : []), ...others.slice(0, others.indexOf(last) + 1)]
    settle(
      upTo.flatMap(({ taps }) => taps.flatMap(({ stepIds }) => stepIds.flatMap((id) => stepOf(id) ?? []))),
    )
  }
  useRemote(finish, undo)
  const urgent = readings.find(({ reading }) => ['rinseNow', 'over'].includes(reading.phase))
  const spoken = urgent
    ? `Rinse ${positionNames[urgent.clock.corner].toLowerCase()} now`
    : card && current
      ? `${cardTitle(card, inHand)}: ${inHand.map(lineTitle).join(', ')}`
      : ''
  useSpeech(spoken, device.speaks)
  if (isEnding) {
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

  const shownAt = current.corner ?? positions[0]
  const wheel = wheels.find(({ position }) => position === shownAt)
  const clock = shownAt ? urgentClock(state.clocks, shownAt, nowMilliseconds) : null
  const reading = clock && readClock(clock, nowMilliseconds)
  const dwellLeft = dwellLeftSeconds(state.clocks, current, nowMilliseconds)
  const theirs = isShared ? cardsFor(1 - who)[0]?.taps[0]?.stepIds.flatMap((id) => stepOf(id) ?? []) : []
  const drying = filmToWet(state.clocks, [...inHand, ...(theirs ?? [])], nowMilliseconds)
  const ring: RingMark | undefined =
    clock && reading
      ? {
          share: Math.min(1, reading.elapsedSeconds / clock.maxSeconds),
          tone: ringTones[reading.phase],
          film: reading.filmShare,
        }
      : undefined
  const zonesInHand = [...new Set(inHand.flatMap(({ zones }) => zones))]
  const wetStages = state.clocks.filter(({ corner }) => corner === shownAt).map(({ stageId }) => stageId)
  const wetZones = plan.stages.filter(({ id }) => wetStages.includes(id)).flatMap(({ zones }) => zones)
  const wheelLoads = loads.find(({ position }) => position === shownAt)?.loads ?? []

  return (
    <div
      className={`run${device.isFar ? ' is-far' : ''}${device.isLeftHanded ? ' is-left' : ''}`}
      data-settled={state.settledCount}
    >
      <ClockStrip
        plan={plan}
        state={state}
        positions={positions}
        nowMilliseconds={nowMilliseconds}
        inHand={card.corner}
        isOpen={(position) => cards.some(({ corner }) => corner === position)}
        choose={setChosen}
      />
      <div className="run-now" aria-live="polite">
        {isShared && <WhoChips who={who} choose={setWho} />}
        <RunCard
          card={card}
          stepOf={stepOf}
          stages={plan.stages}
          dwellLeftSeconds={dwellLeft}
          lost={order?.lost ?? []}
          tick={(step) => settle([step])}
        />
      </div>
      {wheel && (
        <div className="run-wheel">
          <WheelDrawing
            {...wheel}
            id="run"
            label={`${positionNames[wheel.position]}: ${inHand.map(lineTitle).join(', ')}`}
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
          {buttonWord(tapNow, inHand)}
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
            aria-label={`Skip: ${inHand.map(({ title }) => title).join(', ')}`}
            onClick={() => tap(...inHand.map(({ id }) => ({ kind: 'skipped', stepId: id }) as const))}
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
        <Coming cards={others} stepOf={stepOf} doneUpTo={doneUpTo} />
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
