import type { Metadata } from 'next'
import { Link } from '@/ui/Link'
import { backupFolder, listBackups } from '@/services/backup/dailyBackup'
import { RestorePanel } from '@/ui/backup/RestorePanel'

export const dynamic = 'force-dynamic'
export const metadata: Metadata = { title: 'Backups' }

const megabytes = (bytes: number): string => `${(bytes / 1_000_000).toFixed(1)} MB`

export default function BackupsPage() {
  const kept = listBackups()
  return (
    <>
      <header className="place-head">
        <div>
          <h1>Backups</h1>
          <p className="lead-text">
            One file with everything, in open formats. Keep one on another disk.{' '}
            <Link href="/settings">Settings</Link>
          </p>
        </div>
        <a className="btn btn-primary" href="/api/backup" download>
          Make one now
        </a>
      </header>
      <div className="phones">
        <section aria-labelledby="kept">
          <div className="section-head">
            <h2 id="kept">Made by itself</h2>
            <span className="count">{kept.length}</span>
          </div>
          <p className="py-2">
            One a day while the program runs: the last of fourteen days and of twelve months, in{' '}
            {backupFolder()}.
          </p>
          <ul className="rows">
            {kept.map(({ name, bytes }) => (
              <li key={name} className="row-item stock-row">
                <span>{name}</span>
                <span className="number">{megabytes(bytes)}</span>
              </li>
            ))}
          </ul>
        </section>
        <section aria-labelledby="restore">
          <div className="section-head">
            <h2 id="restore">Put one in place</h2>
          </div>
          <RestorePanel />
        </section>
      </div>
    </>
  )
}
