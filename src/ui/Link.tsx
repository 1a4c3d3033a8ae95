'use client'

import NextLink from 'next/link'
import type { ComponentProps } from 'react'
import { followLink } from './followLink'

interface LinkProps extends Omit<ComponentProps<typeof NextLink>, 'prefetch' | 'href' | 'onNavigate'> {
  readonly href: string
}

/**
 * A link to a page of the program. Every page is made anew from the data, so none is fetched ahead: that made whole pages nobody
 * asked for. A tap that leads nowhere is followed by the browser itself.
 */
export function Link(props: LinkProps) {
  'use memo'
  return <NextLink {...props} prefetch={false} onNavigate={() => followLink(props.href)} />
}
