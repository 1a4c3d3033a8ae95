import { describe, expect, it } from 'vitest'
import { message } from '@/core/message/message'
import { readSaid, withTexts, writeSaid } from './saidText'

describe('what is said, out of a column of text', () => {
  it.each(['Wash. About 20 min, one person.', '{Hub Wax} all round', '{"key":1}', '[1]', '12', ''])(
    'is the sentence an earlier version stored: %s',
    (sentence) => {
      expect(readSaid(sentence)).toBe(sentence)
    },
  )

  it('is the message this version stored', () => {
    const said = message('order.way.oneThenOther', { wheel: message('terms.wheel.front') })
    expect(readSaid(writeSaid(said))).toEqual(said)
  })
})

it('only the outermost message gets its text, also where it had one', () => {
  const said = message('order.way.oneThenOther', { wheel: message('terms.wheel.front') })
  const stored = { title: { ...said, text: 'as it was' } }
  expect(withTexts(stored, () => 'as it is')).toEqual({ title: { ...said, text: 'as it is' } })
})
