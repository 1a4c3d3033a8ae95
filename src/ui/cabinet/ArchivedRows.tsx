import { useTranslations } from 'next-intl'
import type { Product } from '@/core/chemistry/product'
import { ActionButton, type ActionButtonProps } from '../form/ActionButton'

interface ArchivedRowsProps {
  readonly products: readonly Product[]
  readonly takeBack: (productId: string, archived: false) => ReturnType<ActionButtonProps['action']>
}

/** Products that are kept for the records; each can be taken back. */
export function ArchivedRows({ products, takeBack }: ArchivedRowsProps) {
  const t = useTranslations()

  if (products.length === 0) return null
  return (
    <details className="mt-3">
      <summary>{t('cabinet.archived.title', { count: products.length })}</summary>
      <ul className="rows">
        {products.map((product) => (
          <li key={product.id} className="row-item product-row">
            <span>{product.name}</span>
            <span />
            <ActionButton
              action={takeBack.bind(null, product.id, false)}
              className="link-button"
              label={t('cabinet.archived.restoreProduct', { product: product.name })}
            >
              {t('cabinet.archived.restore')}
            </ActionButton>
          </li>
        ))}
      </ul>
    </details>
  )
}
