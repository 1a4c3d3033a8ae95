import { expect, it } from 'vitest'
import { readEnvironment } from './environment.mjs'

it('nothing set is fine, and so is what the program sets itself', () => {
  expect(readEnvironment({})).toMatchObject({ ok: true })
  expect(readEnvironment({ EVEN_SPOKE_POOL: '/x', EVEN_SPOKE_TEST_DEMO: '/y', PATH: '/bin' })).toMatchObject({ ok: true }) // prettier-ignore
})

it.each([
  ['EVEN_SPOKE_PORT', '80', 'from 1024'],
  ['EVEN_SPOKE_PORT', 'four', 'whole number'],
  ['EVEN_SPOKE_LAN', 'perhaps', 'Set it to 1'],
  ['EVEN_SPOKE_DATABASE_URL', 'mysql://x', 'postgres://name'],
  ['EVEN_SPOKE_BACKUPS', 'backups', 'whole path'],
  ['EVEN_SPOKE_BEHIND_PROXY', 'the proxy', 'addresses or subnets'],
  ['EVEN_SPOKE_NAMES', 'shop<script>', 'comma-separated'],
  ['EVEN_SPOKE_WEATHER_URL', 'weather', 'http://'],
  ['EVEN_SPOKE_LANGUAGE', 'klingon', 'Use en'],
  ['EVEN_SPOKE_RECOVERY', 'all', '--last-good'],
  ['EVEN_SPOKE_DTA', '/data', 'is not known'],
])('%s=%s is named, with what to do', (name, value, says) => {
  const read = readEnvironment({ [name]: value })
  expect(read.ok).toBe(false)
  if (read.ok) return
  expect(read.problems[0]).toContain(name)
  expect(read.problems[0]).toContain(says)
})

it('everything that is wrong is said at once', () => {
  const read = readEnvironment({ EVEN_SPOKE_PORT: 'x', EVEN_SPOKE_LAN: 'y', EVEN_SPOKE_Z: '' })
  expect(!read.ok && read.problems).toHaveLength(3)
})
