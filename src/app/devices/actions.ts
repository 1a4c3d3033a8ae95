'use server'

import * as v from 'valibot'
import type { ThermometerReading, WeatherReading } from '@/contracts/devices'
import { positions } from '@/core/wheel/position'
import type { Result } from '@/core/result'
import { database } from '@/services/records'
import { readSettings } from '@/services/settings'
import { deviceAddresses, readThermometer, readWeather } from '@/services/devices'
import { action } from '../access'
import { ownOrigin } from '../ownOrigin'

const offset = v.pipe(v.number(), v.integer(), v.minValue(-720), v.maxValue(840))
const asked = v.strictObject({ position: v.picklist(positions), airCelsius: v.pipe(v.number(), v.finite()) })

const addresses = () => deviceAddresses(ownOrigin())

/** Asks the weather feed for the shop's place. */
export const askWeather = action(
  'bay',
  [v.fallback(offset, 0)],
  async (utcOffsetMinutes): Promise<Result<WeatherReading>> =>
    readWeather(addresses(), (await readSettings(await database())).place, utcOffsetMinutes),
)

/** Reads the thermometer that is held at a wheel. */
export const askThermometer = action(
  'bay',
  [asked],
  async ({ position, airCelsius }): Promise<Result<ThermometerReading>> =>
    readThermometer(addresses(), position, airCelsius),
)
