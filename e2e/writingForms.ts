import { mkdirSync } from 'node:fs'
import type { Page } from '@playwright/test'
import { newSet, openRun, planVisit, workThrough } from './jobActions'
import { expect, type AppServer } from './server'
import { like, say } from './words'
import type { WritingFormName } from '@/ui/form/writingForms'

/** How a person works with one of the forms. */
export interface WorkedForm {
  /** Goes to the form. */
  open(page: Page, server: AppServer): Promise<unknown>
  fill(page: Page, server: AppServer): Promise<unknown>
  /** Sees that what was filled in stands there. */
  seen(page: Page, server: AppServer): Promise<unknown>
  send(page: Page): Promise<unknown>
  saved(page: Page): Promise<unknown>
  /** It cannot be sent before what was tapped has arrived. */
  readonly waitsForNetwork?: true
}

const press = (page: Page, name: string | RegExp) => page.getByRole('button', { name }).first().click()
const openSet = async (page: Page, vehicle: string): Promise<string> => {
  await page.goto(`/wheels?q=${encodeURIComponent(vehicle)}`)
  return (await page.locator('.set-row').first().getAttribute('href')) ?? ''
}
const openProtection = async (page: Page) => page.goto(`${await openSet(page, 'Halden')}/protection`)
/** A field by its id, with what is typed there. */
const field = (id: string, text: string) => ({
  fill: (page: Page) => page.locator(`#${id}`).fill(text),
  seen: (page: Page) => expect(page.locator(`#${id}`)).toHaveValue(text),
})
const savedThere = (page: Page) =>
  expect(page.locator('.form-status').getByText(like('common.saved'))).toBeVisible()

/** Every form that writes data. */
export const workedForms: Record<WritingFormName, WorkedForm> = {
  backupFolder: {
    open: (page, { folder }) => {
      mkdirSync(`${folder}-elsewhere`, { recursive: true })
      return page.goto('/settings/backups')
    },
    fill: (page, { folder }) => page.locator('#backup-folder').fill(`${folder}-elsewhere`),
    seen: (page, { folder }) => expect(page.locator('#backup-folder')).toHaveValue(`${folder}-elsewhere`),
    send: (page) => press(page, say('settings.backups.folder.save')),
    saved: (page) => expect(page.getByText(say('settings.backups.folder.saved'))).toBeVisible(),
  },
  bottle: {
    open: (page) => page.goto('/mixing'),
    ...field('mixedBy', 'Hana'),
    send: (page) => press(page, say('mixing.save')),
    saved: (page) => page.waitForURL('**/mixing/*'),
  },
  finish: {
    open: async (page) => {
      if (page.url().endsWith('/run')) return page.goto(page.url())
      await openRun(page, 'Orlen')
      return workThrough(page, () => page.locator('.run-acts [data-best]').click())
    },
    ...field('finish-note', 'Another towel next time.'),
    send: (page) => press(page, say('bay.finish.save')),
    saved: (page) => page.waitForURL('**/log**'),
    waitsForNetwork: true,
  },
  import: {
    open: (page) => page.goto('/cabinet/import'),
    ...field('text', 'id,name,family\nkept,Kept Import,degreaser'),
    send: (page) => press(page, say('cabinet.import.preview')),
    saved: async (page) => {
      await press(page, say('cabinet.import.import'))
      await page.waitForURL('**/cabinet')
    },
  },
  intake: {
    open: async (page) => page.goto(`${await openSet(page, 'Pellam Four')}/intake`),
    fill: async (page) => {
      await page.getByLabel(say('intake.airCelsius')).fill('7')
      await page.getByLabel('road film 3, heavy').first().click()
    },
    seen: async (page) => {
      await expect(page.getByLabel(say('intake.airCelsius'))).toHaveValue('7')
      await expect(page.getByLabel('road film 3, heavy').first()).toHaveAttribute('aria-pressed', 'true')
    },
    send: (page) => press(page, say('intake.plan')),
    saved: (page) => expect(page.getByRole('link', { name: say('plan.head.start') })).toBeVisible(),
  },
  layer: {
    open: openProtection,
    ...field('layer-product', 'Kept Coat'),
    send: (page) => press(page, say('protection.layer.save')),
    saved: savedThere,
  },
  odometer: {
    open: openProtection,
    ...field('odometer', '180000'),
    send: (page) => press(page, say('protection.odometer.save')),
    saved: savedThere,
  },
  plannedFor: {
    open: async (page) => {
      if (page.url().includes('/jobs/')) return page.goto(page.url())
      return planVisit(page, 'Tusker Ridge')
    },
    fill: async (page) => {
      await page.locator('#planned-for').fill('24 Dec 2027 14:30')
      await page.locator('#planned-for').blur()
    },
    seen: (page) => expect(page.locator('#planned-for')).toHaveValue('24 Dec 2027 14:30'),
    send: (page) => press(page, say('plan.plannedFor.save')),
    saved: (page) => expect(page.getByText(say('plan.plannedFor.saved'))).toBeVisible(),
  },
  product: {
    open: (page) => page.goto('/cabinet/new'),
    fill: async (page) => {
      await page.locator('#name').fill('Kept Cleaner')
      await page.locator('#packPrice').fill('12')
    },
    seen: (page) => expect(page.locator('#name')).toHaveValue('Kept Cleaner'),
    send: (page) => press(page, say('cabinet.product.add')),
    saved: (page) => expect(page.locator('.product-row').filter({ hasText: 'Kept Cleaner' })).toHaveCount(1),
  },
  reminder: {
    open: (page) => page.goto('/due'),
    fill: async (page) => {
      await page.locator('#reminder-day').fill('24 Dec 2027')
      await page.locator('#reminder-day').blur()
      await page.locator('#reminder-about').fill('Order gloves')
    },
    seen: async (page) => {
      await expect(page.locator('#reminder-about')).toHaveValue('Order gloves')
      await expect(page.locator('#reminder-day')).toHaveValue('24 Dec 2027')
    },
    send: (page) => press(page, say('due.reminder.save')),
    saved: savedThere,
  },
  renewal: {
    open: openProtection,
    fill: (page) => page.locator('#renewal-kind').selectOption('new'),
    seen: (page) => expect(page.locator('#renewal-kind')).toHaveValue('new'),
    send: (page) => press(page, say('protection.renewal.save')),
    saved: savedThere,
  },
  settings: {
    open: (page) => page.goto('/settings'),
    fill: (page) => page.getByLabel(say('settings.shop.name')).fill('Kept Shop'),
    seen: (page) => expect(page.getByLabel(say('settings.shop.name'))).toHaveValue('Kept Shop'),
    send: (page) => press(page, say('settings.save')),
    saved: savedThere,
  },
  stock: {
    open: (page) => page.goto('/cabinet/hub-wax'),
    ...field('movement-note', 'two cans of the fair'),
    send: (page) => press(page, say('cabinet.stock.save')),
    saved: savedThere,
  },
  tool: {
    open: (page) => page.goto('/cabinet/tools/new'),
    ...field('name', 'Kept Brush'),
    send: (page) => press(page, say('cabinet.tool.add')),
    saved: (page) => expect(page.getByText('Kept Brush')).toHaveCount(1),
  },
  water: {
    open: (page) => page.goto('/due/water'),
    fill: async (page) => {
      await page.locator('#before-ppm').fill('240')
      await page.locator('#after-ppm').fill('3')
    },
    seen: (page) => expect(page.locator('#before-ppm')).toHaveValue('240'),
    send: (page) => press(page, say('due.water.save')),
    saved: savedThere,
  },
  wheelChange: {
    open: async (page) => page.goto(`${await openSet(page, 'Halden')}/change`),
    fill: async (page) => {
      await page.locator('.change-set:not([disabled])').first().click()
      await page.locator('#change-where').fill('rack 4')
    },
    seen: (page) => expect(page.locator('#change-where')).toHaveValue('rack 4'),
    send: (page) => press(page, say('protection.change.save')),
    saved: (page) => expect(page.locator('#change-where')).toHaveValue('rack 4'),
  },
  'wheel-set': {
    open: (page) => page.goto('/wheels/new'),
    fill: async (page) => {
      await page.getByLabel(say('wheelSet.vehicle')).fill(newSet.vehicle)
      await page.getByLabel(say('wheelSet.name.label')).fill(newSet.set)
      await page.getByLabel('Tyre code').fill(newSet.tyreCode)
      await page.getByLabel('Rim width, inches').fill(newSet.rimWidth)
      await page.getByLabel('Spokes', { exact: true }).fill(newSet.spokes)
    },
    seen: (page) => expect(page.getByLabel('Tyre code')).toHaveValue(newSet.tyreCode),
    send: (page) => press(page, say('wheelSet.save')),
    saved: (page) =>
      expect(page.getByRole('heading', { name: `${newSet.vehicle}, ${newSet.set}` })).toBeVisible(),
  },
}
