'use client'

import { Brush, CloudOff, Undo2 } from 'lucide-react'
import Link from 'next/link'
import { useMemo, useState } from 'react'
import Button from 'react-bootstrap/Button'
import type { Act } from '@/core/plan/plan'
import { writeDilution } from '@/core/dilution'
import { readClock, type RunEvent } from '@/core/run/runState'
import { positionNames, type Position } from '@/core/wheel/position'
import type { FinishInput } from '@/contracts/intake'
import type { JobFile } from '@/contracts/jobFile'
import type { PlanFile } from '@/contracts/planFile'
import type { FormAction } from '../formAction'
import { formatClock, formatMillilitres } from '../format/format'
import { loadsOfEntries, type LoadEntry } from '../intake/loads'
import { ProblemAlert } from '../ProblemAlert'
import type { DrawnWheel } from '../wheel-drawing/drawnWheel'
import { WheelDrawing, type RingMark } from '../wheel-drawing/WheelDrawing'
import { CalledAway, type Away } from './CalledAway'
import { ClockStrip, urgentClock } from './ClockStrip'
import { FinishForm } from './FinishForm'
import { useAwakeScreen, usePhaseSignal } from './useBaySignals'
import { useOrder } from './useOrder'
import { useRun } from './useRun'
import { useServerNow } from './useServerNow'

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
  scrub: 'Scrubbed', wipe: 'Wiped', rinse: 'Rinsed', lookAgain: 'Looked', dry: 'Dry', protect: 'Done', dress: 'Dressed',
  body: 'Done', brakes: 'Done', writeDown: 'Done',
} // prettier-ignore

const ringTones = { dwelling: 'chemistry', ready: 'ready', rinseNow: 'warm', over: 'warm' } as const

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
  const { state, saving, refusal, tap } = useRun(jobId, plan, events, serverNow)
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
  const people = plan.sequence?.people ?? 1
  const [who, setWho] = useState(0)
  const { undoable } = state
  const rank = new Map((order ?? plan.sequence)?.entries.map(({ stepId }, at) => [stepId, at]))
  const personOf = new Map(
    [...(plan.sequence?.entries ?? []), ...(order?.entries ?? [])].map(({ stepId, person }) => [
      stepId,
      person,
    ]),
  )
  const open = plan.steps
    .filter(({ id }) => !state.settled.has(id) && !order?.dropped.includes(id))
    .sort((a, b) => (rank.get(a.id) ?? 0) - (rank.get(b.id) ?? 0))
  const own =
    people > 1 ? open.filter(({ id, corner }) => corner === null || (personOf.get(id) ?? 0) === who) : open
  // Who has nothing left takes what the other still has.
  const [current, next] = own.length > 0 ? own : open
  const finish = () => {
    if (!current) return
    // What has to come off at once is not brushed any more: that is left out, and kept so.
    if (current.act === 'rinse')
      for (const id of order?.dropped ?? [])
        if (id.startsWith(`${current.corner}.${current.stageId}.`) && !state.settled.has(id))
          tap('skipped', id)
    tap('done', current.id)
  }
  if (ending || !current || current.act === 'writeDown') {
    return (
      <FinishForm
        end={end}
        back={() => {
          setEnding(false)
          if (!ending && undoable) tap('undone', undoable.id)
        }}
      />
    )
  }

  const stage = plan.stages.find(({ id }) => id === current.stageId)
  const shownAt = current.corner ?? positions[0]
  const wheel = wheels.find(({ position }) => position === shownAt)
  const clock = shownAt ? urgentClock(state.clocks, shownAt) : null
  const reading = clock && readClock(clock, nowMilliseconds)
  const waits = reading?.phase === 'dwelling' && current.act !== 'spray' && clock?.stageId === current.stageId
  const ring: RingMark | undefined =
    clock && reading
      ? { share: Math.min(1, reading.elapsedSeconds / clock.maxSeconds), tone: ringTones[reading.phase] }
      : undefined
  const wetStages = state.clocks.filter(({ corner }) => corner === shownAt).map(({ stageId }) => stageId)
  const wetZones = plan.stages.filter(({ id }) => wetStages.includes(id)).flatMap(({ zones }) => zones)
  const wheelLoads = loads.find(({ position }) => position === shownAt)?.loads ?? []

  return (
    <div className="run">
      <ClockStrip plan={plan} state={state} positions={positions} nowMilliseconds={nowMilliseconds} />
      <div className="run-now" aria-live="polite">
        {people > 1 && (
          <div className="chips run-who" role="group" aria-label="Who are you?">
            {[0, 1].map((person) => (
              <button
                key={person}
                type="button"
                className="chip"
                aria-pressed={who === person}
                onClick={() => setWho(person)}
              >
                Person {person + 1}
              </button>
            ))}
          </div>
        )}
        {order?.lost.map((text) => (
          <p key={text} className="caution run-lost">
            {text}
          </p>
        ))}
        <h1>{current.title}</h1>
        {waits && reading ? (
          <p className="run-detail">
            <b>Let it dwell {formatClock(reading.remainingSeconds)} more.</b> Then: {current.detail}
          </p>
        ) : (
          <p className="run-detail">{current.detail}</p>
        )}
        {stage && current.act === 'spray' && (
          <p className="run-recipe soft">
            {writeDilution({ from: stage.recipe.realFraction, to: stage.recipe.realFraction })}:{' '}
            {formatMillilitres(stage.recipe.concentrateMillilitres)} product
            {stage.recipe.waterMillilitres > 0 &&
              `, ${formatMillilitres(stage.recipe.waterMillilitres)} water`}{' '}
            for {stage.corners.length === 1 ? 'this wheel' : `${stage.corners.length} wheels`}
          </p>
        )}
        {current.tools.length > 0 && (
          <p className="run-tools">
            {current.tools.map((tool) => (
              <span key={tool}>
                <Brush aria-hidden size={17} /> {tool}
              </span>
            ))}
          </p>
        )}
        {current.cautions.length > 0 && (
          <ul className="run-cautions">
            {current.cautions.map((caution) => (
              <li key={caution} className="caution">
                {caution}
              </li>
            ))}
          </ul>
        )}
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
        <Button onClick={finish}>{doneWords[current.act]}</Button>
        <Button
          variant="outline-secondary"
          className="btn-undo"
          disabled={!undoable}
          onClick={() => undoable && tap('undone', undoable.id)}
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
            person={people > 1 ? who : 0}
            isAlone={people === 1}
            away={away?.person === (people > 1 ? who : 0) ? away : null}
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
