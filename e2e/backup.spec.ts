import { say } from './words'
import { readFileSync, rmSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { expect, newFolder, test } from './server'

test('a backup is made, looked into, and put in place of what was changed since', async ({
  page,
  server,
}) => {
  await page.goto('/settings/backups')
  const download = page.waitForEvent('download')
  await page.getByRole('link', { name: say('settings.backups.make') }).click()
  const file = await (await download).path()
  const named = join(server.folder, 'kept.zip')
  writeFileSync(named, readFileSync(file))
  await page.goto('/settings')
  await page.getByLabel(say('settings.shop.name')).fill('Changed Since')
  await page.getByRole('button', { name: say('settings.save') }).click()
  await expect(page.getByText(say('common.saved'))).toBeVisible()
  await page.goto('/settings/backups')
  await page
    .getByLabel(say('settings.backups.restore.file'))
    .setInputFiles({ name: 'x.zip', mimeType: 'application/zip', buffer: Buffer.from('no zip') })
  await expect(page.getByText(say('problems.backup.notWhole'))).toBeVisible()
  await page.getByLabel(say('settings.backups.restore.file')).setInputFiles(named)
  await expect(page.getByRole('row', { name: /Wheel sets/ })).toBeVisible()
  await page.getByRole('button', { name: say('settings.backups.restore.restore') }).click()
  await expect(page.getByText(say('settings.backups.restore.done'))).toBeVisible()
  await page.goto('/settings')
  await expect(page.getByLabel(say('settings.shop.name'))).not.toHaveValue('Changed Since')
  await page.goto('/due')
  await expect(page.getByRole('heading', { name: say('due.title'), exact: true })).toBeVisible()
})

test('backups go to another folder of the machine, and to nonsense they do not', async ({ page }) => {
  const folder = newFolder()
  await page.goto('/settings/backups')
  const field = page.getByLabel(say('settings.backups.folder.label'))
  const keep = page.getByRole('button', { name: say('settings.backups.folder.save') })
  await field.fill('backups')
  await keep.click()
  await expect(page.getByText(say('problems.backup.fullPath'))).toBeVisible()
  await field.fill(folder)
  await keep.click()
  await expect(page.getByText(say('settings.backups.folder.saved'))).toBeVisible()
  await page.reload()
  await expect(page.getByText(say('settings.backups.automatic.explained', { folder }))).toBeVisible()
  await field.fill('')
  await keep.click()
  await expect(page.getByText(folder)).toHaveCount(0)
  rmSync(folder, { recursive: true, force: true })
})
