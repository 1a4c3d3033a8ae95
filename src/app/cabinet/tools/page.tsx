import { Plus } from 'lucide-react'
import type { Metadata } from 'next'
import { pathOfId } from '@/ui/cabinet/idPath'
import { ActionButton } from '@/ui/form/ActionButton'
import { Link } from '@/ui/Link'
import { toolKindNames, toolStates } from '@/core/tools/tool'
import { database } from '@/data/connection'
import { listTools } from '@/data/queries/tools'
import { changeToolState } from '../actions'

export const dynamic = 'force-dynamic'
export const metadata: Metadata = { title: 'Tools' }

export default async function ToolsPage() {
  const tools = await listTools(await database())
  return (
    <>
      <header className="place-head">
        <div>
          <h1>Tools</h1>
          <p className="lead-text">
            {tools.length === 0
              ? 'Empty: plans use the house kit until the first tool of yours is in.'
              : 'Dropped and worn tools stay in the box until you say they are clean again.'}
          </p>
        </div>
        <div className="chips">
          <Link href="/cabinet" className="btn btn-outline-secondary">
            Products
          </Link>
          <Link href="/cabinet/tools/new" className="btn btn-primary">
            <Plus aria-hidden size={20} /> Add a tool
          </Link>
        </div>
      </header>
      <ul className="rows">
        {tools.map((tool) => (
          <li key={tool.id} className="row-item tool-row">
            <div>
              <Link href={`/cabinet/tools/${pathOfId(tool.id)}`}>{tool.name}</Link>
              <br />
              <span className="soft">
                {toolKindNames[tool.kind]}, {tool.stiffness}, kept for the {tool.dedicatedTo}
              </span>
            </div>
            <div className="number">
              {tool.diameterMillimetres} mm, squeezed {tool.squeezedMillimetres}, reach{' '}
              {tool.reachMillimetres}
            </div>
            <div className="chips" role="group" aria-label={`State of ${tool.name}`}>
              {toolStates.map((state) => (
                <ActionButton
                  key={state}
                  className="chip"
                  pressed={tool.state === state}
                  action={changeToolState.bind(null, tool.id, state)}
                >
                  {state}
                </ActionButton>
              ))}
            </div>
          </li>
        ))}
      </ul>
    </>
  )
}
