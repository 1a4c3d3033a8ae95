import { Link } from './Link'

interface PagerProps {
  readonly label: string
  readonly path: string
  /** What was asked for beside the page; empty ones are left out. */
  readonly query: Readonly<Record<string, string>>
  readonly page: {
    readonly rows: readonly { readonly id: string }[]
    readonly hasEarlier: boolean
    readonly hasLater: boolean
  }
  readonly earlier: string
  readonly later: string
}

/** To the rows before and after those shown. */
export function Pager({ label, path, query, page, earlier, later }: PagerProps) {
  if (!page.hasEarlier && !page.hasLater) return null
  const asked = Object.entries(query).filter(([, value]) => value !== '')
  const to = (name: string, id: string | undefined): string =>
    `${path}?${new URLSearchParams([...asked, [name, id ?? '']]).toString()}`
  return (
    <nav className="pager" aria-label={label}>
      {page.hasEarlier && (
        <Link href={to('before', page.rows[0]?.id)} className="btn btn-outline-secondary">
          {earlier}
        </Link>
      )}
      {page.hasLater && (
        <Link href={to('after', page.rows.at(-1)?.id)} className="btn btn-outline-secondary">
          {later}
        </Link>
      )}
    </nav>
  )
}
