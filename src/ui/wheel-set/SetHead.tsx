import type { ReactNode } from 'react'
import { Link } from '../Link'

interface SetHeadProps {
  readonly title: string
  readonly set: { readonly id: string; readonly vehicleName: string; readonly name: string }
  /** What can be done from here. */
  readonly children?: ReactNode
}

/** Head of a page that is about one side of a wheel set, with the way back to it. */
export function SetHead({ title, set, children }: SetHeadProps) {
  return (
    <header className="place-head">
      <div>
        <h1>{title}</h1>
        <p className="lead-text">
          <Link href={`/wheels/${set.id}`}>
            {set.vehicleName}, {set.name}
          </Link>
        </p>
      </div>
      {children}
    </header>
  )
}
