import { useTranslations } from 'next-intl'
import type { Product } from '@/core/chemistry/product'
import { formatMillilitres } from '@/i18n/format'

interface RunningOutProps {
  readonly products: readonly Pick<Product, 'id' | 'name' | 'stockMillilitres' | 'packMillilitres'>[]
}

/** Products that are worth ordering. */
export function RunningOut({ products }: RunningOutProps) {
  const t = useTranslations()

  if (products.length === 0) return null
  return (
    <>
      <div className="section-head mt-4">
        <h2>{t('today.low.title')}</h2>
      </div>
      <ul className="rows">
        {products.map((product) => (
          <li key={product.id} className="row-item stock-row">
            <span>{product.name}</span>
            <span className="number">
              {t('today.low.left', {
                left: formatMillilitres(product.stockMillilitres),
                pack: formatMillilitres(product.packMillilitres),
              })}
            </span>
          </li>
        ))}
      </ul>
    </>
  )
}
