import { longestKinds, longestNames, longestOf } from '@/core/chemistry/longest'
import { deliveries, deliveryNames, protectionWearNames, protectionWears } from '@/core/chemistry/family'
import { familyIds, familyOf, type FamilyId } from '@/core/chemistry/families'
import { capital } from '@/core/words/sayPlan'
import { ChoiceField } from '../form/ChoiceField'
import { TextField } from '../form/TextField'
import { valuesOfFamily, type ProductValues } from './productValues'

interface LabelFieldsProps {
  readonly values: ProductValues
  readonly isNew: boolean
  readonly currency: string
  readonly change: (part: Partial<ProductValues>) => void
  readonly mendOf: (...paths: string[]) => string | undefined
}

const familyChoices = familyIds.map((id) => [id, familyOf(id).name] as const)

/** What stays where a product turns out to be of another family: what its label does not say. */
const kept = ({ id, name, packPrice, packMillilitres, stockMillilitres, note, containsFluoride, fluorideChecked }: ProductValues) => ({
  id, name, packPrice, packMillilitres, stockMillilitres, note, containsFluoride, fluorideChecked,
}) // prettier-ignore

function familyHint(id: FamilyId): string {
  const { purposeText, bleeds, residue, odour } = familyOf(id)
  const also = [
    bleeds && '; turns violet on iron, dark is spent',
    residue === 2 && '; leaves residue in heat',
    odour === 2 && '; strong smell',
  ]
  return `${capital(purposeText)}${also.filter(Boolean).join('')}.`
}

/** What the label says: name, family, strength, dwell, and what it costs. */
export function LabelFields({ values, isNew, currency, change, mendOf }: LabelFieldsProps) {
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
      value={values[name]}
      set={(text) => change({ [name]: text })}
      mend={mendOf(...paths)}
    />
  )
  return (
    <div className="field-grid">
      <TextField
        id="name"
        label="Name"
        value={values.name}
        set={(name) => change({ name })}
        mend={mendOf('name', 'id')}
      />
      <ChoiceField
        id="family"
        label="Family"
        value={values.family}
        choices={familyChoices}
        set={(id) => change({ ...valuesOfFamily(id), ...kept(values) })}
        hint={familyHint(values.family)}
      />
      <TextField
        id="strength"
        label="Strength on the label"
        value={values.strength}
        set={(strength) => change({ strength })}
        mend={mendOf('strength')}
        hint="any way it is written: 1:10 to 1:4, 20 %, neat"
      />
      <ChoiceField
        id="delivery"
        label="Put on with"
        value={values.delivery}
        choices={deliveries
          .filter((delivery) => family.carriers.includes(delivery) || delivery === values.delivery)
          .map((delivery) => [delivery, deliveryNames[delivery]])}
        set={(delivery) => change({ delivery })}
      />
      {number('dwellMin', 'Shortest dwell, seconds', 'dwellSeconds.min')}
      {number('dwellMax', 'Longest dwell, seconds', 'dwellSeconds.max', 'dwellSeconds')}
      {family.purpose === 'clean' && (
        <ChoiceField
          id="longest"
          label="What the longest dwell means"
          value={values.longest ?? ''}
          choices={[
            ['', `as its family: ${longestNames[longestOf({ family: values.family })]}`],
            ...longestKinds.map((kind) => [kind, longestNames[kind]] as const),
          ]}
          set={(longest) => change({ longest })}
        />
      )}
      {number('packMillilitres', 'Pack, ml', 'packMillilitres')}
      {number('packPrice', `Price of the pack, ${currency}`, 'packPriceMinor')}
      {isNew && number('stockMillilitres', 'In stock, ml', 'stockMillilitres')}
      {family.purpose === 'clean' && (
        <ChoiceField
          id="wear"
          label="What it does to protection"
          value={values.wear}
          choices={[
            ['', `as its family: ${protectionWearNames[family.wear]}`],
            ...protectionWears.map((wear) => [wear, protectionWearNames[wear]] as const),
          ]}
          set={(wear) => change({ wear })}
        />
      )}
    </div>
  )
}
