import type { Formats } from '@/i18n/formats'
import { useFormats } from '@/i18n/useFormats'
import type { Translator } from '@/i18n/translator'
import { useTranslations } from 'next-intl'
import { estimate } from '@/core/estimates/houseEstimates'
import type { JobFile } from '@/contracts/jobFile'
import { Link } from '@/ui/Link'
import { ConditionsPanel } from '../conditions/ConditionsPanel'
import type { Devices } from '../conditions/useDevices'
import { DayPanel } from '../conditions/DayPanel'
import { placeOf } from '../conditions/place'
import { heaviest, loadsOfEntries } from '../intake/loads'
import { drawnWheels } from '../wheel-drawing/drawnWheel'
import { Stance } from '../wheel-drawing/Stance'
import { WheelDrawing } from '../wheel-drawing/WheelDrawing'
import { Deeper } from './Deeper'
import { SoilCourses } from './SoilCourses'
import type { PlanState } from './usePlan'

interface PlanSideProps {
  readonly wheelSetId: string
  readonly current: Pick<PlanState, 'plan' | 'file' | 'setConditions' | 'setPeople'>
  readonly canChange: boolean
  readonly devices: Devices
}

const conditionsHint = ({ conditions, crew }: JobFile, t: Translator, formats: Formats): string =>
  t('plan.conditionsHint', {
    temperature: formats.quantity(conditions.airCelsius, 'temperature'),
    place: t(`terms.place.${placeOf(conditions)}`),
    people: crew.people,
  })

/** The wheels with their dirt, the weather and who works, and what each stage leaves. */
export function PlanSide({ wheelSetId, current, canChange, devices }: PlanSideProps) {
  'use memo'
  const t = useTranslations()
  const formats = useFormats()

  const { plan, file, setConditions, setPeople } = current
  const positions = file.corners.map(({ position }) => position)
  return (
    <section className="plan-side" aria-label={t('plan.wheels.label')}>
      <h2>
        <Link href={`/wheels/${wheelSetId}`}>{file.vehicle.name}</Link>, {file.wheelSet.name}
      </h2>
      <p className="soft">{t(`terms.service.${plan.service}`)}</p>
      <Stance wheels={drawnWheels(file.corners)}>
        {(wheel) => {
          const corner = file.corners.find(({ position }) => position === wheel.position)
          const loads = loadsOfEntries(corner?.loads ?? [])
          return (
            <>
              <WheelDrawing
                {...wheel}
                id={wheel.position}
                label={t('plan.wheels.drawing', { wheel: t(`terms.position.${wheel.position}`) })}
                loads={loads}
              />
              <h3>{t(`terms.position.${wheel.position}`)}</h3>
              <p className="soft">
                {heaviest(loads)
                  .map(({ soil, grade }) => `${t(`terms.grade.${grade}`)} ${t(`terms.soil.${soil}`)}`)
                  .join(', ') || t('plan.wheels.nothingGraded')}
              </p>
            </>
          )
        }}
      </Stance>
      <p className="soft mt-3">
        {t.rich('plan.wheels.asGraded', {
          canChange: String(canChange),
          link: (words) => <Link href={`/wheels/${wheelSetId}/intake`}>{words}</Link>,
        })}
      </p>
      <Deeper title={t('plan.conditions')} hint={conditionsHint(file, t, formats)}>
        <ConditionsPanel
          conditions={file.conditions}
          people={file.crew.people}
          positions={positions}
          timings={plan.timings}
          okCelsius={estimate('coolEnoughCelsius', file.estimates)}
          devices={devices}
          change={canChange ? setConditions : null}
          setPeople={canChange ? setPeople : null}
        />
        <DayPanel corners={file.corners} conditions={file.conditions} estimates={file.estimates} />
      </Deeper>
      <SoilCourses plan={plan} positions={positions} />
    </section>
  )
}
