import type { Metadata } from 'next'
import { Link } from '@/ui/Link'
import { database } from '@/data/connection'
import { listVisits } from '@/data/queries/visits'
import { VisitRows } from '@/ui/log/VisitRows'

export const dynamic = 'force-dynamic'
export const metadata: Metadata = { title: 'Log' }

const pageSize = 25

export default async function LogPage({
  searchParams,
}: {
  searchParams: Promise<Record<string, string | string[] | undefined>>
}) {
  const wanted = Number((await searchParams).page ?? '1')
  const page = Number.isInteger(wanted) && wanted >= 1 && wanted <= 100_000 ? wanted : 1
  const { visits, total } = await listVisits(await database(), { page, pageSize })
  const pages = Math.max(1, Math.ceil(total / pageSize))
  return (
    <>
      <header className="place-head">
        <div>
          <h1>Log</h1>
          <p className="lead-text">
            {total === 0
              ? 'Every finished job is written down here: what was used, how long it took, what it cost, how it went.'
              : `${total} visits, newest first. Minutes are planned hand time, costs are product only.`}
          </p>
        </div>
      </header>
      {total === 0 && <Link href="/">Back to today</Link>}
      <VisitRows visits={visits} now={new Date()} />
      {pages > 1 && (
        <nav className="pager" aria-label="Pages of the log">
          {page > 1 && (
            <Link href={`/log?page=${page - 1}`} className="btn btn-outline-secondary">
              Newer
            </Link>
          )}
          <span>
            Page {page} of {pages}
          </span>
          {page < pages && (
            <Link href={`/log?page=${page + 1}`} className="btn btn-outline-secondary">
              Older
            </Link>
          )}
        </nav>
      )}
    </>
  )
}
