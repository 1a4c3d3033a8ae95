import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import { database } from '@/data/connection'
import { findTool } from '@/data/queries/tools'
import { idOfPath } from '@/ui/cabinet/idPath'
import { ToolForm } from '@/ui/cabinet/ToolForm'
import { discardTool, saveTool } from '../../actions'
import { ActionButton } from '@/ui/form/ActionButton'

export const dynamic = 'force-dynamic'
export const metadata: Metadata = { title: 'Tool' }

export default async function ToolPage({ params }: { params: Promise<{ id: string }> }) {
  const id = idOfPath((await params).id)
  const found = await findTool(await database(), id)
  if (!found) notFound()
  const { tool, version } = found
  return (
    <>
      <header className="place-head">
        <h1>{tool.name}</h1>
        <ActionButton action={discardTool.bind(null, id)} className="btn btn-outline-secondary">
          Throw it away
        </ActionButton>
      </header>
      <ToolForm tool={tool} version={version} save={saveTool.bind(null, version)} />
    </>
  )
}
