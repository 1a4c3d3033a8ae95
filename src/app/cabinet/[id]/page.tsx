import { getFormats } from '@/i18n/getFormats'
import { getTranslations } from 'next-intl/server'
import { titled } from '@/i18n/titled'
import { currentTime } from '@/clock'
import { Link } from '@/ui/Link'
import { notFound } from 'next/navigation'
import { database } from '@/services/records'
import { findProduct, listMovements } from '@/services/cabinet'
import { readSettings } from '@/services/settings'
import { idOfPath, pathOfId } from '@/ui/cabinet/idPath'
import { Movements } from '@/ui/cabinet/Movements'
import { StockForm } from '@/ui/cabinet/StockForm'
import { ProductForm } from '@/ui/cabinet/ProductForm'
import { valuesOf } from '@/ui/cabinet/productValues'
import type { SearchParams } from '../../pageAsked'
import { archiveProduct, keepStock, saveProduct } from '../actions'
import { ActionButton } from '@/ui/form/ActionButton'

export const dynamic = 'force-dynamic'
export const generateMetadata = titled('cabinet.product.page')

interface Props {
  readonly params: Promise<{ id: string }>
  readonly searchParams: Promise<SearchParams>
}

const movementsShown = 8
/** With all of them asked for; no more than a page can bear. */
const maxMovements = 500

export default async function ProductPage({ params, searchParams }: Props) {
  const formats = await getFormats()
  const t = await getTranslations()

  const id = idOfPath((await params).id)
  const db = await database()
  const product = await findProduct(db, id)
  if (!product) notFound()
  const { currency } = await readSettings(db)
  const shown = (await searchParams).movements === 'all' ? maxMovements : movementsShown
  const movements = await listMovements(db, id, shown + 1)
  return (
    <>
      <header className="place-head">
        <h1>{product.name}</h1>
        <div className="chips">
          <Link href={`/mixing?product=${encodeURIComponent(id)}`} className="btn btn-outline-secondary">
            {t('cabinet.product.mix')}
          </Link>
          <Link href={`/cabinet/new?from=${encodeURIComponent(id)}`} className="btn btn-outline-secondary">
            {t('cabinet.product.duplicate')}
          </Link>
          <ActionButton
            action={archiveProduct.bind(null, id, !product.archived)}
            className="btn btn-outline-secondary"
          >
            {product.archived ? t('cabinet.product.restore') : t('cabinet.product.archive')}
          </ActionButton>
        </div>
      </header>
      <section aria-labelledby="stock" className="mb-4">
        <div className="section-head">
          <h2 id="stock">{t('cabinet.stock.title')}</h2>
          <span className="number">{formats.volume(product.stockMillilitres)}</span>
        </div>
        <StockForm productId={id} packMillilitres={product.packMillilitres} keep={keepStock.bind(null, id)} />
        <Movements movements={movements.slice(0, shown)} now={currentTime()} />
        {movements.length > shown && (
          <p className="py-2">
            {shown === maxMovements ? (
              t('cabinet.stock.lastMovements', { count: maxMovements })
            ) : (
              <Link href={`/cabinet/${pathOfId(id)}?movements=all`}>{t('cabinet.stock.earlier')}</Link>
            )}
          </p>
        )}
      </section>
      <ProductForm
        key={product.version}
        initial={valuesOf(product, currency)}
        isNew={false}
        version={product.version}
        currency={currency}
        save={saveProduct.bind(null, product.version)}
      />
    </>
  )
}
