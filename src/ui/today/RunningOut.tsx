import { useFormats } from '@/i18n/useFormats'
import { useTranslations } from 'next-intl'
import type { Product } from '@/core/chemistry/product'

interface RunningOutProps {
  readonly products: readonly Pick<Product, 'id' | 'name' | 'stockMillilitres' | 'packMillilitres'>[]
}

/** Products that are worth ordering. */
export function RunningOut({ products }: RunningOutProps) {
  const formats = useFormats()
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
                left: formats.volume(product.stockMillilitres),
                pack: formats.volume(product.packMillilitres),
              })}
            </span>
          </li>
        ))}
      </ul>
    </>
  )
}
