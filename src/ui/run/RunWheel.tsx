import type { Plan, Step } from '@/core/plan/plan'
import { readClock } from '@/core/run/dwellClock'
import type { RunState } from '@/core/run/runState'
import { urgentClock } from '@/core/run/urgentClock'
import { loadsOfEntries, type LoadEntry } from '../intake/loads'
import type { DrawnWheel } from '../wheel-drawing/drawnWheel'
import { WheelDrawing, type RingMark } from '../wheel-drawing/WheelDrawing'
import { useTranslations } from 'next-intl'
import { useSay } from '@/i18n/useSay'
import { sayLine } from './cardWords'

const ringTones = {
  dwelling: 'chemistry', ready: 'ready', keepWet: 'warm', rinseNow: 'warm', dry: 'warm', over: 'warm',
} as const // prettier-ignore

interface RunWheelProps {
  readonly plan: Plan
  readonly state: RunState
  readonly wheel: DrawnWheel
  readonly loads: readonly LoadEntry[]
  /** What is done there next. */
  readonly steps: readonly Step[]
  readonly nowMilliseconds: number
}

/** The wheel in hand: zones to work at, what is wet, and the clock as its ring. */
export function RunWheel({ plan, state, wheel, loads, steps, nowMilliseconds }: RunWheelProps) {
  const t = useTranslations()
  const say = useSay()
  const { position } = wheel
  const clock = urgentClock(state.clocks, position, nowMilliseconds)
  const reading = clock && readClock(clock, nowMilliseconds)
  const ring: RingMark | undefined =
    clock && reading
      ? {
          share: Math.min(1, reading.elapsedSeconds / clock.maxSeconds),
          tone: ringTones[reading.phase],
          film: reading.filmShare,
        }
      : undefined
  const zonesInHand = [...new Set(steps.flatMap(({ zones }) => zones))]
  const wetStages = state.clocks.filter(({ corner }) => corner === position).map(({ stageId }) => stageId)
  return (
    <div className="run-wheel">
      <WheelDrawing
        {...wheel}
        id="run"
        label={`${t(`terms.position.${position}`)}: ${steps.map((step) => sayLine(step, t, say)).join(', ')}`}
        loads={loadsOfEntries(loads)}
        highlighted={zonesInHand.length > 0 ? zonesInHand : undefined}
        wet={plan.stages.filter(({ id }) => wetStages.includes(id)).flatMap(({ zones }) => zones)}
        ring={ring}
      />
    </div>
  )
}
