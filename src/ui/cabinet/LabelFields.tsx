import type { Translator } from '@/i18n/translator'
import { useTranslations } from 'next-intl'
import { longestKinds, longestOf } from '@/core/chemistry/longest'
import { deliveries, protectionWears } from '@/core/chemistry/family'
import { familyIds, familyOf, type FamilyId } from '@/core/chemistry/families'
import { capitalised } from '@/i18n/sayer'
import { ChoiceField } from '../form/ChoiceField'
import { StrengthField } from '../form/StrengthField'
import { TextField } from '../form/TextField'
import { valuesOfFamily, type ProductValues } from './productValues'

interface LabelFieldsProps {
  readonly values: ProductValues
  readonly isNew: boolean
  readonly currency: string
  readonly change: (part: Partial<ProductValues>) => void
  readonly fixOf: (...paths: string[]) => string | undefined
}

/** What stays where a product turns out to be of another family: what its label does not say. */
const kept = ({ id, name, packPrice, packMillilitres, stockMillilitres, note, containsFluoride, fluorideChecked }: ProductValues) => ({
  id, name, packPrice, packMillilitres, stockMillilitres, note, containsFluoride, fluorideChecked,
}) // prettier-ignore

function familyHint(id: FamilyId, t: Translator): string {
  const { bleeds, residue, odour } = familyOf(id)
  const also = [
    bleeds && t('cabinet.product.hints.bleeds'),
    residue === 2 && t('cabinet.product.hints.residue'),
    odour === 2 && t('cabinet.product.hints.odour'),
  ]
  return [`${capitalised(t(`terms.familyPurpose.${id}`))}.`, ...also.filter((one) => one !== false)].join(' ')
}

/** What the label says: name, family, strength, dwell, and what it costs. */
export function LabelFields({ values, isNew, currency, change, fixOf }: LabelFieldsProps) {
  const t = useTranslations()

  const family = familyOf(values.family)
  const number = (
    name: 'dwellMin' | 'dwellMax' | 'packMillilitres' | 'packPrice' | 'stockMillilitres',
    label: string,
    ...paths: string[]
  ) => (
    <TextField
      id={name}
      label={label}
      mode="decimal"
      {...(name === 'packMillilitres' || name === 'stockMillilitres' ? { quantity: 'volume' } : {})}
      value={values[name]}
      set={(text) => change({ [name]: text })}
      fix={fixOf(...paths)}
    />
  )
  return (
    <div className="field-grid">
      <TextField
        id="name"
        label={t('cabinet.product.name')}
        value={values.name}
        set={(name) => change({ name })}
        fix={fixOf('name', 'id')}
      />
      <ChoiceField
        id="family"
        label={t('cabinet.product.family')}
        value={values.family}
        choices={familyIds.map((id) => [id, t(`terms.family.${id}`)] as const)}
        set={(id) => change({ ...valuesOfFamily(id), ...kept(values) })}
        hint={familyHint(values.family, t)}
      />
      <StrengthField
        id="strength"
        label={t('cabinet.product.dilution.label')}
        value={values.strength}
        set={(strength) => change({ strength })}
        fix={fixOf('strength')}
        hint={t('cabinet.product.dilution.hint')}
      />
      <ChoiceField
        id="delivery"
        label={t('cabinet.product.delivery')}
        value={values.delivery}
        choices={deliveries
          .filter((delivery) => family.carriers.includes(delivery) || delivery === values.delivery)
          .map((delivery) => [delivery, t(`terms.delivery.${delivery}`)])}
        set={(delivery) => change({ delivery })}
      />
      {number('dwellMin', t('cabinet.product.dwellMin'), 'dwellSeconds.min')}
      {number('dwellMax', t('cabinet.product.dwellMax'), 'dwellSeconds.max', 'dwellSeconds')}
      {family.purpose === 'clean' && (
        <ChoiceField
          id="longest"
          label={t('cabinet.product.longest.label')}
          value={values.longest ?? ''}
          choices={[
            [
              '',
              t('cabinet.product.longest.asType', {
                meaning: t(`terms.longest.${longestOf({ family: values.family })}`),
              }),
            ],
            ...longestKinds.map((kind) => [kind, t(`terms.longest.${kind}`)] as const),
          ]}
          set={(longest) => change({ longest })}
        />
      )}
      {number('packMillilitres', t('cabinet.product.packMillilitres'), 'packMillilitres')}
      {number('packPrice', t('cabinet.product.packPrice', { currency }), 'packPriceMinor')}
      {isNew && number('stockMillilitres', t('cabinet.product.stockMillilitres'), 'stockMillilitres')}
      {family.purpose === 'clean' && (
        <ChoiceField
          id="wear"
          label={t('cabinet.product.wear.label')}
          value={values.wear}
          choices={[
            ['', t('cabinet.product.wear.asType', { wear: t(`terms.wear.${family.wear}`) })],
            ...protectionWears.map((wear) => [wear, t(`terms.wear.${wear}`)] as const),
          ]}
          set={(wear) => change({ wear })}
        />
      )}
    </div>
  )
}
