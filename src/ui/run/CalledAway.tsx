'use client'

import { useTranslations } from 'next-intl'
import { useSay } from '@/i18n/useSay'
import { bold } from '@/i18n/rich'
import { useState } from 'react'
import { beforeGoing, leftOutBy } from '@/core/rescheduling/beforeGoing'
import type { Resumed } from '@/core/rescheduling/resume'
import type { Plan, Step } from '@/core/plan/plan'
import type { RunState } from '@/core/run/runState'
import { formatClock } from '@/i18n/format'

/** Minutes to choose from. */
const lengths = [5, 15, 30] as const

/** Somebody who is away, and until when. */
export interface Away {
  readonly person: number
  readonly untilMilliseconds: number
}

interface CalledAwayProps {
  readonly plan: Plan
  readonly state: RunState
  readonly order: Resumed | null
  readonly person: number
  /** The other one goes on meanwhile. */
  readonly isAlone: boolean
  readonly away: Away | null
  readonly nowMilliseconds: number
  readonly go: (away: Away | null) => void
  readonly tap: (
    ...happened: readonly { readonly kind: 'done' | 'skipped'; readonly stepId: string }[]
  ) => void
}

/** The phone rings: what has to come off before one goes, and then how long one is away. */
export function CalledAway(props: CalledAwayProps) {
  const t = useTranslations()
  const say = useSay()

  const { plan, state, order, person, isAlone, away, nowMilliseconds, go, tap } = props
  const [minutes, setMinutes] = useState<number | null>(null)
  const [isAsking, setIsAsking] = useState(false)
  const close = () => {
    setIsAsking(false)
    setMinutes(null)
  }
  const rinse = (step: Step) => {
    tap(...leftOutBy(plan, step, state.settled).map(({ id }) => ({ kind: 'skipped', stepId: id }) as const), {
      kind: 'done',
      stepId: step.id,
    })
  }
  if (away && away.untilMilliseconds > nowMilliseconds)
    return (
      <div className="run-away" role="status">
        <b>{t('bay.away.left', { time: formatClock((away.untilMilliseconds - nowMilliseconds) / 1000) })}</b>{' '}
        <button type="button" className="link-button" onClick={() => go(null)}>
          {t('bay.away.back')}
        </button>
      </div>
    )
  if (!isAsking)
    return (
      <button type="button" className="link-button" onClick={() => setIsAsking(true)}>
        {t('bay.away.title')}
      </button>
    )
  const first =
    minutes === null || !isAlone
      ? []
      : beforeGoing(
          plan,
          order?.entries ?? plan.sequence?.entries ?? [],
          state.clocks,
          nowMilliseconds,
          minutes * 60,
        )
  return (
    <div className="run-away" role="group" aria-label={t('bay.away.title')}>
      <div className="chips">
        <span>{t('bay.away.for')}</span>
        {lengths.map((one) => (
          <button
            key={one}
            type="button"
            className="chip"
            aria-pressed={minutes === one}
            onClick={() => setMinutes(one)}
          >
            {t('bay.away.minutes', { minutes: one })}
          </button>
        ))}
        <button type="button" className="link-button" onClick={close}>
          {t('bay.away.stay')}
        </button>
      </div>
      {minutes !== null &&
        (first.length > 0 ? (
          <>
            <p>{t.rich('bay.away.before', { b: bold })}</p>
            {first.map((step) => (
              <button
                key={step.id}
                type="button"
                className="btn btn-outline-secondary"
                onClick={() => rinse(step)}
              >
                {t('bay.away.doneStep', { step: say(step.title) })}
              </button>
            ))}
          </>
        ) : (
          <button
            type="button"
            className="btn btn-outline-secondary"
            onClick={() => {
              go({ person, untilMilliseconds: nowMilliseconds + minutes * 60_000 })
              close()
            }}
          >
            {isAlone ? t('bay.away.safe') : t('bay.away.otherTakesOver')}
          </button>
        ))}
    </div>
  )
}
