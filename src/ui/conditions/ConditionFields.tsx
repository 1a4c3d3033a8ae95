import { useTranslations } from 'next-intl'
import Form from 'react-bootstrap/Form'
import type { ConditionsFile } from '@/contracts/conditions'
import type { QuantityKind } from '@/core/units/unit'
import { ChoiceField } from '../form/ChoiceField'
import { DateField } from '../form/DateField'
import { QuantityInput } from '../form/QuantityInput'
import { placed, placeOf, places } from './place'
import type { TypedConditions } from './useTypedConditions'
import { usualAir } from './usualTemperatures'

const headings = [
  'north',
  'northEast',
  'east',
  'southEast',
  'south',
  'southWest',
  'west',
  'northWest',
] as const
const fields = ['airCelsius', 'humidityPercent', 'windKilometresPerHour', 'cloudPercent'] as const

const kinds: Partial<Record<(typeof fields)[number], QuantityKind>> = {
  airCelsius: 'temperature',
  windKilometresPerHour: 'speed',
}

const localTime = (instant: string | undefined): string => {
  if (!instant) return ''
  const at = new Date(instant)
  return new Date(at.getTime() - at.getTimezoneOffset() * 60_000).toISOString().slice(0, 16)
}

/** The same conditions on another day or at another hour; a forecast is for its own day. */
function beginningAt(conditions: ConditionsFile, value: string): ConditionsFile | null {
  const at = new Date(value)
  if (Number.isNaN(at.getTime())) return null
  const isSameDay = value.slice(0, 10) === localTime(conditions.startAt).slice(0, 10)
  return {
    ...conditions,
    forecast: isSameDay ? conditions.forecast : [],
    startAt: at.toISOString(),
    utcOffsetMinutes: -at.getTimezoneOffset(),
  }
}

interface ConditionFieldsProps {
  readonly conditions: ConditionsFile
  readonly typed: TypedConditions
  readonly change: ((conditions: ConditionsFile) => void) | null
}

/** Air, wind, sky, where the vehicle stands, and when the work begins. */
export function ConditionFields({ conditions, typed, change }: ConditionFieldsProps) {
  'use memo'
  const t = useTranslations()

  const direction = Math.round(conditions.headingDegrees / 45) % 8
  return (
    <>
      {fields.map((key) => (
        <Form.Group key={key} controlId={`condition-${key}`}>
          <Form.Label>{t(`conditions.fields.${key}`)}</Form.Label>
          {kinds[key] ? (
            <QuantityInput
              kind={kinds[key]}
              usual={key === 'airCelsius' ? usualAir : undefined}
              value={typed.textOf(key, conditions[key])}
              isInvalid={typed.fixOf(key) !== undefined}
              set={(text) => typed.type(key, text)}
              leave={typed.passOn}
            />
          ) : (
            <Form.Control
              inputMode="decimal"
              value={typed.textOf(key, conditions[key])}
              isInvalid={typed.fixOf(key) !== undefined}
              onChange={(event) => typed.type(key, event.target.value)}
              onBlur={typed.passOn}
            />
          )}
          <Form.Control.Feedback type="invalid">{typed.fixOf(key)}</Form.Control.Feedback>
        </Form.Group>
      ))}
      <ChoiceField
        id="condition-exposure"
        label={t('conditions.place')}
        value={placeOf(conditions)}
        choices={places.map((place) => [place, t(`terms.place.${place}`)])}
        set={(place) => change?.({ ...conditions, ...placed(place) })}
      />
      <ChoiceField
        id="condition-heading"
        label={t('conditions.heading')}
        value={String(direction)}
        choices={headings.map((name, at) => [String(at), t(`conditions.headings.${name}`)])}
        set={(at) => change?.({ ...conditions, headingDegrees: Number(at) * 45 })}
      />
      <DateField
        id="condition-start"
        className="is-wide"
        label={t('conditions.begins')}
        hasTime
        value={localTime(conditions.startAt)}
        set={(value) => {
          const next = beginningAt(conditions, value)
          if (next) change?.(next)
        }}
      />
    </>
  )
}
