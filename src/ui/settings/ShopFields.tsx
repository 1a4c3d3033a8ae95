import { useTranslations } from 'next-intl'
import { dilutionStyles, dilutionStylesOf, writeDilution } from '@/core/dilution/writeDilution'
import { ChoiceField } from '../form/ChoiceField'
import { TextField } from '../form/TextField'
import { equipmentFields, type SettingsValues } from './settingsValues'

type ShopValues = Pick<SettingsValues, 'region' | 'shop' | 'place' | 'equipment'>

interface ShopFieldsProps {
  readonly value: ShopValues
  readonly change: (value: Partial<ShopValues>) => void
  readonly fixOf: (path: string) => string | undefined
}

const example = { from: 1 / 11, to: 1 / 11 }
const ounces = ['', 'us', 'imperial'] as const
const halves = ['north', 'south'] as const

/** What the shop is called, how it writes and measures, where it stands, and what it works with. */
export function ShopFields({ value: { region, shop, place, equipment }, change, fixOf }: ShopFieldsProps) {
  const t = useTranslations()

  const usual: readonly string[] = dilutionStylesOf(region.units.volume === 'metric')
  // A style that the shop has stays a choice, whatever it measures in.
  const styles = dilutionStyles.filter((style) => usual.includes(style) || style === shop.dilutionStyle)
  const setShop = (part: Partial<ShopValues['shop']>) => change({ shop: { ...shop, ...part } })
  return (
    <section aria-labelledby="shop">
      <div className="section-head">
        <h2 id="shop">{t('settings.shop.title')}</h2>
      </div>
      <div className="field-grid">
        <TextField
          id="shopName"
          label={t('settings.shop.name')}
          value={shop.shopName}
          fix={fixOf('shopName')}
          set={(shopName) => setShop({ shopName })}
        />
        <TextField
          id="currency"
          label={t('settings.shop.currency')}
          value={shop.currency}
          maxLength={3}
          fix={fixOf('currency')}
          set={(text) => setShop({ currency: text.toUpperCase() })}
        />
        <ChoiceField
          id="dilutionStyle"
          label={t('settings.shop.dilutionStyle')}
          value={shop.dilutionStyle}
          choices={styles.map((style) => [style, writeDilution(example, style)] as const)}
          set={(dilutionStyle) => setShop({ dilutionStyle })}
        />
        {region.units.volume === 'metric' && (
          <ChoiceField
            id="ounces"
            label={t('settings.shop.ounces')}
            value={shop.ounces}
            choices={ounces.map((unit) => [unit, t(`settings.shop.ounceChoices.${unit || 'ask'}`)] as const)}
            set={(unit) => setShop({ ounces: unit })}
          />
        )}
        <ChoiceField
          id="northern"
          label={t('settings.shop.winter')}
          value={shop.northern ? 'north' : 'south'}
          choices={halves.map((half) => [half, t(`settings.shop.halves.${half}`)] as const)}
          set={(half) => setShop({ northern: half === 'north' })}
        />
        {(['latitude', 'longitude'] as const).map((key) => (
          <TextField
            key={key}
            id={key}
            label={t(`settings.shop.${key}`)}
            mode="decimal"
            placeholder={t('settings.shop.placePlaceholder')}
            value={place[key]}
            fix={fixOf(`place.${key}`)}
            set={(text) => change({ place: { ...place, [key]: text } })}
          />
        ))}
        {equipmentFields.map(({ path, key, quantity, keptIn }) => (
          <TextField
            key={path}
            id={path}
            label={t(`settings.equipment.${key}`)}
            quantity={quantity}
            keptIn={keptIn}
            value={equipment[path]}
            fix={fixOf(`equipment.${path}`)}
            set={(text) => change({ equipment: { ...equipment, [path]: text } })}
          />
        ))}
      </div>
    </section>
  )
}
