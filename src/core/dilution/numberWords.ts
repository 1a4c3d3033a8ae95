const units: Record<string, number> = {
  zero: 0, one: 1, two: 2, three: 3, four: 4, five: 5, six: 6, seven: 7, eight: 8, nine: 9, ten: 10,
  eleven: 11, twelve: 12, thirteen: 13, fourteen: 14, fifteen: 15, sixteen: 16, seventeen: 17,
  eighteen: 18, nineteen: 19,
} // prettier-ignore
const tens: Record<string, number> = {
  twenty: 20, thirty: 30, forty: 40, fifty: 50, sixty: 60, seventy: 70, eighty: 80, ninety: 90,
} // prettier-ignore
const fractions: Record<string, number> = {
  half: 1 / 2, third: 1 / 3, quarter: 1 / 4, halves: 1 / 2, thirds: 1 / 3, quarters: 1 / 4,
} // prettier-ignore

/** A number spelled out at the start of `words`, and how many words it took; null when there is none. */
export function readNumberWords(words: readonly string[]): { value: number; length: number } | null {
  let value = 0
  let at = 0
  let seen = false
  for (; at < words.length; at += 1) {
    const word = words[at] ?? ''
    const next = words[at + 1] ?? ''
    if (word in units || word in tens) {
      // "twenty five" goes on; "four five" does not.
      if (seen && !(word in units && value % 100 >= 20 && value % 10 === 0) && value % 100 !== 0) break
      value += units[word] ?? tens[word] ?? 0
      seen = true
    } else if (word === 'hundred' || word === 'thousand') {
      const scale = word === 'hundred' ? 100 : 1000
      value = (seen ? value : 1) * scale
      seen = true
    } else if (word === 'and' && seen && (next in units || next in tens)) {
      continue
    } else if (
      word === 'and' &&
      seen &&
      (next === 'a' || next === 'one') &&
      (words[at + 2] ?? '') in fractions
    ) {
      return { value: value + (fractions[words[at + 2] ?? ''] ?? 0), length: at + 3 }
    } else if (word in fractions) {
      // "half" alone, or "three quarters".
      return { value: (seen ? value : 1) * (fractions[word] ?? 0), length: at + 1 }
    } else break
  }
  return seen ? { value, length: at } : null
}
