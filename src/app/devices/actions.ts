'use server'

import { headers } from 'next/headers'
import * as v from 'valibot'
import type { ThermometerReading, WeatherReading } from '@/contracts/devices'
import { positions } from '@/core/wheel/position'
import { fail, type Result } from '@/core/result'
import { database } from '@/data/connection'
import { readSettings } from '@/data/queries/settings'
import { deviceAddresses, readThermometer, readWeather } from '@/services/devices/readDevices'

const offset = v.pipe(v.number(), v.integer(), v.minValue(-720), v.maxValue(840))
const asked = v.strictObject({ position: v.picklist(positions), airCelsius: v.pipe(v.number(), v.finite()) })

/** The server asks itself where the devices are simulated; only the loopback is ever named. */
async function addresses() {
  const port = (await headers()).get('host')?.match(/:(\d+)$/)?.[1] ?? process.env.PORT ?? '3000'
  return deviceAddresses(`http://127.0.0.1:${port}`)
}

/** Asks the weather feed for the shop's place. */
export async function askWeather(utcOffsetMinutes: number): Promise<Result<WeatherReading>> {
  const minutes = v.is(offset, utcOffsetMinutes) ? utcOffsetMinutes : 0
  return readWeather(await addresses(), (await readSettings(await database())).place, minutes)
}

/** Reads the thermometer that is held at a wheel. */
export async function askThermometer(input: unknown): Promise<Result<ThermometerReading>> {
  const read = v.safeParse(asked, input)
  if (!read.success) return fail({ path: 'thermometer', found: '', mend: 'Say at which wheel it is held.' })
  return readThermometer(await addresses(), read.output.position, read.output.airCelsius)
}
