import { usualAir, usualSurface } from '@/ui/conditions/usualTemperatures'
import { useFormats } from '@/i18n/useFormats'
import { useTranslations } from 'next-intl'
import { serviceIds } from '@/core/visit-kinds/service'
import { capitalised } from '@/i18n/sayer'
import { places } from '../conditions/place'
import { ChoiceField } from '../form/ChoiceField'
import { TextField } from '../form/TextField'
import { isDrivable, numberOf, type IntakeValues } from './intakeValues'

interface VisitFieldsProps {
  readonly values: IntakeValues
  readonly change: (part: Partial<IntakeValues>) => void
  /** Kilometres since the last clean, which the expected dirt follows. */
  readonly drive: (text: string) => void
  /** Null: never read. */
  readonly lastReadingKilometres: number | null
  readonly problemAt: (path: string) => string | undefined
}

/** What the visit is for, how far was driven, and the weather at the wheels. */
export function VisitFields({ values, change, drive, lastReadingKilometres, problemAt }: VisitFieldsProps) {
  const formats = useFormats()
  const t = useTranslations()

  const readOdometer = (text: string) => {
    change({ odometer: text })
    const driven = numberOf(text) - (lastReadingKilometres ?? NaN)
    if (isDrivable(driven)) change({ kilometres: String(Math.round(driven)) })
  }
  return (
    <>
      <ChoiceField
        id="service"
        label={t('intake.service')}
        className="field is-wide"
        value={values.service}
        choices={serviceIds.map((id) => [id, t(`terms.service.${id}`)] as const)}
        set={(service) => change({ service })}
      />
      <TextField
        className="field"
        id="kilometres"
        label={t('intake.kilometres')}
        quantity="distance"
        value={values.kilometres}
        set={drive}
        fix={problemAt('kilometres')}
      />
      <TextField
        className="field"
        id="odometer"
        label={t('intake.odometer')}
        quantity="distance"
        value={values.odometer}
        placeholder={
          lastReadingKilometres === null
            ? t('intake.notRead')
            : t('intake.lastReading', { reading: formats.quantity(lastReadingKilometres, 'distance') })
        }
        set={readOdometer}
        fix={problemAt('odometerKilometres')}
      />
      <TextField
        className="field"
        id="air"
        quantity="temperature"
        usual={usualAir}
        label={t('intake.airCelsius')}
        value={values.airCelsius}
        set={(airCelsius) => change({ airCelsius })}
        fix={problemAt('conditions.airCelsius')}
      />
      <TextField
        className="field"
        id="surface"
        quantity="temperature"
        usual={usualSurface}
        label={t('intake.wheelCelsius')}
        value={values.surfaceCelsius}
        placeholder={t('intake.notRead')}
        set={(surfaceCelsius) => change({ surfaceCelsius })}
        fix={problemAt('conditions.surfaceCelsius')}
      />
      <ChoiceField
        id="place"
        label={t('intake.place')}
        className="field"
        value={values.place}
        choices={places.map((place) => [place, capitalised(t(`terms.place.${place}`))] as const)}
        set={(place) => change({ place })}
      />
    </>
  )
}
