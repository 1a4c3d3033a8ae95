import * as v from 'valibot'
import { forecastHour, instantText } from './conditions'
import { list, numberFrom, oneOf } from './fields'

/** What a weather feed says. A real feed sends the same shape; a simulated one says so. */
export const weatherReading = v.object({
  isSimulated: v.optional(v.boolean(), false),
  at: instantText,
  airCelsius: numberFrom(-20, 50, 'celsius'),
  humidityPercent: numberFrom(0, 100, 'percent'),
  windKilometresPerHour: numberFrom(0, 120, 'kmPerHour'),
  cloudPercent: numberFrom(0, 100, 'percent'),
  forecast: v.optional(list(forecastHour, 48, 'hours'), []),
})
export type WeatherReading = v.InferOutput<typeof weatherReading>

/** What a surface thermometer says. */
export const thermometerReading = v.object({
  isSimulated: v.optional(v.boolean(), false),
  at: instantText,
  celsius: numberFrom(-20, 120, 'celsius'),
})
export type ThermometerReading = v.InferOutput<typeof thermometerReading>

/** What a meter for dissolved solids says, before and behind a filter. */
export const tdsReading = v.object({
  isSimulated: v.optional(v.boolean(), false),
  at: instantText,
  beforePpm: numberFrom(0, 5000, 'ppm'),
  afterPpm: numberFrom(0, 5000, 'ppm'),
})
export type TdsReading = v.InferOutput<typeof tdsReading>

export const deviceNames = ['weather', 'thermometer', 'tds'] as const
export type DeviceName = (typeof deviceNames)[number]

/** How a simulated device behaves; all but `well` are for trying what the app does then. */
export const deviceModes = ['well', 'silent', 'slow', 'senseless'] as const
export type DeviceMode = (typeof deviceModes)[number]

export const deviceModeChange = v.strictObject({ device: oneOf(deviceNames), mode: oneOf(deviceModes) })
