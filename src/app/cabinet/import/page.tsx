import { useTranslations } from 'next-intl'
import { titled } from '@/i18n/titled'
import { familyColumnText } from '@/contracts/cabinetCsv'
import { ImportForm } from '@/ui/cabinet/ImportForm'
import { lookAtImport, takeImport } from '../actions'

export const generateMetadata = titled('cabinet.import.page')

export default function ImportPage() {
  const t = useTranslations()

  return (
    <>
      <header className="place-head">
        <div>
          <h1>{t('cabinet.import.title')}</h1>
          <p className="lead-text">{t('cabinet.import.explained')}</p>
        </div>
      </header>
      <ImportForm look={lookAtImport} take={takeImport} />
      <details className="mt-4">
        <summary>{t('cabinet.import.types')}</summary>
        <p className="soft">{familyColumnText}.</p>
      </details>
    </>
  )
}
