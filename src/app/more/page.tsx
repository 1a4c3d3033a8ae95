import type { Metadata } from 'next'
import { Link } from '@/ui/Link'
import { caller } from '../access'
import { mayOpen } from '@/gate/roles'
import { morePlaces } from '@/ui/frame/places'

export const metadata: Metadata = { title: 'More' }

/** Places that have no room in the bar of a phone. */
export default async function MorePage() {
  const role = (await caller())?.role ?? 'bay'
  return (
    <>
      <header className="place-head">
        <h1>More</h1>
      </header>
      <ul className="rows">
        {morePlaces
          .filter(({ href }) => mayOpen(role, href))
          .map(({ href, name, purpose }) => (
            <li key={href} className="row-item more-row">
              <Link href={href}>{name}</Link>
              <span className="soft">{purpose}</span>
            </li>
          ))}
      </ul>
    </>
  )
}
