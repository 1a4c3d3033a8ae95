import { expect, it } from 'vitest'
import * as worker from './pool.worker'
import { tasks } from './tasks'

it('a thread can be asked for everything that the pool does', () => {
  expect(worker).toMatchObject(tasks)
})
