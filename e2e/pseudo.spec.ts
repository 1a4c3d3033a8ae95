import { cpSync, readdirSync, rmSync } from 'node:fs'
import type { Page } from '@playwright/test'
import { firstJob, firstSet, places, placesOf } from './places'
import { expect, newFolder, startServer, test } from './server'

// In the language of the tests every message is a third longer and stands between marks: what has no room shows, and so does what is
// missing here. Names that people gave, and sentences of a plan, are not messages of the interface.

const namespaces = readdirSync('messages/en')
  .filter((file) => file.endsWith('.json'))
  .map((file) => file.slice(0, -'.json'.length))
const keys = new RegExp(`(?<![\\w/.-])(?:${namespaces.join('|')})\\.[a-z]\\w*(?:\\.\\w+)*`)

/** What is wrong with how a page says what it says. */
async function faultsOf(page: Page, path: string): Promise<string[]> {
  await page.goto(path)
  await page.waitForLoadState('networkidle')
  const { text, wide, cut } = await page.evaluate(() => {
    for (const details of document.querySelectorAll('details')) details.open = true
    const said = [...document.querySelectorAll('[aria-label], [title], [placeholder], [alt]')].flatMap(
      (element) =>
        ['aria-label', 'title', 'placeholder', 'alt'].map((name) => element.getAttribute(name) ?? ''),
    )
    const holders = [
      ...document.querySelectorAll<HTMLElement>('a, button, label, legend, summary, h1, h2, h3, th'),
    ]
    return {
      text: [document.body.innerText, ...said].join('\n'),
      wide: document.documentElement.scrollWidth - window.innerWidth,
      cut: holders
        .filter((element) => {
          const { overflowX } = getComputedStyle(element)
          const isHidden = element.closest('.visually-hidden, [hidden]') !== null || element.offsetWidth <= 1
          return !isHidden && overflowX !== 'visible' && element.scrollWidth > element.clientWidth + 1
        })
        .map((element) => element.innerText.slice(0, 60)),
    }
  })
  const key = keys.exec(text)?.[0]
  return [
    ...(key ? [`${path}: no words for ${key}`] : []),
    ...(wide > 0 ? [`${path}: ${wide} px too wide`] : []),
    ...cut.map((words) => `${path}: cut off, ${words}`),
  ]
}

for (const [width, height] of [
  [390, 844],
  [1280, 800],
] as const)
  test(`longer words have room everywhere at ${width} pixels, and every message is there`, async ({
    browser,
  }) => {
    test.setTimeout(300_000)
    const folder = newFolder()
    cpSync(process.env.EVEN_SPOKE_TEST_DEMO ?? '', folder, { recursive: true })
    const server = await startServer(folder, false, { EVEN_SPOKE_LANGUAGE: 'en-XA' })
    const page = await browser.newPage({ baseURL: server.address, viewport: { width, height } })
    const [set, job] = [await firstSet(page), await firstJob(page)]
    const all = [
      ...places,
      ...placesOf.set.map((place) => `${set}${place}`),
      ...placesOf.job.map((place) => `${job}${place}`),
    ]
    const faults: string[] = []
    for (const path of all) faults.push(...(await faultsOf(page, path)))
    expect(faults).toEqual([])
    await page.goto('/')
    await expect(page.getByRole('navigation').getByText('⟦Tódáý~~⟧')).toBeVisible()
    await page.close()
    await server.stop()
    rmSync(folder, { recursive: true, force: true })
  })
