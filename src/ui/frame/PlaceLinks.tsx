'use client'

import { useTranslations } from 'next-intl'
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
import { mayOpen, type DeviceRole } from '@/access-control/roles'
import { mainPlaces, morePlaces, type PlaceName } from './places'

const icons: Record<PlaceName, typeof Sun> = {
  today: Sun,
  wheels: CircleDot,
  due: CalendarClock,
  log: ClipboardList,
  cabinet: Package,
  mixing: FlaskConical,
  rules: BookOpen,
  settings: Settings,
  more: Ellipsis,
}

/** Links to the places, the current one marked. Jobs belong to Today. */
export function PlaceLinks({ role }: { readonly role: DeviceRole }) {
  const t = useTranslations()

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
        {t(`frame.places.${name}`)}
      </Link>
    )
  }
  return (
    <>
      {mainPlaces.filter(may).map(({ href, name }) => link(href, name, '', isHere(href)))}
      {morePlaces.filter(may).map(({ href, name }) => link(href, name, 'on-desk', isHere(href)))}
      {link('/more', 'more', 'on-phone', path === '/more' || morePlaces.some(({ href }) => isHere(href)))}
    </>
  )
}
