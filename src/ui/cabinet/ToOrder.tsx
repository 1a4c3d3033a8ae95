import type { Product } from '@/core/chemistry/product'
import { formatMillilitres, formatMoney } from '../format/format'

interface ToOrderProps {
  readonly products: readonly Product[]
  readonly currency: string
}

/** What is running out, with the price of the next pack. */
export function ToOrder({ products, currency }: ToOrderProps) {
  return (
    <section aria-labelledby="order">
      <div className="section-head">
        <h2 id="order">To order</h2>
        <span className="number">{products.length}</span>
      </div>
      {products.length === 0 ? (
        <p className="py-3">Nothing is running out.</p>
      ) : (
        <ul className="rows">
          {products.map((product) => (
            <li key={product.id} className="row-item stock-row">
              <span>{product.name}</span>
              <span className="number">
                {formatMillilitres(product.stockMillilitres)} left,{' '}
                {formatMoney(product.packPriceMinor, currency)} for{' '}
                {formatMillilitres(product.packMillilitres)}
              </span>
            </li>
          ))}
        </ul>
      )}
    </section>
  )
}
