import type { Page } from '@playwright/test'

/** The pages that stand on their own. */
export const places = [
  '/',
  '/wheels',
  '/wheels/new',
  '/due',
  '/due/lasting',
  '/due/calendar',
  '/due/water',
  '/log',
  '/cabinet',
  '/cabinet/new',
  '/cabinet/grindle-cut',
  '/cabinet/import',
  '/cabinet/tools',
  '/cabinet/tools/new',
  '/mixing',
  '/rules',
  '/rules/glossary',
  '/settings',
  '/settings/phones',
  '/settings/backups',
  '/pair',
  '/more',
]

/** Pages of one set or one job, whichever the lists show first. */
export const placesOf = {
  set: ['', '/edit', '/intake', '/look', '/change', '/protection', '/care', '/photographs'],
  job: ['', '/run', '/sheet'],
}

/** The address of the first thing that a list shows. */
async function firstLink(page: Page, path: string, selector: string): Promise<string> {
  await page.goto(path)
  const link = await page.locator(selector).first().getAttribute('href')
  if (!link) throw new Error(`${path} shows no ${selector}`)
  return link
}

export const firstSet = (page: Page): Promise<string> => firstLink(page, '/wheels', '.set-row')
export const firstJob = (page: Page): Promise<string> => firstLink(page, '/', '.job-row h3 a')
