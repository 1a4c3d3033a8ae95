import { inEnglish } from '@/i18n/testEnglish'
import { createServer, type Server } from 'node:http'
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest'
import { readThermometer, readWeather } from './readDevices'
import { modeOf, setMode, simulatedSurface, simulatedWeather } from './simulated'

/** A device that says whatever a test wants it to; null: nothing at all. */
let answer: { status: number; body: string } | null
let asked = ''
let server: Server
let address = ''

beforeAll(async () => {
  server = createServer((request, response) => {
    asked = request.url ?? ''
    if (!answer) return
    response.writeHead(answer.status, { 'content-type': 'application/json' }).end(answer.body)
  })
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve))
  const at = server.address()
  if (at === null || typeof at === 'string') throw new Error('no port')
  address = `http://127.0.0.1:${at.port}`
})
afterAll(() => {
  server.closeAllConnections()
  server.close()
})
beforeEach(() => {
  answer = null
})

const now = new Date('2026-06-21T09:00:00Z')
const says = (value: unknown, status = 200) => {
  answer = { status, body: typeof value === 'string' ? value : JSON.stringify(value) }
}
const thermometer = () => readThermometer({ weather: '', thermometer: address, tds: '' }, 'frontLeft', 18)
const weather = () => readWeather({ weather: address, thermometer: '', tds: '' }, { latitude: 52 }, 120)
const fixOf = (result: Awaited<ReturnType<typeof thermometer>> | Awaited<ReturnType<typeof weather>>) =>
  result.ok ? '' : (inEnglish(result.problems)[0]?.fix ?? '')

describe('a thermometer', () => {
  it('is asked for a wheel and believed when it makes sense', async () => {
    const reading = simulatedSurface(now, 'frontLeft', 18)
    says(reading)
    expect(await thermometer()).toEqual({ ok: true, value: reading })
    expect(asked).toContain('position=frontLeft')
  })

  it.each([
    ['900 °C', { isSimulated: true, at: now.toISOString(), celsius: 900 }, 'can’t be right'],
    ['no number', { isSimulated: true, at: now.toISOString(), celsius: 'warm' }, 'can’t be right'],
    ['no time', { isSimulated: true, celsius: 20 }, 'can’t be right'],
    ['no JSON', 'warm', 'Your entries stay'],
  ])('that says %s is not believed, and what was typed stays', async (_, value, words) => {
    says(value)
    const fix = fixOf(await thermometer())
    expect(fix).toContain(words)
    expect(fix).toContain('Your entries stay')
  })

  it('that is broken, late or gone says so', async () => {
    says({}, 500)
    expect(fixOf(await thermometer())).toContain('does not answer')
    answer = null
    expect(fixOf(await thermometer())).toContain('takes too long')
    const gone = await readThermometer(
      { weather: '', thermometer: 'http://127.0.0.1:9', tds: '' },
      'frontLeft',
      18,
    )
    expect(fixOf(gone)).toContain('does not answer')
  })
})

describe('an answer', () => {
  it('that goes on and on is cut off, and one that leads elsewhere is not followed', async () => {
    says(' '.repeat(200_000))
    expect(fixOf(await thermometer())).toContain('does not answer')
    answer = { status: 302, body: '' }
    const led = await thermometer()
    expect(led.ok ? '' : inEnglish(led.problems)[0]?.found).toBe('a redirect')
  })

  it('is asked for at an address that keeps its own query', async () => {
    says(simulatedWeather(now, 120, 52))
    await readWeather(
      { weather: `${address}/feed?key=a%26b`, thermometer: '', tds: '' },
      { latitude: 52 },
      120,
    )
    expect(asked).toBe('/feed?key=a%26b&latitude=52&offset=120')
    const none = await readWeather({ weather: 'not an address', thermometer: '', tds: '' }, null, 0)
    expect(fixOf(none)).toContain('can’t be read')
  })
})

describe('the weather feed', () => {
  it('is asked for the place and believed with its forecast', async () => {
    says(simulatedWeather(now, 120, 52))
    const read = await weather()
    expect(read.ok && read.value.forecast).toHaveLength(24)
    expect(asked).toContain('latitude=52')
  })

  it.each([
    ['humidityPercent', 140],
    ['windKilometresPerHour', -3],
    ['airCelsius', 80],
    ['cloudPercent', 101],
  ])('with %s of %d is not believed', async (field, value) => {
    says({ ...simulatedWeather(now, 120, 52), [field]: value })
    expect(fixOf(await weather())).toContain('Your entries stay')
  })
})

describe('the simulated devices', () => {
  it('say what weather can be, in any season and place', () => {
    for (let month = 0; month < 12; month += 1)
      for (const latitude of [-60, 0, 60]) {
        const { forecast } = simulatedWeather(new Date(Date.UTC(2026, month, 11, 5)), 0, latitude)
        for (const { airCelsius, humidityPercent, windKilometresPerHour, cloudPercent } of forecast) {
          expect(Math.abs(airCelsius)).toBeLessThan(45)
          expect(humidityPercent).toBeGreaterThanOrEqual(0)
          expect(humidityPercent).toBeLessThanOrEqual(100)
          expect(windKilometresPerHour).toBeGreaterThanOrEqual(0)
          expect(cloudPercent).toBeGreaterThanOrEqual(0)
          expect(cloudPercent).toBeLessThanOrEqual(100)
        }
      }
  })

  it('are well until they are told otherwise', () => {
    expect(modeOf('weather')).toBe('well')
    setMode('weather', 'silent')
    expect([modeOf('weather'), modeOf('thermometer')]).toEqual(['silent', 'well'])
    setMode('weather', 'well')
  })
})
