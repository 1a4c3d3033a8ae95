'use client'

import type { Translator } from '@/i18n/translator'
import { useTranslations } from 'next-intl'
import { currentTime } from '@/clock'
import { useRef, useState } from 'react'
import type { EstimateOverrides } from '@/core/estimates/houseEstimates'
import type { ServiceId } from '@/core/visit-kinds/service'
import { expectedLoads, type SinceClean } from '@/core/soils/expectedLoad'
import type { ZoneLoads } from '@/core/soils/zoneLoads'
import type { Position } from '@/core/wheel/position'
import type { ConditionsInput } from '@/contracts/conditions'
import type { IntakeDraft } from '@/contracts/intake'
import { Link } from '@/ui/Link'
import type { FormAction } from '../form/formAction'
import { FormFrame } from '../form/FormFrame'
import { FormStatus } from '../form/FormStatus'
import { SubmitButton } from '../form/SubmitButton'
import { useWritingForm } from '../form/useWritingForm'
import type { DrawnWheel } from '../wheel-drawing/drawnWheel'
import { intakeOf, isDrivable, numberOf, type IntakeValues } from './intakeValues'
import { IntakeWheels, type Spot } from './IntakeWheels'
import type { LoadsByWheel } from './loads'
import { VisitFields } from './VisitFields'
import { ZonePanel } from './ZonePanel'

/** What an intake starts from, worked out from the record. */
export interface IntakeOffer {
  readonly service: ServiceId
  readonly since: SinceClean
  readonly lastVisitAt: Date | null
  readonly loads: readonly { readonly position: Position; readonly loads: ZoneLoads }[]
}

interface IntakeFormProps {
  readonly wheelSetId: string
  readonly title: string
  readonly wheels: readonly DrawnWheel[]
  /** What the record leads to expect; the starting point. */
  readonly offer: IntakeOffer
  /** From the weather feed, else from the last visit. */
  readonly conditions: ConditionsInput
  /** Where they come from, in a sentence. */
  readonly conditionsFrom: string
  readonly ownEstimates: EstimateOverrides
  /** What is due of these wheels soon. */
  readonly due: readonly string[]
  /** Null: never read. */
  readonly lastReadingKilometres: number | null
  readonly plan: FormAction<IntakeDraft>
}

const expectedFrom = ({ lastVisitAt, since }: IntakeOffer, t: Translator): string =>
  lastVisitAt
    ? t('intake.preFilled', { days: since.days, winter: String(since.winter) })
    : t('intake.firstVisit')

/** What the form shows first: what the record leads to expect. */
const startOf = (offer: IntakeOffer, conditions: ConditionsInput): IntakeValues => ({
  loads: Object.fromEntries(offer.loads.map(({ position, loads }) => [position, loads])),
  service: offer.service,
  kilometres: String(offer.since.kilometres),
  touched: false,
  off: [],
  airCelsius: String(conditions.airCelsius ?? 18),
  surfaceCelsius: '',
  odometer: '',
  place: 'shade',
})

/** Problems of these stand at their field. */
const isAtField = (path: string): boolean =>
  path.startsWith('conditions.') || path === 'kilometres' || path === 'odometerKilometres'

/** Intake: the wheels as on the vehicle; tap a zone, grade the soil, copy to the axle or to all, and plan. */
export function IntakeForm(props: IntakeFormProps) {
  const t = useTranslations()

  const { wheelSetId, title, wheels, offer, conditions, due, plan } = props
  const positions = wheels.map(({ position }) => position)
  const form = useWritingForm<IntakeValues>({
    name: ['intake', wheelSetId],
    initial: startOf(offer, conditions),
    inputOf: (typed, requestId) => intakeOf(typed, positions, conditions, requestId, currentTime()),
    send: plan,
  })
  const { values, change } = form
  const [at, setAt] = useState<Spot>({ position: positions[0] ?? 'frontLeft', zone: 'face' })
  const panel = useRef<HTMLElement>(null)
  const grade = (loads: LoadsByWheel) => change({ loads, touched: true })
  const drive = (text: string) => {
    change({ kilometres: text })
    const kilometres = numberOf(text)
    // What was graded by hand stays as it is.
    if (values.touched || !isDrivable(kilometres)) return
    const since = { ...offer.since, kilometres }
    change({
      loads: Object.fromEntries(
        positions.map((position) => [position, expectedLoads(position, since, props.ownEstimates)]),
      ),
    })
  }
  return (
    <FormFrame form={form} className="intake">
      <header className="intake-head">
        <div>
          <h1>{t('intake.title')}</h1>
          <p className="soft">
            {title}. {expectedFrom(offer, t)} {props.conditionsFrom}
          </p>
          {due.length > 0 && <p className="intake-due">{t('intake.alsoDue', { things: due.join('; ') })}</p>}
          <p className="intake-due">
            {t.rich('intake.checkFirst', {
              link: (words) => <Link href={`/wheels/${wheelSetId}/look`}>{words}</Link>,
            })}
          </p>
        </div>
        <div className="intake-foot">
          <VisitFields
            values={values}
            change={change}
            drive={drive}
            lastReadingKilometres={props.lastReadingKilometres}
            problemAt={form.fixOf}
          />
          <SubmitButton form={form} busyWord={t('intake.planning')}>
            {t('intake.plan')}
          </SubmitButton>
        </div>
      </header>
      <IntakeWheels
        wheels={wheels}
        values={values}
        at={at}
        choose={(spot) => {
          setAt(spot)
          // On a phone the grades lie below the wheels.
          panel.current?.scrollIntoView({ block: 'nearest' })
        }}
      />
      <section className="zone-panel" aria-label={t('intake.grades')} ref={panel}>
        <ZonePanel
          values={values}
          positions={positions}
          at={at}
          hasClosedFace={wheels.find(({ position }) => position === at.position)?.wheel.spokeCount === 0}
          choose={(zone) => setAt({ ...at, zone })}
          grade={grade}
          leaveOut={(off) => change({ off })}
        />
        <FormStatus form={form} isAtField={isAtField} />
      </section>
    </FormFrame>
  )
}
