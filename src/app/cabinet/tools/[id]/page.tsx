import { getTranslations } from 'next-intl/server'
import { titled } from '@/i18n/titled'
import { notFound } from 'next/navigation'
import { database } from '@/services/records'
import { findTool } from '@/services/cabinet'
import { idOfPath } from '@/ui/cabinet/idPath'
import { ToolForm } from '@/ui/cabinet/ToolForm'
import { discardTool, saveTool } from '../../actions'
import { ActionButton } from '@/ui/form/ActionButton'

export const dynamic = 'force-dynamic'
export const generateMetadata = titled('cabinet.tool.page')

export default async function ToolPage({ params }: { params: Promise<{ id: string }> }) {
  const t = await getTranslations()

  const id = idOfPath((await params).id)
  const found = await findTool(await database(), id)
  if (!found) notFound()
  const { tool, version } = found
  return (
    <>
      <header className="place-head">
        <h1>{tool.name}</h1>
        <ActionButton action={discardTool.bind(null, id)} className="btn btn-outline-secondary">
          {t('cabinet.tool.delete')}
        </ActionButton>
      </header>
      <ToolForm tool={tool} version={version} save={saveTool.bind(null, version)} />
    </>
  )
}
