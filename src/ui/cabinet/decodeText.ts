export interface DecodedText {
  readonly text: string
  /** Where the letters had to be guessed: nobody can know which were meant. */
  readonly isGuessed: boolean
}

const startsWith = (bytes: Uint8Array, ...mark: readonly number[]): boolean =>
  mark.every((byte, at) => bytes[at] === byte)

/** UTF-16 without a mark shows by the zero bytes of ordinary letters: at odd places little, at even ones big end first. */
function utf16Of(bytes: Uint8Array): 'utf-16le' | 'utf-16be' | null {
  if (startsWith(bytes, 0xff, 0xfe)) return 'utf-16le'
  if (startsWith(bytes, 0xfe, 0xff)) return 'utf-16be'
  const looked = bytes.subarray(0, 200)
  const zerosAt = (parity: number): number =>
    looked.filter((byte, at) => byte === 0 && at % 2 === parity).length
  const half = looked.length / 2
  if (half >= 2 && zerosAt(1) > half * 0.7) return 'utf-16le'
  if (half >= 2 && zerosAt(0) > half * 0.7) return 'utf-16be'
  return null
}

/** A text file as spreadsheets write it: UTF-8, UTF-16 with or without its mark, else Windows' western letters. */
export function decodeText(bytes: Uint8Array): DecodedText {
  const wide = utf16Of(bytes)
  if (wide) return { text: new TextDecoder(wide).decode(bytes), isGuessed: false }
  try {
    return { text: new TextDecoder('utf-8', { fatal: true }).decode(bytes), isGuessed: false }
  } catch {
    return { text: new TextDecoder('windows-1252').decode(bytes), isGuessed: true }
  }
}
