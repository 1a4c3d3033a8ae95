import { message } from '@/core/message/message'
import { expect, it } from 'vitest'
import { DataFailure, failureOfFileError, isDataFailure } from './dataFailure'

it('knows a failure made by another copy of the module', () => {
  const foreign = Object.assign(new Error('full'), { name: 'DataFailure', reason: 'diskFull' })
  expect(isDataFailure(foreign)).toBe(true)
  expect(isDataFailure(new DataFailure('locked', message('data.server.busy')))).toBe(true)
  expect(isDataFailure(new Error('DataFailure'))).toBe(false)
})

it.each([
  ['ENOSPC', 'diskFull', 74],
  // What the engine says when a table cannot grow.
  ['53100', 'diskFull', 74],
  ['EACCES', 'unwritable', 73],
  ['EROFS', 'unwritable', 73],
])('%s is said as %s', (code, reason, exitCode) => {
  const failure = failureOfFileError({ code }, '/data')
  expect(failure).toMatchObject({ reason, exitCode })
  expect(failure?.message).toContain('/data')
})

it('leaves other errors alone', () => {
  expect(failureOfFileError({ code: '23505' }, '/data')).toBeNull()
  expect(failureOfFileError(null, '/data')).toBeNull()
})
