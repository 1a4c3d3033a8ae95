import { expect, it, vi } from 'vitest'
import { whenThere } from './whenThere'

it.each([
  [200, 1],
  [401, 1],
  [502, 0],
  [503, 0],
])('answered %d it is done %d times', async (status, times) => {
  const work = vi.fn()
  expect(await whenThere(work, () => Promise.resolve({ status }))).toBe(times === 1)
  expect(work).toHaveBeenCalledTimes(times)
})

it('without an answer nothing is done, and nothing is thrown', async () => {
  const work = vi.fn()
  expect(await whenThere(work, () => Promise.reject(new TypeError('failed to fetch')))).toBe(false)
  expect(work).not.toHaveBeenCalled()
})
