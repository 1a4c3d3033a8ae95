'use client'

import type { Translator } from '@/i18n/translator'
import { useTranslations } from 'next-intl'
import { currentTime } from '@/clock'
import { useRef, useState } from 'react'
import Button from 'react-bootstrap/Button'
import type { EstimateOverrides } from '@/core/estimates/houseEstimates'
import type { ServiceId } from '@/core/visit-kinds/service'
import { expectedLoads, type SinceClean } from '@/core/soils/expectedLoad'
import type { ZoneLoads } from '@/core/soils/zoneLoads'
import type { Position } from '@/core/wheel/position'
import type { ConditionsInput } from '@/contracts/conditions'
import type { IntakeDraft } from '@/contracts/intake'
import { Link } from '@/ui/Link'
import type { FormAction } from '../form/formAction'
import { newId } from '../newId'
import { DraftNote } from '../form/DraftNote'
import { ProblemAlert } from '../form/ProblemAlert'
import { useDraft } from '../form/useDraft'
import { useSending } from '../form/useSending'
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

/** Problems of these stand at their field. */
const isAtField = (path: string): boolean =>
  path.startsWith('conditions.') || path === 'kilometres' || path === 'odometerKilometres'

/** Intake: the wheels as on the vehicle; tap a zone, grade the soil, copy to the axle or to all, and plan. */
export function IntakeForm(props: IntakeFormProps) {
  const t = useTranslations()

  const { wheelSetId, title, wheels, offer, conditions, due, plan } = props
  const positions = wheels.map(({ position }) => position)
  const [values, setValues] = useState<IntakeValues>(() => ({
    loads: Object.fromEntries(offer.loads.map(({ position, loads }) => [position, loads])),
    service: offer.service,
    kilometres: String(offer.since.kilometres),
    touched: false,
    off: [],
    airCelsius: String(conditions.airCelsius ?? 18),
    surfaceCelsius: '',
    odometer: '',
    place: 'shade',
  }))
  const [at, setAt] = useState<Spot>({ position: positions[0] ?? 'frontLeft', zone: 'face' })
  const { problems, busy, send } = useSending()
  const [requestId] = useState(newId)
  const draft = useDraft(`intake.${wheelSetId}`, 0, values, setValues)
  const panel = useRef<HTMLElement>(null)
  const change = (part: Partial<IntakeValues>) => setValues((known) => ({ ...known, ...part }))
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
  const submit = () =>
    send(
      () => plan(intakeOf(values, positions, conditions, requestId, currentTime())),
      () => draft.forget(),
    )
  return (
    <form
      className="intake"
      onSubmit={(event) => {
        event.preventDefault()
        submit()
      }}
      noValidate
    >
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
          <DraftNote draft={draft} />
        </div>
        <div className="intake-foot">
          <VisitFields
            values={values}
            change={change}
            drive={drive}
            lastReadingKilometres={props.lastReadingKilometres}
            problemAt={(path) => problems.find((problem) => problem.path === path)?.fix}
          />
          <Button type="submit" disabled={busy}>
            {busy ? t('intake.planning') : t('intake.plan')}
          </Button>
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
        <div aria-live="polite">
          <ProblemAlert problems={problems.filter(({ path }) => !isAtField(path))} />
        </div>
      </section>
    </form>
  )
}
