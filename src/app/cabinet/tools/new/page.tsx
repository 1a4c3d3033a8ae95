import type { Metadata } from 'next'
import { ToolForm } from '@/ui/cabinet/ToolForm'
import { saveTool } from '../../actions'

export const metadata: Metadata = { title: 'New tool' }

export default function NewToolPage() {
  return (
    <>
      <header className="place-head">
        <h1>New tool</h1>
      </header>
      <ToolForm tool={null} version={0} save={saveTool.bind(null, null)} />
    </>
  )
}
