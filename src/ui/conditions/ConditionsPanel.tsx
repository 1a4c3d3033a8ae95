'use client'

import { useFormats } from '@/i18n/useFormats'
import { QuantityInput } from '@/ui/form/QuantityInput'
import type { QuantityKind } from '@/core/units/unit'
import { usualAir } from './usualTemperatures'
import { DateField } from '../form/DateField'
import { useSay } from '@/i18n/useSay'
import { useTranslations } from 'next-intl'
import { currentTime } from '@/clock'
import { Thermometer, Wind } from 'lucide-react'
import { useEffect, useRef, useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import type { Plan } from '@/core/plan/plan'
import type { Result } from '@/core/result'
import type { Position } from '@/core/wheel/position'
import { conditionsFile, type ConditionsFile } from '@/contracts/conditions'
import type { ThermometerReading, WeatherReading } from '@/contracts/devices'
import { parse } from '@/contracts/problems'
import { BrakeCooling } from './BrakeCooling'
import { placed, placeOf, places, type Place } from './place'

export interface Devices {
  weather(utcOffsetMinutes: number): Promise<Result<WeatherReading, string>>
  thermometer(input: { position: Position; airCelsius: number }): Promise<Result<ThermometerReading, string>>
}

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
/** A person types; the plan follows when they pause, ms. */
const pauseMilliseconds = 450

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

/** What it is like where the wheels stand: typed, or asked of the devices; the plan follows. */
export function ConditionsPanel(props: ConditionsPanelProps) {
  'use memo'
  const t = useTranslations()
  const say = useSay()
  const formats = useFormats()

  const { conditions, people, positions, timings, okCelsius, devices, change, setPeople } = props
  const [draft, setDraft] = useState<Record<string, string>>({})
  const [said, setSaid] = useState('')
  const [asking, setAsking] = useState(false)
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined)
  /** What was typed, until it is passed on: after a pause, or at once when the field is left. */
  const typed = useRef<ConditionsFile | null>(null)
  useEffect(() => () => clearTimeout(timer.current), [])
  const passOn = () => {
    clearTimeout(timer.current)
    const value = typed.current
    typed.current = null
    if (!value || !change) return
    setDraft({})
    change(value)
  }
  const textOf = (key: string, value: number) => draft[key] ?? String(value)
  const merged = (texts: Record<string, string>) => ({
    ...conditions,
    ...Object.fromEntries(
      Object.entries(texts).map(([key, text]) => [
        key,
        text.trim() === '' ? NaN : Number(text.replace(',', '.')),
      ]),
    ),
  })
  const read = parse(conditionsFile, merged(draft))
  const fixOf = (key: string) => {
    const fix = read.ok ? undefined : read.problems.find(({ path }) => path === key)?.fix
    return fix && say(fix)
  }
  const type = (key: string, text: string) => {
    const next = { ...draft, [key]: text }
    setDraft(next)
    clearTimeout(timer.current)
    const valid = parse(conditionsFile, merged(next))
    typed.current = valid.ok ? valid.value : null
    if (valid.ok) timer.current = setTimeout(passOn, pauseMilliseconds)
  }
  const askWeather = async () => {
    setAsking(true)
    const answer = await devices.weather(-currentTime().getTimezoneOffset())
    setAsking(false)
    if (!answer.ok) return setSaid(answer.problems[0]?.fix ?? '')
    const { isSimulated, airCelsius, humidityPercent, windKilometresPerHour, cloudPercent, forecast } =
      answer.value
    setSaid(t('conditions.weatherFrom', { simulated: String(isSimulated) }))
    setDraft({})
    change?.({
      ...conditions,
      airCelsius,
      humidityPercent,
      windKilometresPerHour,
      cloudPercent,
      forecast: [...forecast],
      startAt: currentTime().toISOString(),
      utcOffsetMinutes: -currentTime().getTimezoneOffset(),
    })
  }
  const measure = async (position: Position) => {
    setAsking(true)
    const answer = await devices.thermometer({ position, airCelsius: conditions.airCelsius })
    setAsking(false)
    if (!answer.ok) return setSaid(answer.problems[0]?.fix ?? '')
    const { celsius, at, isSimulated } = answer.value
    setSaid(
      t('conditions.measured', {
        wheel: t(`terms.position.${position}`),
        temperature: formats.quantity(celsius, 'temperature'),
        simulated: String(isSimulated),
      }),
    )
    change?.({ ...conditions, readings: [...conditions.readings, { position, celsius, at }] })
  }
  const surfaceAt = (position: Position) =>
    timings.find(
      (timing) => timing.corner === position && timing.stageId.match(/^(wash|iron|mineral|tar)/),
    ) ?? timings.find((timing) => timing.corner === position)
  const direction = Math.round(conditions.headingDegrees / 45) % 8
  return (
    <section aria-label={t('conditions.title')} className="conditions">
      <fieldset disabled={!change}>
        <div className="conditions-grid">
          {fields.map((key) => (
            <Form.Group key={key} controlId={`condition-${key}`}>
              <Form.Label>{t(`conditions.fields.${key}`)}</Form.Label>
              {kinds[key] ? (
                <QuantityInput
                  kind={kinds[key]}
                  usual={key === 'airCelsius' ? usualAir : undefined}
                  value={textOf(key, conditions[key])}
                  isInvalid={fixOf(key) !== undefined}
                  set={(text) => type(key, text)}
                  leave={passOn}
                />
              ) : (
                <Form.Control
                  inputMode="decimal"
                  value={textOf(key, conditions[key])}
                  isInvalid={fixOf(key) !== undefined}
                  onChange={(event) => type(key, event.target.value)}
                  onBlur={passOn}
                />
              )}
              <Form.Control.Feedback type="invalid">{fixOf(key)}</Form.Control.Feedback>
            </Form.Group>
          ))}
          <Form.Group controlId="condition-exposure">
            <Form.Label>{t('conditions.place')}</Form.Label>
            <Form.Select
              value={placeOf(conditions)}
              onChange={(event) => change?.({ ...conditions, ...placed(event.target.value as Place) })}
            >
              {places.map((value) => (
                <option key={value} value={value}>
                  {t(`terms.place.${value}`)}
                </option>
              ))}
            </Form.Select>
          </Form.Group>
          <Form.Group controlId="condition-heading">
            <Form.Label>{t('conditions.heading')}</Form.Label>
            <Form.Select
              value={direction}
              onChange={(event) =>
                change?.({ ...conditions, headingDegrees: Number(event.target.value) * 45 })
              }
            >
              {headings.map((name, at) => (
                <option key={name} value={at}>
                  {t(`conditions.headings.${name}`)}
                </option>
              ))}
            </Form.Select>
          </Form.Group>
          <DateField
            id="condition-start"
            className="is-wide"
            label={t('conditions.begins')}
            hasTime
            value={localTime(conditions.startAt)}
            set={(value) => {
              const at = new Date(value)
              if (!Number.isNaN(at.getTime()))
                change?.({
                  ...conditions,
                  // A forecast is for its own day.
                  forecast:
                    value.slice(0, 10) === localTime(conditions.startAt).slice(0, 10)
                      ? conditions.forecast
                      : [],
                  startAt: at.toISOString(),
                  utcOffsetMinutes: -at.getTimezoneOffset(),
                })
            }}
          />
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
            <Button variant="outline-secondary" size="sm" disabled={asking} onClick={() => void askWeather()}>
              <Wind aria-hidden size={17} /> {t('conditions.askWeather')}
            </Button>
          </div>
        </div>
        <p role="status" className="soft">
          {asking ? t('conditions.asking') : said}
        </p>
        <ul className="rows surfaces" aria-label={t('conditions.surfaces')}>
          {positions.map((position) => {
            const timing = surfaceAt(position)
            return (
              <li key={position} className="row-item">
                <b>{t(`terms.positionShort.${position}`)}</b>
                <span>
                  {timing ? formats.quantity(timing.surfaceCelsius, 'temperature') : '–'}{' '}
                  <span className="soft">
                    {t(timing?.isMeasured ? 'conditions.isMeasured' : 'conditions.isEstimated')}
                  </span>
                </span>
                <Button
                  variant="outline-secondary"
                  size="sm"
                  disabled={asking}
                  aria-label={t('conditions.measureWheel', { wheel: t(`terms.wheel.${position}`) })}
                  onClick={() => void measure(position)}
                >
                  <Thermometer aria-hidden size={16} /> {t('conditions.measure')}
                </Button>
              </li>
            )
          })}
        </ul>
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
