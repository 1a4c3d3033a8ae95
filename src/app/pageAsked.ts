import { isUuid } from '@/contracts/fields'

export type SearchParams = Readonly<Record<string, string | string[] | undefined>>

/** A search parameter given once, cut to what a name can be long. */
export const textOf = (value: string | string[] | undefined): string =>
  typeof value === 'string' ? value.slice(0, 100) : ''

const idOf = (value: string | string[] | undefined): string | null =>
  typeof value === 'string' && isUuid(value) ? value : null

/** Which page of a list an address asks for; nonsense asks for the first. */
export const pageAsked = ({ after, before }: SearchParams, size: number) => ({
  size,
  after: idOf(after),
  before: idOf(before),
})
