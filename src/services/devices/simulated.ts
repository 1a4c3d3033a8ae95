import type {
  DeviceMode,
  DeviceName,
  TdsReading,
  ThermometerReading,
  WeatherReading,
} from '@/contracts/devices'
import type { Position } from '@/core/wheel/position'

/** The modes live as long as the process; Next bundles modules more than once, so they hang on the global object. */
const holder = globalThis as { evenSpokeDeviceModes?: Map<DeviceName, DeviceMode> }
const modes = (): Map<DeviceName, DeviceMode> => (holder.evenSpokeDeviceModes ??= new Map())

export const modeOf = (device: DeviceName): DeviceMode => modes().get(device) ?? 'well'
export const setMode = (device: DeviceName, mode: DeviceMode): void => void modes().set(device, mode)

const wave = (hour: number): number => Math.cos(((hour - 15) / 24) * 2 * Math.PI)

/** An invented coast: mild days, sea wind, the same every year. Local hours. */
function hourOf(dayOfYear: number, hour: number, latitude: number) {
  const season = Math.cos(((dayOfYear - (latitude < 0 ? 15 : 197)) / 365) * 2 * Math.PI)
  const cloud = 35 + 25 * Math.sin(dayOfYear * 1.7) + 10 * Math.sin(hour / 3)
  return {
    hour,
    airCelsius: Math.round((12 + 8 * season + 4 * wave(hour)) * 10) / 10,
    humidityPercent: Math.round(68 - 14 * wave(hour) - 8 * season),
    windKilometresPerHour: Math.round(9 + 5 * Math.sin(dayOfYear * 0.9) + 3 * wave(hour)),
    cloudPercent: Math.round(Math.min(100, Math.max(0, cloud))),
  }
}

/** What the simulated weather feed says. */
export function simulatedWeather(now: Date, utcOffsetMinutes: number, latitude: number): WeatherReading {
  const local = new Date(now.getTime() + utcOffsetMinutes * 60_000)
  const dayOfYear = Math.floor((local.getTime() - Date.UTC(local.getUTCFullYear(), 0, 1)) / 86_400_000)
  const { hour: _, ...nowThere } = hourOf(
    dayOfYear,
    local.getUTCHours() + local.getUTCMinutes() / 60,
    latitude,
  )
  return {
    isSimulated: true,
    at: now.toISOString(),
    ...nowThere,
    forecast: Array.from({ length: 24 }, (__, hour) => hourOf(dayOfYear, hour, latitude)),
  }
}

/** What the simulated thermometer reads off a wheel: a little warmer than the air, each wheel in its own way. */
export function simulatedSurface(now: Date, position: Position, airCelsius: number): ThermometerReading {
  const own = [...position].reduce((sum, letter) => sum + letter.charCodeAt(0), 0) % 7
  return {
    isSimulated: true,
    at: now.toISOString(),
    celsius: Math.round((airCelsius + 2 + own * 0.6) * 10) / 10,
  }
}

/** What the simulated meter says: the tap as hard as the shop says, give or take, and a filter that lets a little through. */
export function simulatedWater(now: Date, hardnessPpm: number): TdsReading {
  const week = Math.floor(now.getTime() / (7 * 86_400_000))
  return {
    isSimulated: true,
    at: now.toISOString(),
    beforePpm: Math.round(hardnessPpm * (1 + 0.04 * Math.sin(week))),
    afterPpm: 2 + (week % 4),
  }
}
