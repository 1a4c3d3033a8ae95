import { serviceIds, services } from '@/core/visit-kinds/service'
import { capital } from '@/core/words/sayPlan'
import { placeNames, places } from '../conditions/place'
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

const serviceChoices = serviceIds.map((id) => [id, services[id].name] as const)
const placeChoices = places.map((place) => [place, capital(placeNames[place])] as const)

/** What the visit is for, how far was driven, and the weather at the wheels. */
export function VisitFields({ values, change, drive, lastReadingKilometres, problemAt }: VisitFieldsProps) {
  const readOdometer = (text: string) => {
    change({ odometer: text })
    const driven = numberOf(text) - (lastReadingKilometres ?? NaN)
    if (isDrivable(driven)) change({ kilometres: String(Math.round(driven)) })
  }
  return (
    <>
      <ChoiceField
        id="service"
        label="Service"
        className="field is-wide"
        value={values.service}
        choices={serviceChoices}
        set={(service) => change({ service })}
      />
      <TextField
        className="field"
        id="kilometres"
        label="Kilometres"
        mode="numeric"
        value={values.kilometres}
        set={drive}
        mend={problemAt('kilometres')}
      />
      <TextField
        className="field"
        id="odometer"
        label="Odometer"
        mode="numeric"
        value={values.odometer}
        placeholder={lastReadingKilometres === null ? 'not read' : `was ${lastReadingKilometres}`}
        set={readOdometer}
        mend={problemAt('odometerKilometres')}
      />
      <TextField
        className="field"
        id="air"
        mode="decimal"
        label="Air, °C"
        value={values.airCelsius}
        set={(airCelsius) => change({ airCelsius })}
        mend={problemAt('conditions.airCelsius')}
      />
      <TextField
        className="field"
        id="surface"
        mode="decimal"
        label="Wheel, °C"
        value={values.surfaceCelsius}
        placeholder="not read"
        set={(surfaceCelsius) => change({ surfaceCelsius })}
        mend={problemAt('conditions.surfaceCelsius')}
      />
      <ChoiceField
        id="place"
        label="Place"
        className="field"
        value={values.place}
        choices={placeChoices}
        set={(place) => change({ place })}
      />
    </>
  )
}
