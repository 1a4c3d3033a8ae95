import { describe, expect, it } from 'vitest'
import { reasonOf } from './reasonOf'

describe('why something failed', () => {
  it.each([
    [new Error('the disk is full'), 'the disk is full'],
    [new Error(''), 'no reason was given'],
    [
      new Error('Aborted(). Build with -sASSERTIONS for more info.'),
      'the database engine stopped in the middle of it',
    ],
    [new WebAssembly.RuntimeError('unreachable'), 'the database engine stopped in the middle of it'],
    [{ message: 'from elsewhere' }, 'from elsewhere'],
    [{ errno: 2 }, '{"errno":2}'],
    ['out of paper', 'out of paper'],
    [undefined, 'undefined'],
    [null, 'null'],
  ])('of %o is said in words', (error, words) => expect(reasonOf(error)).toBe(words))
})
