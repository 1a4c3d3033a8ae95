import { toString } from 'qrcode'

/** A code a camera reads, as SVG. */
export const qrOf = (text: string): Promise<string> => toString(text, { type: 'svg', margin: 1 })
