import { expect, type Page } from '@playwright/test'

/** Fields a new wheel set needs, as a person types them. */
export const newSet = {
  vehicle: 'Torvane Lark',
  set: 'Summer set',
  tyreCode: '225/45 R17 91W',
  rimWidth: '7.5',
  spokes: '9',
}

/** Opens what lies one look deeper on the plan, unless it is open. */
export async function openDeeper(
  page: Page,
  title: 'Weather and hands' | 'Another way' | 'What is left',
): Promise<void> {
  const part = page.locator('.deeper').filter({ has: page.locator('.deeper-title', { hasText: title }) })
  if (!(await part.evaluate((one) => (one as HTMLDetailsElement).open)))
    await part.locator('> summary').click()
}

/** Works the run to its end: one tap a step. */
export async function workThrough(page: Page, tap: () => Promise<void>): Promise<number> {
  let taps = 0
  const finish = page.getByRole('heading', { name: 'How did it go?' })
  for (;;) {
    if (await finish.isVisible()) return taps
    const before = await page.locator('.run-now h1').textContent()
    const step = await page.locator('.run-state [role=status]').textContent()
    await tap()
    taps += 1
    await expect(async () => {
      if (await finish.isVisible()) return
      const now = await page.locator('.run-now h1').textContent()
      const at = await page.locator('.run-state [role=status]').textContent()
      expect(now !== before || at !== step).toBe(true)
    }).toPass({ intervals: [20, 20, 40, 80, 200] })
    expect(taps).toBeLessThan(200)
  }
}
