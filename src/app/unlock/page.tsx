import { useTranslations } from 'next-intl'
import { titled } from '@/i18n/titled'
import { UnlockForm } from '@/ui/pairing/UnlockForm'

export const dynamic = 'force-dynamic'
export const generateMetadata = titled('access.unlock.page')

export default function UnlockPage() {
  const t = useTranslations()

  return (
    <>
      <header className="place-head">
        <div>
          <h1>{t('access.unlock.title')}</h1>
          <p className="lead-text">{t('access.unlock.lead')}</p>
        </div>
      </header>
      <UnlockForm />
    </>
  )
}
