import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { build } from 'esbuild'
import { expect, test } from './server'

/** Puts the planner of `src` into one script that hangs `plansOf` on the global object. */
async function bundled(): Promise<string> {
  const made = await build({
    stdin: {
      contents: `
        import { readJob } from '@/contracts/jobFile'
        import { planInOrder } from '@/core/order/orderPlan'
        globalThis.plansOf = (files) => files.map((file) => {
          const read = readJob(file)
          return read.ok ? JSON.stringify(planInOrder(read.value.job)) : JSON.stringify(read.problems)
        })`,
      resolveDir: process.cwd(),
      loader: 'ts',
    },
    bundle: true,
    format: 'iife',
    write: false,
    alias: { '@': join(process.cwd(), 'src') },
  })
  return made.outputFiles[0]?.text ?? ''
}

test('the browser comes to the very plans the server does, in any weather', async ({ page }) => {
  // Two dozen plans, worked out twice.
  test.setTimeout(240_000)
  const folder = join('docs', 'examples')
  const jobs = readdirSync(folder)
    .filter((name) => name.endsWith('.job.json'))
    .map((name) => JSON.parse(readFileSync(join(folder, name), 'utf8')) as { conditions?: object })
  const files = jobs.flatMap((job) =>
    Array.from({ length: 12 }, (_, at) => ({
      ...job,
      crew: { people: 1 + (at % 2) },
      conditions: {
        ...job.conditions,
        airCelsius: 2.3 + at * 2.7,
        humidityPercent: 31 + at * 4.7,
        windKilometresPerHour: 3.1 + at * 1.3,
        cloudPercent: at * 7,
        exposure: at % 3 === 0 ? 'partSun' : 'shade',
        place: { latitude: 50.3, longitude: 0.7 },
        startAt: `2026-06-21T${String(6 + at).padStart(2, '0')}:13:00Z`,
      },
    })),
  )
  const script = await bundled()
  const { plansOf } = new Function(`${script}; return globalThis`)() as {
    plansOf(files: readonly object[]): string[]
  }
  const here = plansOf(files)
  await page.goto('/api/health')
  await page.addScriptTag({ content: script })
  const there = await page.evaluate(
    (all) => (globalThis as unknown as { plansOf(files: readonly object[]): string[] }).plansOf(all),
    files,
  )
  expect(new Set(here).size).toBeGreaterThan(files.length / 2)
  here.forEach((plan, at) => expect(there[at] === plan, `plan ${at} of ${files.length}`).toBe(true))
})
