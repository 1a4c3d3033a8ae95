import { useTranslations } from 'next-intl'
import { titled } from '@/i18n/titled'
import { NewWheelSet } from '@/ui/wheel-set/NewWheelSet'
import { saveNewWheelSet } from '../actions'

export const dynamic = 'force-dynamic'
export const generateMetadata = titled('wheelSet.newPage')

export default function NewWheelSetPage() {
  const t = useTranslations()

  return (
    <>
      <header className="place-head">
        <h1>{t('wheelSet.newPage')}</h1>
      </header>
      <NewWheelSet save={saveNewWheelSet} />
    </>
  )
}
