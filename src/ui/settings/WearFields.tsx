import { useFormatter, useTranslations } from 'next-intl'
import Form from 'react-bootstrap/Form'
import { useFormats } from '@/i18n/useFormats'
import { TextField } from '../form/TextField'
import { saltLevels, type SaltLevel } from '@/core/protection/houseWear'

/** What protection and water depend on where the shop stands, as a form holds it. */
export interface WearSettings {
  /** 1 to 12; empty: as usual on this half of the globe. */
  readonly winterMonths: readonly number[]
  readonly salt: SaltLevel
  /** Of the deionising filter; all empty: none. */
  readonly filter: {
    readonly resinLitres: string
    readonly hardnessPpm: string
    readonly litresPerVisit: string
  }
}

interface WearFieldsProps {
  readonly value: WearSettings
  readonly onChange: (value: WearSettings) => void
  readonly fixOf: (path: string) => string | undefined
}

const months = Array.from({ length: 12 }, (_, month) => new Date(Date.UTC(2001, month, 15)))
/** What the contract takes where nothing is said, l. */
const usualLitresPerVisit = 15
const filterFields = ['resinLitres', 'hardnessPpm', 'litresPerVisit'] as const

/** Paths of the fields, for problems that are shown at them. */
export const wearFieldPaths = filterFields.map((key) => `filter.${key}`)

/** Winter months, salt, and the deionising filter. */
export function WearFields({ value, onChange, fixOf }: WearFieldsProps) {
  const t = useTranslations()
  const format = useFormatter()
  const formats = useFormats()

  const toggled = (month: number): number[] =>
    value.winterMonths.includes(month)
      ? value.winterMonths.filter((one) => one !== month)
      : [...value.winterMonths, month].sort((a, b) => a - b)
  return (
    <section aria-labelledby="wear-settings">
      <div className="section-head">
        <h2 id="wear-settings">{t('settings.wear.title')}</h2>
      </div>
      <div className="field-grid">
        <fieldset className="is-wide">
          <legend className="form-label">{t('settings.wear.months')}</legend>
          <div className="chips">
            {months.map((month, index) => (
              <button
                key={index}
                type="button"
                className="chip"
                aria-pressed={value.winterMonths.includes(index + 1)}
                onClick={() => onChange({ ...value, winterMonths: toggled(index + 1) })}
              >
                {format.dateTime(month, { month: 'short', timeZone: 'UTC' })}
              </button>
            ))}
          </div>
        </fieldset>
        <Form.Group controlId="salt">
          <Form.Label>{t('settings.wear.salt')}</Form.Label>
          <Form.Select
            value={value.salt}
            onChange={(event) => onChange({ ...value, salt: event.target.value as SaltLevel })}
          >
            {saltLevels.map((salt) => (
              <option key={salt} value={salt}>
                {t(`settings.wear.saltLevels.${salt}`)}
              </option>
            ))}
          </Form.Select>
        </Form.Group>
        {filterFields.map((key) => (
          <TextField
            key={key}
            id={`filter-${key}`}
            label={t(`settings.wear.${key}`)}
            quantity={key === 'hardnessPpm' ? 'hardness' : 'volume'}
            keptIn={key === 'hardnessPpm' ? undefined : 'litre'}
            value={value.filter[key]}
            placeholder={
              key === 'litresPerVisit'
                ? formats.number(formats.largeVolumeValue(usualLitresPerVisit), 1)
                : t('settings.wear.noFilter')
            }
            fix={fixOf(`filter.${key}`)}
            set={(text) => onChange({ ...value, filter: { ...value.filter, [key]: text } })}
          />
        ))}
      </div>
    </section>
  )
}
