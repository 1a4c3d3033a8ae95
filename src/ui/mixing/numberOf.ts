/** A number as it was typed, with either decimal mark; NaN where there is none. */
export const numberOf = (text: string): number => (text.trim() === '' ? NaN : Number(text.replace(',', '.')))
