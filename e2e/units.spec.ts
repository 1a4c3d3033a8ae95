import { cpSync, readdirSync, readFileSync, rmSync } from 'node:fs'
import { join } from 'node:path'
import type { Page } from '@playwright/test'
import { firstJob, firstSet, places, placesOf } from './places'
import { expect, newFolder, startServer, test } from './server'
import { say } from './words'

// Every page in the units and the spelling of its reader, and in no others. What people entered stays as they wrote it.

/** Everything that people entered, out of the files the demo is filled from. */
const entered = readdirSync('src/demo/data', { recursive: true, withFileTypes: true })
  .filter((entry) => entry.isFile())
  .map((entry) => readFileSync(join(entry.parentPath, entry.name), 'utf8'))
  .join('\n')

const number = String.raw`\d[\d.,]*[\s\u00a0\u202f]?`
const foreign = {
  american: new RegExp(
    `${number}(?:m[lL]|[lL]|cl|litres?|liters?|°C|km|mm|cm|kPa|bar|N·m|km/h|m/s|ppm|l/min|g/l|ml/m²)(?![\\w/])|` +
      String.raw`\b(?:tyres?|colours?|grey|kerb\w*|litres?|metres|kilomet\w+|millilit\w+|aluminium|centres?)\b`,
    'i',
  ),
  international: new RegExp(
    `${number}(?:fl oz|oz|gal|qt|°F|mi|mph|psi|lb-ft|gpg|gal/min|in(?! \\d))(?![\\w/])|` +
      String.raw`\b(?:tires?|colors?|gray|curb\w*|liters?|aluminum|centers?)\b`,
    'i',
  ),
}

/** Lines of a page in the words or units of somebody else. */
async function foreignLines(page: Page, path: string, pattern: RegExp): Promise<string[]> {
  await page.goto(path)
  await page.waitForLoadState('networkidle')
  const text = await page.evaluate(() => {
    for (const details of document.querySelectorAll('details')) details.open = true
    // Choices of units name them all.
    for (const choices of document.querySelectorAll('select')) choices.remove()
    const said = [...document.querySelectorAll('[aria-label], [title], [placeholder], [alt]')].flatMap(
      (element) =>
        ['aria-label', 'title', 'placeholder', 'alt'].map((name) => element.getAttribute(name) ?? ''),
    )
    return [document.body.innerText, ...said].join('\n')
  })
  return text.split('\n').flatMap((line) => {
    const found = pattern.exec(line)?.[0]
    // A word can be part of a name; a quantity is nobody's name.
    const isEntered =
      entered.includes(line.trim()) || (!/^\d/.test(found ?? '') && entered.includes(found ?? ''))
    return found === undefined || isEntered ? [] : [`${path}: ${found} in “${line.trim().slice(0, 120)}”`]
  })
}

const readers = [
  ['en-US', 'american'],
  ['en', 'international'],
] as const

for (const [language, english] of readers)
  test(`every page in ${english} units and spelling has no others`, async ({ browser }) => {
    test.setTimeout(300_000)
    const folder = newFolder()
    cpSync(process.env.EVEN_SPOKE_TEST_DEMO ?? '', folder, { recursive: true })
    const server = await startServer(folder, false, { EVEN_SPOKE_LANGUAGE: language })
    const page = await browser.newPage({ baseURL: server.address })
    const [set, job] = [await firstSet(page), await firstJob(page)]
    const all = [
      ...places,
      '/mixing?product=grindle-cut',
      ...placesOf.set.map((place) => `${set}${place}`),
      ...placesOf.job.map((place) => `${job}${place}`),
    ]
    const found: string[] = []
    for (const path of all) found.push(...(await foreignLines(page, path, foreign[english])))
    expect(found).toEqual([])
    await page.close()
    await server.stop()
    rmSync(folder, { recursive: true, force: true })
  })

test('a device has its own units and language, and the shop keeps its own', async ({
  page,
  browser,
  server,
}) => {
  await page.goto('/more')
  const lang = () => page.locator('html')
  await expect(lang()).toHaveAttribute('lang', 'en')
  await page.getByLabel(say('settings.region.device.own')).selectOption('own')
  await page.getByLabel(say('settings.region.english')).selectOption('en-US')
  await expect(lang()).toHaveAttribute('lang', 'en-US')
  await page.goto('/wheels/new')
  await expect(page.getByLabel('Tire code')).toBeVisible()
  // The shop and everybody else measure as before.
  const other = await browser.newPage({ baseURL: server.address })
  await other.goto('/more')
  await expect(other.locator('html')).toHaveAttribute('lang', 'en')
  await other.close()
  await page.goto('/more')
  await page.getByLabel('Units and language here').selectOption('shop')
  await expect(lang()).toHaveAttribute('lang', 'en')
})
