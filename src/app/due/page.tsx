import { format } from 'date-fns'
import type { Metadata } from 'next'
import Link from 'next/link'
import { soonestDue, type DueEntry } from '@/core/protection/dueEntry'
import { database } from '@/data/connection'
import { dueList } from '@/services/dueList'
import { DueRows } from '@/ui/due/DueRows'

export const dynamic = 'force-dynamic'
export const metadata: Metadata = { title: 'Due' }

const groupTitle = (entry: DueEntry): string => {
  const due = soonestDue(entry)
  if (due.state === 'renew') return entry.on === 'wheel' ? 'Wheels bare by now' : 'Tyres bare by now'
  return due.state === 'topUp' ? 'Top up now' : format(due.topUpAt, 'MMMM yyyy')
}

export default async function DuePage() {
  const now = new Date()
  const entries = await dueList(await database(), now)
  const groups = new Map<string, DueEntry[]>()
  for (const entry of entries) {
    const title = groupTitle(entry)
    groups.set(title, [...(groups.get(title) ?? []), entry])
  }
  return (
    <>
      <header className="place-head">
        <div>
          <h1>Due</h1>
          <p className="lead-text">
            Worked out from days alone, with the usual life of each kind as a house estimate. A bar that is
            three quarters full wants a light coat, a full one renewing. The axle that is due first stands on
            top.
          </p>
        </div>
      </header>
      {entries.length === 0 && (
        <p>
          Nothing is protected yet. When a job ends with a protection, its date stands here.{' '}
          <Link href="/">Today</Link>
        </p>
      )}
      {[...groups].map(([title, group]) => (
        <section key={title} className="month-head">
          <div className="section-head">
            <h2>{title}</h2>
            <span className="number">{group.length}</span>
          </div>
          <DueRows entries={group} now={now} />
        </section>
      ))}
    </>
  )
}
