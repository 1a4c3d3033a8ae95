import type { Product } from '@/core/chemistry/product'
import { formatMillilitres } from '../format/format'

interface RunningOutProps {
  readonly products: readonly Pick<Product, 'id' | 'name' | 'stockMillilitres' | 'packMillilitres'>[]
}

/** Products that are worth ordering. */
export function RunningOut({ products }: RunningOutProps) {
  if (products.length === 0) return null
  return (
    <>
      <div className="section-head mt-4">
        <h2>Running out</h2>
      </div>
      <ul className="rows">
        {products.map((product) => (
          <li key={product.id} className="row-item stock-row">
            <span>{product.name}</span>
            <span className="number">
              {formatMillilitres(product.stockMillilitres)} of {formatMillilitres(product.packMillilitres)}
            </span>
          </li>
        ))}
      </ul>
    </>
  )
}
