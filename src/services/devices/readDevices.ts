import * as v from 'valibot'
import {
  tdsReading,
  thermometerReading,
  weatherReading,
  type TdsReading,
  type ThermometerReading,
  type WeatherReading,
} from '@/contracts/devices'
import type { Position } from '@/core/wheel/position'
import { fail, succeed, type Result } from '@/core/result'

/** Where the devices answer. A real one takes a simulated one's place by its address alone. */
export interface DeviceAddresses {
  readonly weather: string
  readonly thermometer: string
  readonly tds: string
}

export const deviceAddresses = (origin: string): DeviceAddresses => ({
  weather: process.env.EVEN_SPOKE_WEATHER_URL ?? `${origin}/api/devices/weather`,
  thermometer: process.env.EVEN_SPOKE_THERMOMETER_URL ?? `${origin}/api/devices/thermometer`,
  tds: process.env.EVEN_SPOKE_TDS_URL ?? `${origin}/api/devices/tds`,
})

/** A detailer waits no longer for a device, ms. */
const patienceMilliseconds = 1500

async function ask<T>(name: string, address: string, shape: v.GenericSchema<unknown, T>): Promise<Result<T>> {
  const nothing = (found: string, mend: string) => fail({ path: name, found, mend })
  let answer: unknown
  try {
    const response = await fetch(address, {
      signal: AbortSignal.timeout(patienceMilliseconds),
      cache: 'no-store',
    })
    if (!response.ok)
      return nothing(`status ${response.status}`, `The ${name} does not answer; what was typed holds.`)
    answer = await response.json()
  } catch (error) {
    const isLate = error instanceof Error && error.name === 'TimeoutError'
    return nothing(
      isLate ? `nothing within ${patienceMilliseconds / 1000} s` : 'no answer',
      `The ${name} ${isLate ? 'takes too long' : 'is silent'}; what was typed holds.`,
    )
  }
  const read = v.safeParse(shape, answer)
  if (read.success) return succeed(read.output)
  const [issue] = read.issues
  const key = issue?.path?.map(({ key }) => String(key)).join('.') ?? ''
  return nothing(
    `${key} ${JSON.stringify(issue?.input)}`.trim().slice(0, 60),
    `The ${name} says something that cannot be (${issue?.message ?? 'unreadable'}); what was typed holds.`,
  )
}

export const readWeather = (
  { weather }: DeviceAddresses,
  place: { latitude: number } | null,
  utcOffsetMinutes: number,
): Promise<Result<WeatherReading>> =>
  ask(
    'weather feed',
    `${weather}?latitude=${place?.latitude ?? 50}&offset=${utcOffsetMinutes}`,
    weatherReading,
  )

export const readThermometer = (
  { thermometer }: DeviceAddresses,
  position: Position,
  airCelsius: number,
): Promise<Result<ThermometerReading>> =>
  ask('thermometer', `${thermometer}?position=${position}&air=${airCelsius}`, thermometerReading)

export const readTdsMeter = ({ tds }: DeviceAddresses, hardnessPpm: number): Promise<Result<TdsReading>> =>
  ask('water meter', `${tds}?hardness=${hardnessPpm}`, tdsReading)
