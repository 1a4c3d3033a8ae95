import { useTranslations } from 'next-intl'
import { volumeSystems } from '@/core/units/jug'
import { englishes, unitChoices, type Region, type UnitPreferences } from '@/core/units/region'
import { useFormats } from '@/i18n/useFormats'
import { ChoiceField } from '../form/ChoiceField'
import { jugChoiceOf, jugChoices, withEnglish, withJug, withUnit } from './regionChoices'

interface RegionFieldsProps {
  readonly value: Region
  readonly change: (value: Region) => void
  /** Before the ids of the fields, where they stand twice on a page. */
  readonly prefix?: string
}

type UnitKind = Exclude<keyof UnitPreferences, 'volume'>
const kinds = Object.keys(unitChoices) as UnitKind[]

/** An English with its usual units, and each kind of quantity as it is wanted otherwise. */
export function RegionFields({ value, change, prefix = '' }: RegionFieldsProps) {
  const t = useTranslations()
  const formats = useFormats()
  return (
    <div className="field-grid">
      <ChoiceField
        id={`${prefix}english`}
        label={t('settings.region.english')}
        value={value.english}
        choices={englishes.map((english) => [english, t(`settings.region.englishes.${english}`)] as const)}
        set={(english) => change(withEnglish(english))}
      />
      <ChoiceField
        id={`${prefix}volume`}
        label={t('settings.region.kinds.volume')}
        value={value.units.volume}
        choices={volumeSystems.map((system) => [system, t(`settings.region.systems.${system}`)] as const)}
        set={(system) => change(withUnit(value, 'volume', system))}
      />
      <ChoiceField
        id={`${prefix}jug`}
        label={t('settings.region.jug')}
        value={jugChoiceOf(value.jug)}
        choices={jugChoices(value.jug).map(
          (choice) =>
            [
              choice,
              t(`settings.region.jugs.${choice}`, { step: formats.number(value.jug.stepMillilitres, 1) }),
            ] as const,
        )}
        set={(choice) => change(withJug(value, choice))}
      />
      {kinds.map((kind) => (
        <ChoiceField
          key={kind}
          id={`${prefix}${kind}`}
          label={t(`settings.region.kinds.${kind}`)}
          value={value.units[kind]}
          choices={unitChoices[kind].map((unit) => [unit, formats.symbol(unit)] as const)}
          set={(unit) => change(withUnit(value, kind, unit))}
        />
      ))}
    </div>
  )
}
