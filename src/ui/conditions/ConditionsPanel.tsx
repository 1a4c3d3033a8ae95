'use client'

import { Wind } from 'lucide-react'
import { useTranslations } from 'next-intl'
import Button from 'react-bootstrap/Button'
import type { ConditionsFile } from '@/contracts/conditions'
import type { Plan } from '@/core/plan/plan'
import type { Position } from '@/core/wheel/position'
import { BrakeCooling } from './BrakeCooling'
import { ConditionFields } from './ConditionFields'
import { SurfaceRows } from './SurfaceRows'
import { useDevices, type Devices } from './useDevices'
import { useTypedConditions } from './useTypedConditions'

interface ConditionsPanelProps {
  readonly conditions: ConditionsFile
  readonly people: number
  readonly positions: readonly Position[]
  readonly timings: Plan['timings']
  /** Cool enough to be wetted, as the shop has it. */
  readonly okCelsius: number
  readonly devices: Devices
  /** Null once the job has begun. */
  readonly change: ((conditions: ConditionsFile) => void) | null
  readonly setPeople: ((people: number) => void) | null
}

/** What it is like where the wheels stand: typed, or asked of the devices; the plan follows. */
export function ConditionsPanel(props: ConditionsPanelProps) {
  'use memo'
  const t = useTranslations()

  const { conditions, people, positions, timings, okCelsius, devices, change, setPeople } = props
  const typed = useTypedConditions(conditions, change)
  const asked = useDevices(devices, conditions, change, typed.forget)
  return (
    <section aria-label={t('conditions.title')} className="conditions">
      <fieldset disabled={!change}>
        <div className="conditions-grid">
          <ConditionFields conditions={conditions} typed={typed} change={change} />
          <div className="chips is-wide" role="group" aria-label={t('conditions.people.label')}>
            {[1, 2].map((count) => (
              <button
                key={count}
                type="button"
                className="chip"
                aria-pressed={people === count}
                disabled={!setPeople}
                onClick={() => setPeople?.(count)}
              >
                {count === 1 ? t('conditions.people.one') : t('conditions.people.two')}
              </button>
            ))}
            <Button
              variant="outline-secondary"
              size="sm"
              disabled={asked.asking}
              onClick={() => void asked.askWeather()}
            >
              <Wind aria-hidden size={17} /> {t('conditions.askWeather')}
            </Button>
          </div>
        </div>
        <p role="status" className="soft">
          {asked.asking ? t('conditions.asking') : asked.said}
        </p>
        <SurfaceRows positions={positions} timings={timings} asked={asked} />
        {conditions.readings.length > 0 && change && (
          <button
            type="button"
            className="link-button"
            onClick={() => change({ ...conditions, readings: [] })}
          >
            {t('conditions.clearReadings')}
          </button>
        )}
        <BrakeCooling conditions={conditions} positions={positions} okCelsius={okCelsius} change={change} />
      </fieldset>
    </section>
  )
}
