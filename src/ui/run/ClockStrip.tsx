import type { Translator } from '@/i18n/translator'
import { useTranslations } from 'next-intl'
import type { Plan } from '@/core/plan/plan'
import { readClock, type ClockReading, type DwellClock } from '@/core/run/dwellClock'
import type { RunState } from '@/core/run/runState'
import { urgentClock } from '@/core/run/urgentClock'
import type { Position } from '@/core/wheel/position'
import { formatClock } from '@/i18n/format'

/** The word under a running clock, of `bay.clocks.phases`. */
const phaseOf = ({ phase, until }: ClockReading, { limit }: DwellClock) => {
  if (phase === 'ready' && until === 'film') return 'wetFor'
  // Past its label a mild product is rinsed; it has not bitten.
  return phase === 'over' && limit === 'wet' ? 'rinseNow' : phase
}

function restingText(plan: Plan, state: RunState, position: Position, t: Translator): string {
  const steps = plan.steps.filter(({ corner }) => corner === position)
  const open = steps.filter(({ id }) => !state.settled.has(id))
  if (steps.length === 0) return t('bay.clocks.resting.notToday')
  if (open.length === 0) return t('bay.clocks.resting.done')
  return open.length === steps.length
    ? t('bay.clocks.resting.notStarted')
    : t('bay.clocks.resting.stepsLeft', { count: open.length })
}

/** The label's time as a length that fills, and above it the film as one that runs out. */
function ClockLengths({ clock, reading }: { clock: DwellClock; reading: ClockReading }) {
  return (
    <span className="clock-lengths" aria-hidden>
      {reading.filmShare !== null && (
        <span className="clock-film">
          <span style={{ width: `${reading.filmShare * 100}%` }} />
        </span>
      )}
      <span className="clock-length">
        <span style={{ width: `${Math.min(100, (reading.elapsedSeconds / clock.maxSeconds) * 100)}%` }} />
        <i style={{ left: `${(clock.minSeconds / clock.maxSeconds) * 100}%` }} />
      </span>
    </span>
  )
}

interface ClockStripProps {
  readonly plan: Plan
  readonly state: RunState
  readonly positions: readonly Position[]
  readonly nowMilliseconds: number
  /** The wheel whose card is in hand; null for a card all round. */
  readonly inHand: Position | null
  /** Whether something is left to do there. */
  readonly isOpen: (position: Position) => boolean
  /** Goes to another wheel first. */
  readonly choose: (position: Position) => void
}

/** One tile a wheel, always in sight: what runs there, as figures, as a word and as lengths. */
export function ClockStrip({
  plan,
  state,
  positions,
  nowMilliseconds,
  inHand,
  isOpen,
  choose,
}: ClockStripProps) {
  const t = useTranslations()

  return (
    <section className="run-clocks" aria-label={t('bay.clocks.label')}>
      {positions.map((position) => {
        const clock = urgentClock(state.clocks, position, nowMilliseconds)
        const reading = clock && readClock(clock, nowMilliseconds)
        return (
          <button
            type="button"
            key={position}
            className={`run-clock${reading ? ` is-${reading.phase}` : ''}`}
            data-corner={position}
            aria-pressed={position === inHand}
            disabled={!isOpen(position)}
            onClick={() => choose(position)}
          >
            <span className="clock-where">{t(`terms.positionShort.${position}`)}</span>
            <span className="clock-time">
              {clock?.isEstimated && <abbr title={t('bay.clocks.about')}>≈</abbr>}
              {reading ? formatClock(reading.remainingSeconds) : '–'}
            </span>
            <span className="clock-word">
              {clock && reading
                ? t(`bay.clocks.phases.${phaseOf(reading, clock)}`)
                : restingText(plan, state, position, t)}
            </span>
            {clock && reading && <ClockLengths clock={clock} reading={reading} />}
          </button>
        )
      })}
    </section>
  )
}
