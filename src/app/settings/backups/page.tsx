import { getFormats } from '@/i18n/getFormats'
import { getTranslations } from 'next-intl/server'
import { titled } from '@/i18n/titled'
import { currentTime } from '@/clock'
import { database, dataFolder } from '@/services/records'
import { isAtDesk } from '@/app/access'
import { Link } from '@/ui/Link'
import { backupFolderOf, backupTrouble, listBackups } from '@/services/backup'
import { photographRoom } from '@/services/photographs'
import { FolderForm } from '@/ui/backup/FolderForm'
import { RestorePanel } from '@/ui/backup/RestorePanel'
import { RoomForm } from '@/ui/photographs/RoomForm'
import { keepFolder, lookBefore, throwAwayBefore } from './actions'

export const dynamic = 'force-dynamic'
export const generateMetadata = titled('settings.backups.title')

export default async function BackupsPage() {
  const formats = await getFormats()
  const t = await getTranslations()

  const db = await database()
  const folder = await backupFolderOf(db, dataFolder())
  const kept = listBackups(folder.path)
  const room = await photographRoom(db)
  const trouble = backupTrouble()
  return (
    <>
      <header className="place-head">
        <div>
          <h1>{t('settings.backups.title')}</h1>
          <p className="lead-text">
            {t.rich('settings.backups.lead', { link: (words) => <Link href="/settings">{words}</Link> })}
          </p>
        </div>
        <a className="btn btn-primary" href="/api/backup" download>
          {t('settings.backups.make')}
        </a>
      </header>
      <div className="phones">
        <section aria-labelledby="kept">
          <div className="section-head">
            <h2 id="kept">{t('settings.backups.automatic.title')}</h2>
            <span className="count">{kept.length}</span>
          </div>
          <p className="py-2">{t('settings.backups.automatic.explained', { folder: folder.path })}</p>
          {trouble && (
            <div className="alert alert-warning" role="alert">
              {t('settings.backups.automatic.failed', { trouble })}
            </div>
          )}
          <ul className="rows">
            {kept.map(({ name, bytes }) => (
              <li key={name} className="row-item stock-row">
                <span>{name}</span>
                <span className="number">{formats.megabytes(bytes)}</span>
              </li>
            ))}
          </ul>
          {(await isAtDesk()) && folder.saidBy !== 'start' && (
            <FolderForm chosen={folder.saidBy === 'settings' ? folder.path : ''} keep={keepFolder} />
          )}
        </section>
        <section aria-labelledby="restore">
          <div className="section-head">
            <h2 id="restore">{t('settings.backups.restore.title')}</h2>
          </div>
          <RestorePanel />
        </section>
        <section aria-labelledby="photographs">
          <div className="section-head">
            <h2 id="photographs">{t('photos.title')}</h2>
            <span className="count">{room.count}</span>
          </div>
          <p className="py-2">
            {t('photos.room.used', {
              used: formats.megabytes(room.bytes),
              limit: formats.megabytes(room.maxBytes),
              oldest: room.oldestAt ? formats.day(room.oldestAt, currentTime()) : 'none',
            })}
          </p>
          {room.count > 0 && <RoomForm look={lookBefore} throwAway={throwAwayBefore} />}
        </section>
      </div>
    </>
  )
}
