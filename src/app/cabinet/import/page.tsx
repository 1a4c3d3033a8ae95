import type { Metadata } from 'next'
import { familyColumnText } from '@/contracts/cabinetCsv'
import { ImportForm } from '@/ui/cabinet/ImportForm'
import { lookAtImport, takeImport } from '../actions'

export const metadata: Metadata = { title: 'Import' }

export default function ImportPage() {
  return (
    <>
      <header className="place-head">
        <div>
          <h1>Import a cabinet</h1>
          <p className="lead-text">
            Comma or semicolon, decimal point or comma. A product with a known id is replaced. Nothing is
            written before you have seen what changes, and then all of it or nothing.
          </p>
        </div>
      </header>
      <ImportForm look={lookAtImport} take={takeImport} />
      <details className="mt-4">
        <summary>Families by their name in a table</summary>
        <p className="soft">{familyColumnText}.</p>
      </details>
    </>
  )
}
