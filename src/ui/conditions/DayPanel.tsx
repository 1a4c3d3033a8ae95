'use client'

import { useTranslations } from 'next-intl'
import { useDeferredValue, useMemo } from 'react'
import { hoursAt } from '@/core/timing/workHours'
import { conditionsOf } from '@/contracts/conditions'
import type { JobFile } from '@/contracts/jobFile'
import { DayChart } from './CoolingChart'

/** A thin film that lasts so long is workable in parts, seconds. */
const goodSeconds = 150

type DayPanelProps = Pick<JobFile, 'corners' | 'conditions' | 'estimates'>

/** The day at the warmest and the coolest wheel; only where place and time are known. */
export function DayPanel(props: DayPanelProps) {
  'use memo'
  const t = useTranslations()

  const { corners, estimates } = props
  // The chart may come after what the person does.
  const file = useDeferredValue(props.conditions)
  const conditions = useMemo(() => conditionsOf(file), [file])
  const sides = useMemo(() => {
    const days = corners.map(({ position, finishes }) => {
      const corner = {
        position,
        finishes: Object.fromEntries(
          finishes.map(({ zone, finish, condition }) => [zone, { finish, condition }]),
        ),
      }
      const hours = hoursAt(corner, 'trigger', conditions, estimates)
      return {
        name: t(`terms.position.${position}`),
        hours,
        heat: hours.reduce((sum, hour) => sum + hour.surfaceCelsius, 0),
      }
    })
    days.sort((a, b) => b.heat - a.heat)
    const [warmest, coolest] = [days[0], days.at(-1)]
    return [warmest, coolest].flatMap((day, at) => (day && (at === 0 || day !== days[0]) ? [day] : []))
  }, [corners, estimates, conditions, t])
  if (conditions.day.length === 0) return <p className="soft mt-3">{t('conditions.day.noPlace')}</p>
  return (
    <section aria-labelledby="day" className="mt-4">
      <div className="section-head">
        <h2 id="day">{t('conditions.day.title')}</h2>
      </div>
      <DayChart sides={sides} startHour={conditions.startHour} goodSeconds={goodSeconds} />
      <p className="soft">{t('conditions.day.explained')}</p>
    </section>
  )
}
