import { getTranslations } from 'next-intl/server'
import { titled } from '@/i18n/titled'
import { database } from '@/services/records'
import { findProduct } from '@/services/cabinet'
import { readSettings } from '@/services/settings'
import { ProductForm } from '@/ui/cabinet/ProductForm'
import { valuesOf, valuesOfFamily } from '@/ui/cabinet/productValues'
import { saveProduct } from '../actions'

export const dynamic = 'force-dynamic'
export const generateMetadata = titled('cabinet.product.newPage')

export default async function NewProductPage({
  searchParams,
}: {
  searchParams: Promise<Record<string, string | string[] | undefined>>
}) {
  const t = await getTranslations()

  const { from } = await searchParams
  const db = await database()
  const copied = typeof from === 'string' ? await findProduct(db, from) : null
  return (
    <>
      <header className="place-head">
        <h1>
          {copied ? t('cabinet.product.copyOf', { product: copied.name }) : t('cabinet.product.newPage')}
        </h1>
      </header>
      <ProductForm
        initial={
          copied
            ? {
                ...valuesOf(copied, (await readSettings(db)).currency),
                id: '',
                name: t('cabinet.product.copyName', { product: copied.name }),
              }
            : valuesOfFamily('wheelShampoo')
        }
        isNew
        version={0}
        currency={(await readSettings(db)).currency}
        save={saveProduct.bind(null, null)}
      />
    </>
  )
}
