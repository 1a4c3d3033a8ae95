import type { Metadata } from 'next'
import Link from 'next/link'
import { database } from '@/data/connection'
import { readSettings } from '@/data/queries/settings'
import { SettingsForm } from '@/ui/settings/SettingsForm'
import { saveSettings } from './actions'

export const dynamic = 'force-dynamic'
export const metadata: Metadata = { title: 'Settings' }

export default async function SettingsPage() {
  return (
    <>
      <header className="place-head">
        <div>
          <h1>Settings</h1>
          <p className="lead-text">Plans made from now on follow these, and say which of them decided.</p>
        </div>
        <div className="chips">
          <Link href="/settings/phones" className="btn btn-outline-secondary" prefetch={false}>
            Phones and tablets
          </Link>
          <Link href="/settings/backups" className="btn btn-outline-secondary" prefetch={false}>
            Backups
          </Link>
        </div>
      </header>
      <SettingsForm initial={await readSettings(await database())} save={saveSettings} />
    </>
  )
}
