/** Places below the cabinet that have names of their own; a product or tool may be called the same. */
const places = ['new', 'import', 'tools']
const mark = '~'

/** The last part of the address of a product or tool. */
export const pathOfId = (id: string): string =>
  encodeURIComponent(places.includes(id) || id.startsWith(mark) ? `${mark}${id}` : id)

/** The product or tool that an address names. */
export function idOfPath(part: string): string {
  const id = decodeURIComponent(part)
  return id.startsWith(mark) ? id.slice(mark.length) : id
}
