/** A typed number with either decimal mark and either minus; what is none stays as it was typed, and is refused by that. */
export function typedNumber(text: string | undefined): number | string {
  const typed = (text ?? '').replace(/\s/g, '').replace(',', '.').replace('−', '-')
  return typed === '' || !Number.isFinite(Number(typed)) ? (text ?? '') : Number(typed)
}

/** The same of a field that may be left empty. */
export const typedNumberOrNull = (text: string): number | string | null =>
  text.trim() === '' ? null : typedNumber(text)
