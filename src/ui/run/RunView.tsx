'use client'

import { CloudOff, Undo2 } from 'lucide-react'
import Link from 'next/link'
import { useMemo, useState } from 'react'
import Button from 'react-bootstrap/Button'
import { givenUpBy, stepsLeft } from '@/core/order/stepsLeft'
import type { Act } from '@/core/plan/plan'
import { readClock } from '@/core/run/dwellClock'
import type { RunEvent } from '@/core/run/runState'
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
import { CalledAway, type Away } from './CalledAway'
import { ClockStrip } from './ClockStrip'
import { FinishForm } from './FinishForm'
import { KeepWet } from './KeepWet'
import { RunNow } from './RunNow'
import { useAwakeScreen, usePhaseSignal } from './useBaySignals'
import { useOrder } from './useOrder'
import { useRun } from './useRun'
import { useServerNow } from './useServerNow'
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

const doneWords: Record<Act, string> = {
  lookRound: 'Looked', coolCheck: 'Cool', getReady: 'Ready', preRinse: 'Rinsed', spray: 'Sprayed', reMist: 'Misted', agitate: 'Brushed',
  scrub: 'Scrubbed', wipe: 'Wiped', rinse: 'Rinsed', lookAgain: 'Looked', dry: 'Dry', testSpot: 'Looked', protect: 'Done', dress: 'Dressed',
  hub: 'Done', roll: 'Rolled', body: 'Done', brakes: 'Done', writeDown: 'Done',
} // prettier-ignore

const ringTones = {
  dwelling: 'chemistry', ready: 'ready', keepWet: 'warm', rinseNow: 'warm', dry: 'warm', over: 'warm',
} as const // prettier-ignore

/** The bay: one act now, one coming, undo, and every clock that runs. */
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
  useAwakeScreen()
  const positions = wheels.map(({ position }) => position)
  const readings = state.clocks.map((clock) => ({ clock, reading: readClock(clock, nowMilliseconds) }))
  const phaseKey = readings
    .map(({ clock, reading }) => `${clock.corner}.${clock.stageId}=${reading.phase}`)
    .join(' ')
  usePhaseSignal(
    useMemo(
      () =>
        phaseKey
          .split(' ')
          .filter(Boolean)
          .map((part) => {
            const [key = '', phase] = part.split('=')
            return { key, phase: phase as (typeof readings)[number]['reading']['phase'] }
          }),
      [phaseKey],
    ),
  )

  const [away, setAway] = useState<Away | null>(null)
  const order = useOrder(jobFile, plan, state, serverNow, away)
  const { undoable } = state
  const undo = () => undoable && tap(undoable.kind, undoable.stepId)
  const [current, next] = stepsLeft(plan, state, order, person ?? null)
  const finish = () => {
    if (!current) return
    // What has to come off at once is not brushed any more: that is left out, and kept so.
    for (const id of givenUpBy(current, plan, order, state)) tap('skipped', id)
    tap('done', current.id)
  }
  if (ending || !current || current.act === 'writeDown') {
    return (
      <FinishForm
        jobId={jobId}
        end={end}
        back={() => {
          setEnding(false)
          if (!ending) undo()
        }}
      />
    )
  }

  const stage = plan.stages.find(({ id }) => id === current.stageId)
  const shownAt = current.corner ?? positions[0]
  const wheel = wheels.find(({ position }) => position === shownAt)
  const clock = shownAt ? urgentClock(state.clocks, shownAt, nowMilliseconds) : null
  const reading = clock && readClock(clock, nowMilliseconds)
  const dwellLeft = dwellLeftSeconds(state.clocks, current, nowMilliseconds)
  const [theirs] = isShared ? stepsLeft(plan, state, order, 1 - who) : []
  const drying = filmToWet(state.clocks, theirs ? [current, theirs] : [current], nowMilliseconds)
  const ring: RingMark | undefined =
    clock && reading
      ? {
          share: Math.min(1, reading.elapsedSeconds / clock.maxSeconds),
          tone: ringTones[reading.phase],
          film: reading.filmShare,
        }
      : undefined
  const wetStages = state.clocks.filter(({ corner }) => corner === shownAt).map(({ stageId }) => stageId)
  const wetZones = plan.stages.filter(({ id }) => wetStages.includes(id)).flatMap(({ zones }) => zones)
  const wheelLoads = loads.find(({ position }) => position === shownAt)?.loads ?? []

  return (
    <div className="run">
      <ClockStrip plan={plan} state={state} positions={positions} nowMilliseconds={nowMilliseconds} />
      <div className="run-now" aria-live="polite">
        {isShared && <WhoChips who={who} choose={setWho} />}
        <RunNow step={current} stage={stage} dwellLeftSeconds={dwellLeft} lost={order?.lost ?? []} />
      </div>
      {wheel && (
        <div className="run-wheel">
          <WheelDrawing
            {...wheel}
            id="run"
            label={`${positionNames[wheel.position]}: ${current.title}`}
            loads={loadsOfEntries(wheelLoads)}
            highlighted={current.zones.length > 0 ? current.zones : undefined}
            wet={wetZones}
            ring={ring}
          />
        </div>
      )}
      <div className="run-acts">
        {next && (
          <div className="run-next">
            <span className="soft">then</span>
            <b>{next.title}</b>
          </div>
        )}
        {drying && (
          <KeepWet
            clock={drying}
            nowMilliseconds={nowMilliseconds}
            misted={() => tap('misted', drying.wettedBy)}
          />
        )}
        <Button onClick={finish}>{doneWords[current.act]}</Button>
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
              ? `Step ${state.settledCount + 1} of ${plan.steps.length}`
              : saving === 'saving'
                ? 'saving …'
                : 'No connection: kept on this device, trying again.'}
          </span>
          <button
            type="button"
            className="link-button"
            aria-label={`Skip: ${current.title}`}
            onClick={() => tap('skipped', current.id)}
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
    </div>
  )
}
