import { expect, it } from 'vitest'
import { isOpenToAll, isOpenToWrite, mayOpen, mayWrite } from './roles'

const set = '/wheels/0b1f6a52-8c1e-4c58-9f3a-0d7f5f4f2c11'
const photograph = '/api/photographs/0b1f6a52-8c1e-4c58-9f3a-0d7f5f4f2c11'

it.each([
  [`${set}/photographs`, true, false],
  [`${set}/photographs/0b1f6a52-8c1e-4c58-9f3a-0d7f5f4f2c11`, true, false],
  [photograph, true, false],
  [`/api${set}/photographs`, false, true],
  [`/api${set}/looks`, false, true],
  [`/api${set}/looks/more`, false, false],
  [`${set}/protection`, true, true],
  [`${set}/edit`, false, false],
  ['/cabinet', false, false],
  ['/api/backup', false, false],
])('a device of the bay at %s: opens %s, writes %s', (path, opens, writes) => {
  expect([mayOpen('bay', path), mayWrite('bay', path)]).toEqual([opens, writes])
  expect([mayOpen('owner', path), mayWrite('owner', path)]).toEqual([true, true])
})

it.each([photograph, `${set}/photographs`, `/api${set}/photographs`])(
  'a stranger gets nothing at %s',
  (path) => {
    expect([isOpenToAll(path), isOpenToWrite(path)]).toEqual([false, false])
  },
)
