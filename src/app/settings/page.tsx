import { getTranslations } from 'next-intl/server'
import { titled } from '@/i18n/titled'
import { Link } from '@/ui/Link'
import { database } from '@/services/records'
import { readStoredSettings } from '@/services/settings'
import { ProblemAlert } from '@/ui/form/ProblemAlert'
import { DeviceRegion } from '@/ui/settings/DeviceRegion'
import { SettingsForm } from '@/ui/settings/SettingsForm'
import { hasOwnLanguage } from '../pageLanguage'
import { keepSettings } from './actions'

export const dynamic = 'force-dynamic'
export const generateMetadata = titled('settings.title')

export default async function SettingsPage() {
  const t = await getTranslations()

  const { settings, unreadable, version } = await readStoredSettings(await database())
  return (
    <>
      <header className="place-head">
        <div>
          <h1>{t('settings.title')}</h1>
          <p className="lead-text">{t('settings.lead')}</p>
        </div>
        <div className="chips">
          <Link href="/settings/phones" className="btn btn-outline-secondary">
            {t('access.phones.title')}
          </Link>
          <Link href="/settings/backups" className="btn btn-outline-secondary">
            {t('settings.backups.title')}
          </Link>
        </div>
      </header>
      <ProblemAlert
        problems={unreadable.map((name) => ({
          path: name,
          found: '',
          fix: t('settings.unreadable'),
        }))}
      />
      <SettingsForm initial={settings} version={version} save={keepSettings} />
      <DeviceRegion hasOwn={await hasOwnLanguage()} />
    </>
  )
}
