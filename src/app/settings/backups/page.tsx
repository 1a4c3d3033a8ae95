import { currentTime } from '@/clock'
import type { Metadata } from 'next'
import { database, dataFolder } from '@/data/connection'
import { isAtDesk } from '@/app/access'
import { Link } from '@/ui/Link'
import { backupFolderOf } from '@/services/backup/backupFolder'
import { backupTrouble } from '@/services/backup/dailyBackup'
import { listBackups } from '@/services/backup/backupsInFolder'
import { photographRoom } from '@/services/photographs/photographRoom'
import { FolderForm } from '@/ui/backup/FolderForm'
import { RestorePanel } from '@/ui/backup/RestorePanel'
import { formatDay, formatMegabytes } from '@/ui/format/format'
import { RoomForm } from '@/ui/photographs/RoomForm'
import { keepFolder, lookBefore, throwAwayBefore } from './actions'

export const dynamic = 'force-dynamic'
export const metadata: Metadata = { title: 'Backups' }

export default async function BackupsPage() {
  const db = await database()
  const folder = await backupFolderOf(db, dataFolder())
  const kept = listBackups(folder.path)
  const room = await photographRoom(db)
  const trouble = backupTrouble()
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
            One a day while the program runs: the last of fourteen days and of twelve months, in {folder.path}
            .
          </p>
          {trouble && (
            <div className="alert alert-warning" role="alert">
              No backup today. {trouble}
            </div>
          )}
          <ul className="rows">
            {kept.map(({ name, bytes }) => (
              <li key={name} className="row-item stock-row">
                <span>{name}</span>
                <span className="number">{formatMegabytes(bytes)}</span>
              </li>
            ))}
          </ul>
          {(await isAtDesk()) && folder.saidBy !== 'start' && (
            <FolderForm chosen={folder.saidBy === 'settings' ? folder.path : ''} keep={keepFolder} />
          )}
        </section>
        <section aria-labelledby="restore">
          <div className="section-head">
            <h2 id="restore">Put one in place</h2>
          </div>
          <RestorePanel />
        </section>
        <section aria-labelledby="photographs">
          <div className="section-head">
            <h2 id="photographs">Photographs</h2>
            <span className="count">{room.count}</span>
          </div>
          <p className="py-2">
            They take {formatMegabytes(room.bytes)} of {formatMegabytes(room.mostBytes)}, and go into every
            backup.{room.oldestAt && ` The first is of ${formatDay(room.oldestAt, currentTime())}.`}
          </p>
          {room.count > 0 && <RoomForm look={lookBefore} throwAway={throwAwayBefore} />}
        </section>
      </div>
    </>
  )
}
