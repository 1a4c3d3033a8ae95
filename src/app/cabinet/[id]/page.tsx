import type { Metadata } from 'next'
import { Link } from '@/ui/Link'
import { notFound } from 'next/navigation'
import { database } from '@/data/connection'
import { findProduct } from '@/data/queries/cabinet'
import { readSettings } from '@/data/queries/settings'
import { idOfPath } from '@/ui/cabinet/idPath'
import { ProductForm } from '@/ui/cabinet/ProductForm'
import { valuesOf } from '@/ui/cabinet/productValues'
import { archiveProduct, saveProduct } from '../actions'
import { ActionButton } from '@/ui/form/ActionButton'

export const dynamic = 'force-dynamic'
export const metadata: Metadata = { title: 'Product' }

export default async function ProductPage({ params }: { params: Promise<{ id: string }> }) {
  const id = idOfPath((await params).id)
  const db = await database()
  const product = await findProduct(db, id)
  if (!product) notFound()
  return (
    <>
      <header className="place-head">
        <h1>{product.name}</h1>
        <div className="chips">
          <Link href={`/bench?product=${encodeURIComponent(id)}`} className="btn btn-outline-secondary">
            Mix it
          </Link>
          <Link href={`/cabinet/new?from=${encodeURIComponent(id)}`} className="btn btn-outline-secondary">
            Duplicate
          </Link>
          <ActionButton
            action={archiveProduct.bind(null, id, !product.archived)}
            className="btn btn-outline-secondary"
          >
            {product.archived ? 'Take back' : 'Archive'}
          </ActionButton>
        </div>
      </header>
      <ProductForm
        key={product.version}
        initial={valuesOf(product, (await readSettings(db)).currency)}
        isNew={false}
        version={product.version}
        currency={(await readSettings(db)).currency}
        save={saveProduct.bind(null, product.version)}
      />
    </>
  )
}
