// Takes the pictures of the main views from fresh demo data. `--to FOLDER` for another place, `--only NAME` for one view.
import { mkdirSync, mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { ensureBuilt } from './lib/build.mjs'
import { chromiumArguments, chromiumPath } from './lib/chromium.mjs'
import { bin, must, node, root, say } from './lib/run.mjs'
import { freePort, option, serve, stop } from './lib/serve.mjs'

const desk = { width: 1280, height: 800 }
const phone = { width: 390, height: 844 }

/** Opens the first wheel set with a name in it. */
async function openSet(page, name) {
  await page.goto(`/wheels?q=${encodeURIComponent(name)}`)
  await page.locator('.set-row').first().click()
  await page.waitForURL(/wheels\/[0-9a-f-]{36}$/)
}
async function openJob(page) {
  await page.goto('/')
  await page.locator('.job-row h3 a', { hasText: 'Aldery' }).first().click()
  await page.waitForURL(/jobs\//)
}
/** Taps the best there is once, and waits until it has counted. */
async function tapOnce(page) {
  const settled = await page.locator('.run').getAttribute('data-settled')
  await page.locator('.run-acts [data-best]').click()
  await page.locator(`.run:not([data-settled="${settled}"])`).waitFor()
}
/** Works the first planned job until a tyre was scrubbed, and says that the foam is brown. */
async function workUntilFoam(page) {
  await openJob(page)
  await page.goto(`${page.url()}/run`)
  await page.locator('.run[data-live=true]').waitFor()
  const foam = page.getByRole('group', { name: message('bay.foam.label') })
  for (let taps = 0; taps < 40 && !(await foam.isVisible()); taps += 1) await tapOnce(page)
  await page.getByRole('button', { name: message('bay.foam.brown') }).click()
  await page.locator('.run-sight').waitFor()
  while (!(await foam.isVisible())) await tapOnce(page)
  await page.locator('.run-state [role=status]', { hasText: /^Step/ }).waitFor()
}
/** Works the first planned job until chemistry is on a wheel, then some taps more. */
async function workUntilWet(page, more) {
  await openJob(page)
  await page.goto(`${page.url()}/run`)
  const done = page.locator('.run-acts [data-best]')
  await page.locator('.run[data-live=true]').waitFor()
  for (let taps = 0, wetAt = null; wetAt === null || taps < wetAt + more; taps += 1) {
    if (wetAt === null && (await done.textContent()) === message('bay.button.acts.spray')) wetAt = taps
    await tapOnce(page)
  }
  await page.locator('.run-state [role=status]', { hasText: /^Step/ }).waitFor()
}

/** Plans a black set in the morning sun and shows its order in time. */
async function planInTheSun(page) {
  await openSet(page, 'Halden')
  await page.locator('a[href$="/intake"]').first().click()
  await page.getByLabel(message('intake.service')).selectOption('decontaminate')
  await page.getByRole('button', { name: message('intake.plan') }).click()
  await page.locator('.plan-answer').waitFor()
  const settle = async () => {
    await page.waitForTimeout(700)
    await page.locator('.plan[aria-busy=false]').waitFor()
  }
  await page.locator('.deeper > summary', { hasText: message('plan.conditions') }).click()
  for (const [field, value] of [
    ['airCelsius', '22'],
    ['humidityPercent', '50'],
    ['cloudPercent', '10'],
  ])
    await page.getByLabel(message(`conditions.fields.${field}`), { exact: true }).fill(value)
  await settle()
  await page.getByLabel(message('conditions.begins')).fill('2026-06-20T09:00')
  await page.getByLabel(message('conditions.place')).selectOption('partSun')
  await page.getByRole('button', { name: message('conditions.people.two') }).click()
  await settle()
  await page.locator('.deeper > summary', { hasText: message('plan.timeline.title') }).click()
  await page.evaluate(() =>
    document.querySelector('.timeline').parentElement.scrollIntoView({ block: 'start' }),
  )
  await page.evaluate(() => document.activeElement?.blur())
}

const views = [
  { name: 'today', go: (page) => page.goto('/') },
  { name: 'wheel-sets', go: (page) => page.goto('/wheels') },
  { name: 'wheel-set', go: (page) => openSet(page, 'Corvane') },
  {
    name: 'protection',
    go: async (page) => {
      await openSet(page, 'Sorrel')
      await page.goto(`${page.url()}/protection`)
      await page.locator('.layer-chart canvas').first().waitFor()
    },
  },
  { name: 'plan', go: openJob },
  { name: 'order', go: planInTheSun },
  { name: 'sheet', go: async (page) => {
    await openJob(page)
    await page.goto(`${page.url()}/sheet`)
  } },
  { name: 'look-phone', size: phone, go: async (page) => {
    await openSet(page, 'Aldery')
    await page.goto(`${page.url()}/look`)
  } },
  { name: 'cabinet', go: (page) => page.goto('/cabinet?soil=bondedDust') },
  { name: 'mixing', language: 'en-US', go: (page) => page.goto('/mixing?product=grindle-all-round') },
  { name: 'rules', go: (page) => page.goto('/rules?q=diamond') },
  { name: 'settings', go: (page) => page.goto('/settings') },
  { name: 'phones', go: async (page) => {
    await page.goto('/settings/phones')
    await page.getByRole('button', { name: message('access.phones.allow') }).click()
    await page.getByRole('button', { name: message('access.roles.bay.choice') }).click()
    await page.locator('.pair-spoken').waitFor()
  } },
  { name: 'due', go: (page) => page.goto('/due') },
  { name: 'log', go: (page) => page.goto('/log') },
  { name: 'intake-phone', size: phone, go: async (page) => {
    await openSet(page, 'Mossen')
    await page.locator('a[href$="/intake"]').first().click()
    await page.waitForURL(/intake$/)
  } },
  { name: 'run-phone', size: phone, dark: true, go: (page) => workUntilWet(page, 1) },
  { name: 'run-question', size: phone, go: workUntilFoam },
  { name: 'run', go: (page) => workUntilWet(page, 2) },
] // prettier-ignore

const to = option('to') ?? join(root, 'docs', 'screenshots')
const only = option('only')?.split(',')
mkdirSync(to, { recursive: true })
await ensureBuilt()
const { tsImport } = await import('tsx/esm/api')
const { say: message } = await tsImport('../e2e/words.ts', import.meta.url)
const folder = mkdtempSync(join(tmpdir(), 'even-spoke-pictures-'))
await must('The demo data', node([bin.tsx, 'src/demo/seed.ts'], { env: { EVEN_SPOKE_DATA: folder } }))
const { child, address } = await serve({ dataFolder: folder, port: await freePort(4710) })
const { chromium } = await import('@playwright/test')
const browser = await chromium.launch({ executablePath: chromiumPath(), args: chromiumArguments })
try {
  for (const { name, go, size = desk, dark = false, language } of views) {
    if (only && !only.includes(name)) continue
    const context = await browser.newContext({
      baseURL: address,
      viewport: size,
      locale: 'en-GB',
      colorScheme: dark ? 'dark' : 'light',
      reducedMotion: 'reduce',
    })
    if (language) await context.addCookies([{ name: 'even-spoke-language', value: language, url: address }])
    const page = await context.newPage()
    await go(page)
    await page.evaluate(() => document.fonts.ready)
    await page.waitForTimeout(400)
    await page.screenshot({ path: join(to, `${name}.png`) })
    say(`${name}.png`)
    await context.close()
  }
} finally {
  await browser.close()
  await stop(child)
  rmSync(folder, { recursive: true, force: true })
}
