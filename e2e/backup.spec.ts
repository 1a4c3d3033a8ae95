import { readFileSync, rmSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { expect, newFolder, test } from './server'

test('a backup is made, looked into, and put in place of what was changed since', async ({
  page,
  server,
}) => {
  await page.goto('/settings/backups')
  const download = page.waitForEvent('download')
  await page.getByRole('link', { name: 'Make one now' }).click()
  const file = await (await download).path()
  const named = join(server.folder, 'kept.zip')
  writeFileSync(named, readFileSync(file))
  await page.goto('/settings')
  await page.getByLabel('Shop name').fill('Changed Since')
  await page.getByRole('button', { name: 'Save the settings' }).click()
  await expect(page.getByText('Saved.')).toBeVisible()
  await page.goto('/settings/backups')
  await page
    .getByLabel('Backup to look into')
    .setInputFiles({ name: 'x.zip', mimeType: 'application/zip', buffer: Buffer.from('no zip') })
  await expect(page.getByText('Choose a backup of this program')).toBeVisible()
  await page.getByLabel('Backup to look into').setInputFiles(named)
  await expect(page.getByRole('row', { name: /Wheel sets/ })).toBeVisible()
  await page.getByRole('button', { name: 'Put it in place' }).click()
  await expect(page.getByText('It is in place.')).toBeVisible()
  await page.goto('/settings')
  await expect(page.getByLabel('Shop name')).not.toHaveValue('Changed Since')
  await page.goto('/due')
  await expect(page.getByRole('heading', { name: 'Due', exact: true })).toBeVisible()
})

test('backups go to another folder of the machine, and to nonsense they do not', async ({ page }) => {
  const folder = newFolder()
  await page.goto('/settings/backups')
  const field = page.getByLabel('Another folder, best on another disk')
  const keep = page.getByRole('button', { name: 'Keep them there' })
  await field.fill('backups')
  await keep.click()
  await expect(page.getByText('Give the whole path')).toBeVisible()
  await field.fill(folder)
  await keep.click()
  await expect(page.getByText('The next one goes there')).toBeVisible()
  await page.reload()
  await expect(page.getByText(`and of twelve months, in ${folder}.`)).toBeVisible()
  await field.fill('')
  await keep.click()
  await expect(page.getByText(folder)).toHaveCount(0)
  rmSync(folder, { recursive: true, force: true })
})
