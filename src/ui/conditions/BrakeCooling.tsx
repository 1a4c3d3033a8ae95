'use client'

import { QuantityInput } from '@/ui/form/QuantityInput'
import { useFormats } from '@/i18n/useFormats'
import { usualBrakes } from './usualTemperatures'
import { saidProblems } from '@/i18n/saidProblems'
import { useSay } from '@/i18n/useSay'
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

const readingFields = ['firstCelsius', 'secondCelsius', 'minutesApart'] as const

/** Two readings of a hot brake give the time to wait; the wheel then begins later. */
export function BrakeCooling({ conditions, positions, okCelsius, change }: BrakeCoolingProps) {
  const t = useTranslations()
  const say = useSay()
  const formats = useFormats()

  const [position, setPosition] = useState<Position>(positions[0] ?? 'frontLeft')
  const [texts, setTexts] = useState({ firstCelsius: '', secondCelsius: '', minutesApart: '' })
  const readings = {
    firstCelsius: Number(texts.firstCelsius.replace(',', '.')),
    secondCelsius: Number(texts.secondCelsius.replace(',', '.')),
    minutesApart: Number(texts.minutesApart.replace(',', '.')),
  }
  const isFilled = Object.values(texts).every((text) => text.trim() !== '')
  const cooling = isFilled ? coolingOf(readings, conditions.airCelsius, okCelsius) : null
  const fixOf = (path: string) =>
    cooling && !cooling.ok
      ? saidProblems(cooling.problems, say).find((problem) => problem.path === path)?.fix
      : undefined
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
        {readingFields.map((key) => (
          <Form.Group key={key} controlId={`brake-${key}`}>
            <Form.Label>{t(`conditions.brakes.${key}`)}</Form.Label>
            {key === 'minutesApart' ? (
              <Form.Control
                inputMode="decimal"
                value={texts[key]}
                isInvalid={fixOf(key) !== undefined}
                onChange={(event) => setTexts({ ...texts, [key]: event.target.value })}
              />
            ) : (
              <QuantityInput
                kind="temperature"
                usual={usualBrakes}
                value={texts[key]}
                isInvalid={fixOf(key) !== undefined}
                set={(text) => setTexts({ ...texts, [key]: text })}
              />
            )}
            <Form.Control.Feedback type="invalid">{fixOf(key)}</Form.Control.Feedback>
          </Form.Group>
        ))}
      </div>
      <p role="status">
        {cooling?.ok
          ? cooling.value.waitMinutes === 0
            ? t('conditions.brakes.cool')
            : t('conditions.brakes.coolIn', {
                limit: formats.quantity(okCelsius, 'temperature'),
                minutes: Math.ceil(cooling.value.waitMinutes),
              })
          : fixOf('okCelsius')}
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
