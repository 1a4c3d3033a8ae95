import NextLink from 'next/link'
import type { ComponentProps } from 'react'

/**
 * A link to a page of the program. Every page is made anew from the data, so none is fetched ahead: that made whole pages nobody
 * asked for, and a tap that came in the middle of it could be lost.
 */
export function Link(props: Omit<ComponentProps<typeof NextLink>, 'prefetch'>) {
  'use memo'
  return <NextLink {...props} prefetch={false} />
}
