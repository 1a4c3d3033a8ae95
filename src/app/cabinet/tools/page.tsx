import { getFormats } from '@/i18n/getFormats'
import { getTranslations } from 'next-intl/server'
import { titled } from '@/i18n/titled'
import { Plus } from 'lucide-react'
import { pathOfId } from '@/ui/cabinet/idPath'
import { ActionButton } from '@/ui/form/ActionButton'
import { Link } from '@/ui/Link'
import { toolStates } from '@/core/tools/tool'
import { database } from '@/services/records'
import { listTools } from '@/services/cabinet'
import { changeToolState } from '../actions'

export const dynamic = 'force-dynamic'
export const generateMetadata = titled('cabinet.tools.title')

export default async function ToolsPage() {
  const t = await getTranslations()
  const formats = await getFormats()

  const tools = await listTools(await database())
  return (
    <>
      <header className="place-head">
        <div>
          <h1>{t('cabinet.tools.title')}</h1>
          <p className="lead-text">
            {tools.length === 0 ? t('cabinet.tools.empty') : t('cabinet.tools.explained')}
          </p>
        </div>
        <div className="chips">
          <Link href="/cabinet" className="btn btn-outline-secondary">
            {t('cabinet.products')}
          </Link>
          <Link href="/cabinet/tools/new" className="btn btn-primary">
            <Plus aria-hidden size={20} /> {t('cabinet.tool.add')}
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
                {t('cabinet.tools.line', {
                  kind: t(`terms.toolKind.${tool.kind}`),
                  stiffness: tool.stiffness,
                  use: tool.dedicatedTo,
                })}
              </span>
            </div>
            <div className="number">
              {t('cabinet.tools.sizes', {
                diameter: formats.quantity(tool.diameterMillimetres, 'length'),
                squeezed: formats.quantity(tool.squeezedMillimetres, 'length'),
                reach: formats.quantity(tool.reachMillimetres, 'length'),
              })}
            </div>
            <div className="chips" role="group" aria-label={t('cabinet.tools.state', { tool: tool.name })}>
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
