'use client'

import {
  BookOpen,
  CalendarClock,
  CircleDot,
  ClipboardList,
  Ellipsis,
  FlaskConical,
  Package,
  Settings,
  Sun,
} from 'lucide-react'
import { Link } from '@/ui/Link'
import { usePathname } from 'next/navigation'
import { mayOpen, type DeviceRole } from '@/gate/roles'
import { mainPlaces, morePlaces, type PlaceName } from './places'

const icons: Record<PlaceName, typeof Sun> = {
  Today: Sun,
  Wheels: CircleDot,
  Due: CalendarClock,
  Log: ClipboardList,
  Cabinet: Package,
  Mixing: FlaskConical,
  Rules: BookOpen,
  Settings: Settings,
  More: Ellipsis,
}

/** Links to the places, the current one marked. Jobs belong to Today. */
export function PlaceLinks({ role }: { readonly role: DeviceRole }) {
  const path = usePathname()
  const may = ({ href }: { readonly href: string }) => mayOpen(role, href)
  const isHere = (href: string) =>
    href === '/' ? path === '/' || path.startsWith('/jobs') : path.startsWith(href)
  const link = (href: string, name: PlaceName, className: string, here: boolean) => {
    const Icon = icons[name]
    return (
      <Link
        key={href}
        href={href}
        className={`frame-link ${className}`}
        aria-current={here ? 'page' : undefined}
      >
        <Icon aria-hidden />
        {name}
      </Link>
    )
  }
  return (
    <>
      {mainPlaces.filter(may).map(({ href, name }) => link(href, name, '', isHere(href)))}
      {morePlaces.filter(may).map(({ href, name }) => link(href, name, 'on-desk', isHere(href)))}
      {link('/more', 'More', 'on-phone', path === '/more' || morePlaces.some(({ href }) => isHere(href)))}
    </>
  )
}
