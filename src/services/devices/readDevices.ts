import { fixOf } from '@/contracts/problems'
import { message, type Message } from '@/core/message/message'
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
  device: 'weather' | 'thermometer' | 'tds',
  address: URL | null,
  shape: v.GenericSchema<unknown, T>,
): Promise<Result<T>> {
  const nothing = (found: Message | string, fix: Message) => fail({ path: device, found, fix })
  if (!address)
    return nothing(message('problems.device.noAddress'), message('problems.device.badAddress', { device }))
  let answer: unknown
  try {
    answer = JSON.parse(await fetchDevice(address))
  } catch (error) {
    if (error instanceof DeviceAnswer)
      return nothing(error.message, message('problems.device.noAnswer', { device }))
    const isLate = error instanceof Error && error.name === 'TimeoutError'
    return nothing(
      isLate
        ? message('problems.device.nothingWithin', { time: { seconds: patienceMilliseconds / 1000 } })
        : message('problems.device.nothing'),
      message(isLate ? 'problems.device.late' : 'problems.device.noAnswer', { device }),
    )
  }
  const read = v.safeParse(shape, answer)
  if (read.success) return succeed(read.output)
  const [issue] = read.issues
  const key = issue?.path?.map(({ key }) => String(key)).join('.') ?? ''
  return nothing(
    `${key} ${JSON.stringify(issue?.input)}`.trim().slice(0, 60),
    message('problems.device.senseless', { device, why: issue ? fixOf(issue) : '' }),
  )
}

export const readWeather = (
  { weather }: DeviceAddresses,
  place: { latitude: number } | null,
  utcOffsetMinutes: number,
): Promise<Result<WeatherReading>> =>
  ask(
    'weather',
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
  ask('tds', asked(tds, { hardness: hardnessPpm }), tdsReading)
