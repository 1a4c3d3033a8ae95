import { execFileSync } from 'node:child_process'
import { expect, it } from 'vitest'

const zones = [
  'America/Los_Angeles',
  'UTC',
  'Europe/Berlin',
  'Asia/Kathmandu',
  'Pacific/Auckland',
  'Pacific/Kiritimati',
]

it.each(zones)('a day is that day in %s, also when the clocks change', (zone) => {
  const script = `import { startOfDay } from './src/contracts/day.ts'
    for (const day of ['2026-12-24', '2026-03-29', '2026-10-25', '2026-04-05', '2026-02-28', '2026-12-31']) {
      const at = startOfDay(day)
      const local = [at.getFullYear(), String(at.getMonth() + 1).padStart(2, '0'), String(at.getDate()).padStart(2, '0')].join('-')
      if (local !== day) throw new Error(day + ' became ' + local)
    }`
  const run = () =>
    execFileSync(process.execPath, ['--import', 'tsx', '--input-type=module', '-e', script], {
      env: { ...process.env, TZ: zone },
      stdio: 'pipe',
    })
  expect(run).not.toThrow()
})
