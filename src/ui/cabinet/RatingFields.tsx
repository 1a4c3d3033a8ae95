import { useTranslations } from 'next-intl'
import { familyOf } from '@/core/chemistry/families'
import { soils } from '@/core/soils/soil'
import { ChoiceField } from '../form/ChoiceField'
import type { ProductValues } from './productValues'

interface RatingFieldsProps {
  readonly values: Pick<ProductValues, 'family' | 'ratings'>
  readonly change: (ratings: ProductValues['ratings']) => void
}

const ratings = ['0', '1', '2', '3', '4'].map((rating) => [rating, rating] as const)

/** What a cleaner takes of each soil, where that differs from its family. */
export function RatingFields({ values, change }: RatingFieldsProps) {
  const t = useTranslations()

  const family = familyOf(values.family)
  if (family.purpose !== 'clean') return null
  return (
    <>
      <h2>{t('cabinet.product.ratings.title')}</h2>
      <p className="soft">{t('cabinet.product.ratings.explained')}</p>
      <div className="rating-grid">
        {soils.map((soil) => (
          <ChoiceField
            key={soil}
            id={`rating-${soil}`}
            label={t(`terms.soil.${soil}`)}
            value={values.ratings[soil] ?? ''}
            choices={[
              ['', t('cabinet.product.ratings.typical', { rating: family.ratings[soil] ?? 0 })],
              ...ratings,
            ]}
            set={(rating) => change({ ...values.ratings, [soil]: rating })}
          />
        ))}
      </div>
    </>
  )
}
