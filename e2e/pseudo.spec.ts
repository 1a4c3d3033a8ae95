import { cpSync, readdirSync, readFileSync, rmSync } from 'node:fs'
import { join } from 'node:path'
import type { Page } from '@playwright/test'
import { firstJob, firstSet, places, placesOf } from './places'
import { expect, newFolder, startServer, test } from './server'

// In the language of the tests every message is a third longer and stands between marks: what has no room shows, and so does what is
// missing here. Only what people entered stands without marks: names, notes, and the headlines of visits in the log.

const namespaces = readdirSync('messages/en')
  .filter((file) => file.endsWith('.json'))
  .map((file) => file.slice(0, -'.json'.length))
const keys = new RegExp(`(?<![\\w/.-])(?:${namespaces.join('|')})\\.[a-z]\\w*(?:\\.\\w+)*`)

/** Everything that people entered, out of the files the demo is filled from. */
const entered = readdirSync('src/demo/data', { recursive: true, withFileTypes: true })
  .filter((entry) => entry.isFile())
  .map((entry) => readFileSync(join(entry.parentPath, entry.name), 'utf8'))
  .join('\n')

/** Ids of rules, units of estimates, and a shop with its date. */
const notWords = /^[a-z]+(?:-[a-z]+)+$|^minor units\/\w+$|, \d+ \w+ \d{4}$/

/** Sentences without marks that nobody entered. */
function unmarkedIn(text: string): string[] {
  let rest = text
  for (let before = ''; before !== rest;) {
    before = rest
    rest = rest.replace(/⟦[^⟦⟧]*⟧/g, ' ')
  }
  return rest.split('\n').filter((line) => {
    if (notWords.test(line.trim())) return false
    const words = line.match(/[A-Za-z’]{3,}/g) ?? []
    return words.filter((word) => !entered.includes(word)).length >= 2 && words.length >= 3
  })
}

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
    ...unmarkedIn(text).map((line) => `${path}: not from the catalogue, ${line.trim()}`),
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
