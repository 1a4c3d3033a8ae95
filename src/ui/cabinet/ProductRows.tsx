import { useFormats } from '@/i18n/useFormats'
import type { Translator } from '@/i18n/translator'
import { useTranslations } from 'next-intl'
import { familyOf } from '@/core/chemistry/families'
import { wearOf, type Product } from '@/core/chemistry/product'
import { isRunningOut, stockShare } from '@/core/chemistry/stockLeft'
import { writeDilution, type DilutionStyle } from '@/core/dilution/writeDilution'
import type { EstimateOverrides } from '@/core/estimates/houseEstimates'
import { Link } from '@/ui/Link'
import { pathOfId } from './idPath'

interface ProductRowsProps {
  readonly products: readonly Product[]
  readonly currency: string
  readonly dilutionStyle: DilutionStyle
  readonly estimates: EstimateOverrides
}

const mildness = (product: Product, t: Translator): string =>
  familyOf(product.family).purpose === 'clean' ? `, ${t(`terms.wear.${wearOf(product)}`)}` : ''

/** The products that plans choose from: what each is, how it is used, and how much of it is left. */
export function ProductRows({ products, currency, dilutionStyle, estimates }: ProductRowsProps) {
  const formats = useFormats()
  const t = useTranslations()

  return (
    <ul className="rows">
      {products.map((product) => (
        <li key={product.id} className="row-item product-row">
          <div>
            <Link href={`/cabinet/${pathOfId(product.id)}`}>{product.name}</Link>
            <br />
            <span className="soft">
              {t(`terms.family.${product.family}`)}, {writeDilution(product.strength, dilutionStyle)}
              {mildness(product, t)}
              {product.containsFluoride && t('cabinet.product.neverPlanned')}
            </span>
          </div>
          <div
            className="stock"
            role="img"
            aria-label={t('cabinet.product.packLeft', { percent: Math.round(stockShare(product) * 100) })}
          >
            <span
              className={isRunningOut(product, estimates) ? 'is-low' : ''}
              style={{ width: `${stockShare(product) * 100}%` }}
            />
          </div>
          <div className="number">
            {formats.volume(product.stockMillilitres)}
            <br />
            <span className="soft">
              {formats.money(product.packPriceMinor, currency)} / {formats.volume(product.packMillilitres)}
            </span>
          </div>
        </li>
      ))}
    </ul>
  )
}
