import { useTranslations } from 'next-intl'
import { titled } from '@/i18n/titled'
import { ToolForm } from '@/ui/cabinet/ToolForm'
import { saveTool } from '../../actions'

export const generateMetadata = titled('cabinet.tool.newPage')

export default function NewToolPage() {
  const t = useTranslations()

  return (
    <>
      <header className="place-head">
        <h1>{t('cabinet.tool.newPage')}</h1>
      </header>
      <ToolForm tool={null} version={0} save={saveTool.bind(null, null)} />
    </>
  )
}
