'use server'

import * as v from 'valibot'
import type { ThermometerReading, WeatherReading } from '@/contracts/devices'
import { positions } from '@/core/wheel/position'
import { fail, type Result } from '@/core/result'
import { database } from '@/data/connection'
import { readSettings } from '@/data/queries/settings'
import { deviceAddresses, readThermometer, readWeather } from '@/services/devices/readDevices'
import { ownOrigin } from '../ownOrigin'

const offset = v.pipe(v.number(), v.integer(), v.minValue(-720), v.maxValue(840))
const asked = v.strictObject({ position: v.picklist(positions), airCelsius: v.pipe(v.number(), v.finite()) })

const addresses = () => deviceAddresses(ownOrigin())

/** Asks the weather feed for the shop's place. */
export async function askWeather(utcOffsetMinutes: number): Promise<Result<WeatherReading>> {
  const minutes = v.is(offset, utcOffsetMinutes) ? utcOffsetMinutes : 0
  return readWeather(addresses(), (await readSettings(await database())).place, minutes)
}

/** Reads the thermometer that is held at a wheel. */
export async function askThermometer(input: unknown): Promise<Result<ThermometerReading>> {
  const read = v.safeParse(asked, input)
  if (!read.success) return fail({ path: 'thermometer', found: '', mend: 'Say at which wheel it is held.' })
  return readThermometer(addresses(), read.output.position, read.output.airCelsius)
}
