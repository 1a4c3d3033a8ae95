import { dilutionStyles, writeDilution } from '@/core/dilution'
import { ChoiceField } from '../form/ChoiceField'
import { TextField } from '../form/TextField'
import { equipmentFields, type SettingsValues } from './settingsValues'

type ShopValues = Pick<SettingsValues, 'shop' | 'place' | 'equipment'>

interface ShopFieldsProps {
  readonly value: ShopValues
  readonly change: (value: Partial<ShopValues>) => void
  readonly mendOf: (path: string) => string | undefined
}

const example = { from: 1 / 11, to: 1 / 11 }
const styles = dilutionStyles.map((style) => [style, writeDilution(example, style)] as const)
const ounces = [
  ['', 'ask every time'],
  ['us', 'US'],
  ['imperial', 'imperial'],
] as const
const halves = [
  ['north', 'January'],
  ['south', 'July'],
] as const
const placeLabels = { latitude: 'Latitude, north is positive', longitude: 'Longitude, east is positive' }

/** What the shop is called, how it writes and measures, where it stands, and what it works with. */
export function ShopFields({ value: { shop, place, equipment }, change, mendOf }: ShopFieldsProps) {
  const setShop = (part: Partial<ShopValues['shop']>) => change({ shop: { ...shop, ...part } })
  return (
    <section aria-labelledby="shop">
      <div className="section-head">
        <h2 id="shop">Shop, units, equipment</h2>
      </div>
      <div className="field-grid">
        <TextField
          id="shopName"
          label="Shop name"
          value={shop.shopName}
          mend={mendOf('shopName')}
          set={(shopName) => setShop({ shopName })}
        />
        <TextField
          id="currency"
          label="Currency"
          value={shop.currency}
          maxLength={3}
          mend={mendOf('currency')}
          set={(text) => setShop({ currency: text.toUpperCase() })}
        />
        <ChoiceField
          id="dilutionStyle"
          label="Strengths written as"
          value={shop.dilutionStyle}
          choices={styles}
          set={(dilutionStyle) => setShop({ dilutionStyle })}
        />
        <ChoiceField
          id="ounces"
          label="Ounces and gallons"
          value={shop.ounces}
          choices={ounces}
          set={(unit) => setShop({ ounces: unit })}
        />
        <ChoiceField
          id="northern"
          label="Winter is around"
          value={shop.northern ? 'north' : 'south'}
          choices={halves}
          set={(half) => setShop({ northern: half === 'north' })}
        />
        {(['latitude', 'longitude'] as const).map((key) => (
          <TextField
            key={key}
            id={key}
            label={placeLabels[key]}
            mode="decimal"
            placeholder="for the sun"
            value={place[key]}
            mend={mendOf(`place.${key}`)}
            set={(text) => change({ place: { ...place, [key]: text } })}
          />
        ))}
        {equipmentFields.map(({ path, label }) => (
          <TextField
            key={path}
            id={path}
            label={label}
            mode="decimal"
            value={equipment[path]}
            mend={mendOf(`equipment.${path}`)}
            set={(text) => change({ equipment: { ...equipment, [path]: text } })}
          />
        ))}
      </div>
    </section>
  )
}
