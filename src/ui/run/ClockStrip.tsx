import type { Plan } from '@/core/plan/plan'
import { readClock, type DwellClock, type RunState } from '@/core/run/runState'
import { positionShortNames, type Position } from '@/core/wheel/position'
import { formatClock } from '../format/format'

const phaseWords = {
  dwelling: 'dwells',
  ready: 'rinse within',
  rinseNow: 'rinse now',
  over: 'too long, rinse',
}

/** The clock of a wheel that ends first; null when nothing is wet there. */
export const urgentClock = (clocks: readonly DwellClock[], position: Position): DwellClock | null => {
  const endOf = ({ startedAt, maxSeconds }: DwellClock) => startedAt.getTime() + maxSeconds * 1000
  return clocks.filter(({ corner }) => corner === position).sort((a, b) => endOf(a) - endOf(b))[0] ?? null
}

function restingWord(plan: Plan, state: RunState, position: Position): string {
  const steps = plan.steps.filter(({ corner }) => corner === position)
  const open = steps.filter(({ id }) => !state.settled.has(id))
  if (open.length === 0) return 'done'
  return open.length === steps.length ? 'not begun' : `${open.length} steps left`
}

interface ClockStripProps {
  readonly plan: Plan
  readonly state: RunState
  readonly positions: readonly Position[]
  readonly nowMilliseconds: number
}

/** One tile a wheel, always in sight: what runs there, as figures, as a word and as a length that fills. */
export function ClockStrip({ plan, state, positions, nowMilliseconds }: ClockStripProps) {
  return (
    <section className="run-clocks" aria-label="Clocks">
      {positions.map((position) => {
        const clock = urgentClock(state.clocks, position)
        const reading = clock && readClock(clock, nowMilliseconds)
        return (
          <div
            key={position}
            className={`run-clock${reading ? ` is-${reading.phase}` : ''}`}
            data-corner={position}
          >
            <div className="clock-where">{positionShortNames[position]}</div>
            {clock && reading ? (
              <>
                <div className="clock-time">{formatClock(reading.remainingSeconds)}</div>
                <div className="clock-word">{phaseWords[reading.phase]}</div>
                <div className="clock-length" aria-hidden>
                  <span
                    style={{ width: `${Math.min(100, (reading.elapsedSeconds / clock.maxSeconds) * 100)}%` }}
                  />
                  <i style={{ left: `${(clock.minSeconds / clock.maxSeconds) * 100}%` }} />
                </div>
              </>
            ) : (
              <>
                <div className="clock-time">–</div>
                <div className="clock-word">{restingWord(plan, state, position)}</div>
              </>
            )}
          </div>
        )
      })}
    </section>
  )
}
