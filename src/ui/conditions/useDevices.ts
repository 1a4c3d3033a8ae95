import { useTranslations } from 'next-intl'
import { useState } from 'react'
import { currentTime } from '@/clock'
import type { ConditionsFile } from '@/contracts/conditions'
import type { ThermometerReading, WeatherReading } from '@/contracts/devices'
import type { Result } from '@/core/result'
import type { Position } from '@/core/wheel/position'
import { useFormats } from '@/i18n/useFormats'

export interface Devices {
  weather(utcOffsetMinutes: number): Promise<Result<WeatherReading, string>>
  thermometer(input: { position: Position; airCelsius: number }): Promise<Result<ThermometerReading, string>>
}

export interface AskedDevices {
  readonly asking: boolean
  /** What the last one said, or what was wrong with it. */
  readonly said: string
  askWeather(): Promise<void>
  measure(position: Position): Promise<void>
}

/** Takes conditions from the weather feed and the thermometer. @param forget what is being typed counts no more */
export function useDevices(
  devices: Devices,
  conditions: ConditionsFile,
  change: ((conditions: ConditionsFile) => void) | null,
  forget: () => void,
): AskedDevices {
  'use memo'
  const t = useTranslations()
  const formats = useFormats()
  const [said, setSaid] = useState('')
  const [asking, setAsking] = useState(false)
  const askWeather = async () => {
    setAsking(true)
    const answer = await devices.weather(-currentTime().getTimezoneOffset())
    setAsking(false)
    if (!answer.ok) return setSaid(answer.problems[0]?.fix ?? '')
    const { isSimulated, airCelsius, humidityPercent, windKilometresPerHour, cloudPercent, forecast } =
      answer.value
    setSaid(t('conditions.weatherFrom', { simulated: String(isSimulated) }))
    forget()
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
  return { asking, said, askWeather, measure }
}
