import type { Metadata } from 'next'
import { Link } from '@/ui/Link'
import { database } from '@/data/connection'
import { readStoredSettings } from '@/data/queries/settings'
import { ProblemAlert } from '@/ui/form/ProblemAlert'
import { SettingsForm } from '@/ui/settings/SettingsForm'
import { keepSettings } from './actions'

export const dynamic = 'force-dynamic'
export const metadata: Metadata = { title: 'Settings' }

export default async function SettingsPage() {
  const { settings, unreadable, version } = await readStoredSettings(await database())
  return (
    <>
      <header className="place-head">
        <div>
          <h1>Settings</h1>
          <p className="lead-text">Plans made from now on follow these, and say which of them decided.</p>
        </div>
        <div className="chips">
          <Link href="/settings/phones" className="btn btn-outline-secondary">
            Phones and tablets
          </Link>
          <Link href="/settings/backups" className="btn btn-outline-secondary">
            Backups
          </Link>
        </div>
      </header>
      <ProblemAlert
        problems={unreadable.map((name) => ({
          path: name,
          found: 'something that cannot be read',
          mend: 'The default holds. Set it again and save; the old value is kept beside it.',
        }))}
      />
      <SettingsForm initial={settings} version={version} save={keepSettings} />
    </>
  )
}
