'use client'

import { useTranslations } from 'next-intl'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { coolingOf } from '@/core/conditions/hotBrakes'
import type { Position } from '@/core/wheel/position'
import type { ConditionsFile } from '@/contracts/conditions'
import { CoolingChart } from './CoolingChart'

interface BrakeCoolingProps {
  readonly conditions: ConditionsFile
  readonly positions: readonly Position[]
  /** Cool enough to be wetted, as the shop has it. */
  readonly okCelsius: number
  readonly change: ((conditions: ConditionsFile) => void) | null
}

/** Two readings of a hot brake give the time to wait; the wheel then begins later. */
export function BrakeCooling({ conditions, positions, okCelsius, change }: BrakeCoolingProps) {
  const t = useTranslations()

  const [position, setPosition] = useState<Position>(positions[0] ?? 'frontLeft')
  const [texts, setTexts] = useState({ firstCelsius: '', secondCelsius: '', minutesApart: '' })
  const readings = {
    firstCelsius: Number(texts.firstCelsius.replace(',', '.')),
    secondCelsius: Number(texts.secondCelsius.replace(',', '.')),
    minutesApart: Number(texts.minutesApart.replace(',', '.')),
  }
  const isFilled = Object.values(texts).every((text) => text.trim() !== '')
  const cooling = isFilled ? coolingOf(readings, conditions.airCelsius, okCelsius) : null
  const mendOf = (path: string) =>
    cooling && !cooling.ok ? cooling.problems.find((problem) => problem.path === path)?.mend : undefined
  const labels = {
    firstCelsius: 'First, °C',
    secondCelsius: 'Second, °C',
    minutesApart: 'Minutes apart',
  } as const
  return (
    <details className="brakes mt-2" open={conditions.brakes.length > 0}>
      <summary>{t('conditions.brakes.title')}</summary>
      <div className="conditions-grid">
        <Form.Group controlId="brake-position" className="is-wide">
          <Form.Label>{t('conditions.brakes.wheel')}</Form.Label>
          <Form.Select value={position} onChange={(event) => setPosition(event.target.value as Position)}>
            {positions.map((one) => (
              <option key={one} value={one}>
                {t(`terms.position.${one}`)}
              </option>
            ))}
          </Form.Select>
        </Form.Group>
        {(Object.keys(labels) as (keyof typeof labels)[]).map((key) => (
          <Form.Group key={key} controlId={`brake-${key}`}>
            <Form.Label>{labels[key]}</Form.Label>
            <Form.Control
              inputMode="decimal"
              value={texts[key]}
              isInvalid={mendOf(key) !== undefined}
              onChange={(event) => setTexts({ ...texts, [key]: event.target.value })}
            />
            <Form.Control.Feedback type="invalid">{mendOf(key)}</Form.Control.Feedback>
          </Form.Group>
        ))}
      </div>
      <p role="status">
        {cooling?.ok
          ? cooling.value.waitMinutes === 0
            ? t('conditions.brakes.cool')
            : t('conditions.brakes.coolIn', {
                limit: okCelsius,
                minutes: Math.ceil(cooling.value.waitMinutes),
              })
          : cooling?.problems.find(({ path }) => path === 'okCelsius')?.mend}
      </p>
      {cooling?.ok && cooling.value.waitMinutes > 0 && (
        <CoolingChart
          secondCelsius={readings.secondCelsius}
          airCelsius={conditions.airCelsius}
          okCelsius={okCelsius}
          cooling={cooling.value}
        />
      )}
      {cooling?.ok && change && (
        <Button
          variant="outline-secondary"
          size="sm"
          onClick={() =>
            change({
              ...conditions,
              brakes: [
                ...conditions.brakes.filter((one) => one.position !== position),
                { position, ...readings },
              ],
            })
          }
        >
          {t('conditions.brakes.use')}
        </Button>
      )}
      {conditions.brakes.length > 0 && change && (
        <button type="button" className="link-button" onClick={() => change({ ...conditions, brakes: [] })}>
          {t('conditions.brakes.clear')}
        </button>
      )}
    </details>
  )
}
