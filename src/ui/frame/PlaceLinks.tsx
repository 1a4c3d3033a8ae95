'use client'

import { CalendarClock, CircleDot, ClipboardList, Sun } from 'lucide-react'
import Link from 'next/link'
import { usePathname } from 'next/navigation'
import { places } from './places'

const icons = { Today: Sun, Wheels: CircleDot, Due: CalendarClock, Log: ClipboardList }

/** Links to the places, the current one marked. Jobs belong to Today. */
export function PlaceLinks() {
  const path = usePathname()
  return places.map(({ href, name }) => {
    const Icon = icons[name]
    const here = href === '/' ? path === '/' || path.startsWith('/jobs') : path.startsWith(href)
    return (
      <Link
        key={href}
        href={href}
        className="frame-link"
        aria-current={here ? 'page' : undefined}
        prefetch={false}
      >
        <Icon aria-hidden />
        {name}
      </Link>
    )
  })
}
