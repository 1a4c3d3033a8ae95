// The plan page while an order is worked out: the longest task on the page's own thread against 50 ms.
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { ensureBuilt } from '../scripts/lib/build.mjs'
import { chromiumArguments, chromiumPath } from '../scripts/lib/chromium.mjs'
import { bin, must, node } from '../scripts/lib/run.mjs'
import { freePort, serve, stop } from '../scripts/lib/serve.mjs'

const limitMilliseconds = 50

export async function benchResponsive() {
  await ensureBuilt()
  const folder = mkdtempSync(join(tmpdir(), 'even-spoke-bench-'))
  await must('The demo data', node([bin.tsx, 'src/demo/seed.ts'], { env: { EVEN_SPOKE_DATA: folder } }))
  const { child, address } = await serve({ dataFolder: folder, port: await freePort(4810) })
  const { chromium } = await import('@playwright/test')
  const browser = await chromium.launch({ executablePath: chromiumPath(), args: chromiumArguments })
  try {
    const page = await browser.newPage({ baseURL: address, viewport: { width: 1280, height: 800 } })
    await page.goto('/')
    await page.locator('.job-row h3 a').first().click()
    await page.waitForURL(/jobs\//)
    await page.locator('.plan[aria-busy=false]').waitFor()
    await page.evaluate(() => {
      window.longTasks = []
      new PerformanceObserver((list) =>
        window.longTasks.push(...list.getEntries().map(({ duration }) => duration)),
      ).observe({ type: 'longtask' })
    })
    const took = []
    for (const name of ['Two people', 'One person', 'Two people']) {
      const before = Date.now()
      await page.getByRole('button', { name }).click()
      await page.locator('.plan[aria-busy=true]').waitFor()
      await page.locator('.plan[aria-busy=false]').waitFor()
      took.push(Date.now() - before)
    }
    const tasks = await page.evaluate(() => window.longTasks)
    const longest = Math.max(0, ...tasks)
    return [
      {
        what: 'longest task on the page while an order is worked out / 50 ms',
        ratio: longest / limitMilliseconds,
        most: 1,
        detail: `${longest.toFixed(0)} ms, ${tasks.length} above 50 ms; worked out and kept in ${took.map((ms) => `${ms} ms`).join(', ')}`,
      },
    ]
  } finally {
    await browser.close()
    await stop(child)
    rmSync(folder, { recursive: true, force: true })
  }
}
