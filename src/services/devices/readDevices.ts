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
import { DeviceAnswer, fetchDevice, patienceMilliseconds } from './fetchDevice'

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

/** An address with what is asked of it; one that has a query of its own keeps it. */
function asked(address: string, query: Readonly<Record<string, string | number>>): URL | null {
  if (!URL.canParse(address)) return null
  const url = new URL(address)
  for (const [name, value] of Object.entries(query)) url.searchParams.set(name, String(value))
  return url
}

async function ask<T>(
  name: string,
  address: URL | null,
  shape: v.GenericSchema<unknown, T>,
): Promise<Result<T>> {
  const nothing = (found: string, mend: string) => fail({ path: name, found, mend })
  if (!address) return nothing('no address', `The address of the ${name} can’t be read. Your entries stay.`)
  let answer: unknown
  try {
    answer = JSON.parse(await fetchDevice(address))
  } catch (error) {
    if (error instanceof DeviceAnswer)
      return nothing(error.message, `The ${name} does not answer. Your entries stay.`)
    const isLate = error instanceof Error && error.name === 'TimeoutError'
    return nothing(
      isLate ? `nothing within ${patienceMilliseconds / 1000} s` : 'no answer',
      `The ${name} ${isLate ? 'takes too long' : 'is silent'}. Your entries stay.`,
    )
  }
  const read = v.safeParse(shape, answer)
  if (read.success) return succeed(read.output)
  const [issue] = read.issues
  const key = issue?.path?.map(({ key }) => String(key)).join('.') ?? ''
  return nothing(
    `${key} ${JSON.stringify(issue?.input)}`.trim().slice(0, 60),
    `The ${name} says something that cannot be (${issue?.message ?? 'unreadable'}). Your entries stay.`,
  )
}

export const readWeather = (
  { weather }: DeviceAddresses,
  place: { latitude: number } | null,
  utcOffsetMinutes: number,
): Promise<Result<WeatherReading>> =>
  ask(
    'weather feed',
    asked(weather, { latitude: place?.latitude ?? 50, offset: utcOffsetMinutes }),
    weatherReading,
  )

export const readThermometer = (
  { thermometer }: DeviceAddresses,
  position: Position,
  airCelsius: number,
): Promise<Result<ThermometerReading>> =>
  ask('thermometer', asked(thermometer, { position, air: airCelsius }), thermometerReading)

export const readTdsMeter = ({ tds }: DeviceAddresses, hardnessPpm: number): Promise<Result<TdsReading>> =>
  ask('water meter', asked(tds, { hardness: hardnessPpm }), tdsReading)
