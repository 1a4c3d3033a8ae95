import { inEnglish } from '@/i18n/testEnglish'
import fc from 'fast-check'
import { expect, it } from 'vitest'
import { readJsonText } from './jsonText'

it('reads what JSON can say, with and without a mark in front', () => {
  fc.assert(
    fc.property(fc.jsonValue(), fc.boolean(), (value, hasMark) => {
      const text = JSON.stringify(value)
      expect(readJsonText(hasMark ? `\uFEFF${text}` : text)).toEqual({
        ok: true,
        value: JSON.parse(text) as unknown,
      })
    }),
  )
})

it.each(['', 'null,', '{"a": 1', "{'a': 1}", '# a comment', '\u0000'])(
  'refuses %j and shows how it begins',
  (text) => {
    const read = readJsonText(text)
    expect(read).toMatchObject({ ok: false, problems: [{ path: '', found: JSON.stringify(text) }] })
    if (!read.ok) expect(inEnglish(read.problems)[0]?.fix).toMatch(/^This is not JSON \(/)
  },
)

it('shows no more than the beginning of a long text', () => {
  const read = readJsonText('x'.repeat(5000))
  if (read.ok) throw new Error('read')
  expect(inEnglish(read.problems)[0]?.found.length).toBeLessThan(60)
})

it('turns away what is nested too deeply, but not brackets in a text', () => {
  for (const sign of ['[', '{"a":']) {
    const read = readJsonText(sign.repeat(200_000))
    expect(inEnglish(read)).toMatchObject({ ok: false, problems: [{ found: 'brackets 200,000 deep' }] })
  }
  const text = JSON.stringify({ note: '[{"'.repeat(500) })
  expect(readJsonText(text)).toEqual({ ok: true, value: JSON.parse(text) as unknown })
})
