import { useFormats } from '@/i18n/useFormats'
import { useTranslations } from 'next-intl'
import type { Product } from '@/core/chemistry/product'

interface ToOrderProps {
  readonly products: readonly Product[]
  readonly currency: string
}

/** What is running out, with the price of the next pack. */
export function ToOrder({ products, currency }: ToOrderProps) {
  const formats = useFormats()
  const t = useTranslations()

  return (
    <section aria-labelledby="order">
      <div className="section-head">
        <h2 id="order">{t('cabinet.toOrder.title')}</h2>
        <span className="number">{products.length}</span>
      </div>
      {products.length === 0 ? (
        <p className="py-3">{t('cabinet.toOrder.none')}</p>
      ) : (
        <ul className="rows">
          {products.map((product) => (
            <li key={product.id} className="row-item stock-row">
              <span>{product.name}</span>
              <span className="number">
                {t('cabinet.toOrder.line', {
                  stock: formats.volume(product.stockMillilitres),
                  price: formats.money(product.packPriceMinor, currency),
                  pack: formats.volume(product.packMillilitres),
                })}
              </span>
            </li>
          ))}
        </ul>
      )}
    </section>
  )
}
