import { describe, expect, it } from 'vitest'
import { decodeText } from './decodeText'

const text = 'id;name\r\na;Größe für Räder – 5 €\r\n'
const wide = (little: boolean, mark: boolean): Uint8Array => {
  const bytes = Buffer.from(mark ? `\uFEFF${text}` : text, 'utf16le')
  return Uint8Array.from(little ? bytes : bytes.swap16())
}

describe('a text file', () => {
  it.each([
    ['UTF-8', new TextEncoder().encode(text)],
    ['UTF-8 with its mark', new TextEncoder().encode(`\uFEFF${text}`)],
    ['UTF-16, little end first', wide(true, true)],
    ['UTF-16, big end first', wide(false, true)],
    ['UTF-16 without a mark', wide(true, false)],
    ['UTF-16 without a mark, big end first', wide(false, false)],
  ])('in %s comes as it was written', (_, bytes) =>
    expect(decodeText(bytes)).toEqual({ text, isGuessed: false }),
  )

  it('in Windows letters is read, and said to be guessed', () => {
    const bytes = Uint8Array.from([...'a;Gr'].map((sign) => sign.charCodeAt(0)).concat(0xf6, 0xdf, 0x65))
    expect(decodeText(bytes)).toEqual({ text: 'a;Größe', isGuessed: true })
  })

  it('that is empty, or a single sign, is just that', () => {
    expect(decodeText(new Uint8Array())).toEqual({ text: '', isGuessed: false })
    expect(decodeText(Uint8Array.of(65))).toEqual({ text: 'A', isGuessed: false })
  })
})
