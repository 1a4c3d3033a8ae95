import { spawnSync } from 'node:child_process'
import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import * as v from 'valibot'
import { forecastFile, readRecord } from '@/contracts/shopRecord'

type Shop = Record<string, unknown> & { looks: object[]; layers: object[]; sets: object[] }
const [shop] = JSON.parse(readFileSync('bench/protection-shops.json', 'utf8')) as [Shop]
const run = (input: unknown) =>
  spawnSync(process.execPath, ['node_modules/tsx/dist/cli.mjs', 'src/cli/forecast.ts', '-'], {
    input: typeof input === 'string' ? input : JSON.stringify(input),
    encoding: 'utf8',
  })

describe('the forecast command', () => {
  it('prints a forecast of every layer that is on, in the published format', () => {
    const { status, stdout, stderr } = run(shop)
    expect(stderr).toBe('')
    expect(status).toBe(0)
    const forecast = v.parse(forecastFile, JSON.parse(stdout))
    const live = shop.layers.filter((layer) => (layer as { endedAt: unknown }).endedAt === null)
    expect(forecast.layers).toHaveLength(live.length)
    for (const { topUpDays, renewDays } of forecast.layers) {
      for (const { p10, p50, p90 } of [topUpDays, renewDays]) {
        expect(p10).toBeLessThanOrEqual(p50)
        expect(p50).toBeLessThanOrEqual(p90)
      }
      expect(topUpDays.p50).toBeLessThanOrEqual(renewDays.p50)
    }
  })

  it('ends with 2 and names the field and the fix', () => {
    const { status, stderr } = run({ ...shop, looks: [{ ...shop.looks[0], at: '2020-01-01T00:00:00.000Z' }] })
    expect(status).toBe(2)
    expect(stderr).toMatch(/\$\.looks\[0\]\.at: found .*applied later/)
    expect(run('junk').status).toBe(2)
  })
})

it.each<[string, object, RegExp]>([
  [
    'a layer put on tomorrow',
    { layers: [{ ...shop.layers[0], appliedAt: '2030-01-01T00:00:00.000Z' }] },
    /^layers\[0\]/,
  ],
  [
    'a layer on a set that is not there',
    { layers: [{ ...shop.layers[0], setId: 'none' }] },
    /^layers\[0\]\.setId/,
  ],
  ['a layer twice', { layers: [shop.layers[0]!, shop.layers[0]!] }, /^layers\[1\]\.id/],
  [
    'a layer that ends before it begins',
    { layers: [{ ...shop.layers[0], endedAt: '2020-01-01T00:00:00.000Z' }] },
    /endedAt/,
  ],
  [
    'a storage that ends before it begins',
    {
      sets: [
        { ...shop.sets[0], stored: [{ from: '2026-01-02T00:00:00.000Z', to: '2026-01-01T00:00:00.000Z' }] },
      ],
    },
    /^sets\[0\]\.stored\[0\]\.to/,
  ],
  ['kilometres that are none', { sets: [{ ...shop.sets[0], kilometresPerWeek: NaN }] }, /kilometresPerWeek/],
  ['ten thousand layers and one', { layers: Array.from({ length: 10_001 }, () => ({})) }, /^layers/],
])('a record with %s is refused at its path', (_, change, path) => {
  const read = readRecord({ ...shop, looks: [], ...change })
  expect(read.ok).toBe(false)
  expect(!read.ok && read.problems.map((one) => one.path).join()).toMatch(path)
})

it('a record without looks has a wide band, and with them a narrower one', () => {
  const width = (input: object): number => {
    const { stdout } = run(input)
    const { layers } = JSON.parse(stdout) as v.InferOutput<typeof forecastFile>
    return layers.reduce((sum, { renewDays }) => sum + renewDays.p90 - renewDays.p10, 0)
  }
  expect(width({ ...shop, looks: [] })).toBeGreaterThan(1.2 * width(shop))
})
