'use client'

import { Link } from '@/ui/Link'
import { useRef, useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import type { OwnEstimates } from '@/core/estimates/houseEstimates'
import { serviceIds, services, type ServiceId } from '@/core/visit-kinds/service'
import { expectedLoads, type SinceClean } from '@/core/soils/expectedLoad'
import type { ZoneLoads } from '@/core/soils/zoneLoads'
import { gradeNames, grades, soilNames, soilSigns } from '@/core/soils/soil'
import { axleOf, positionNames, type Position } from '@/core/wheel/position'
import { zoneNames, type Zone } from '@/core/wheel/zone'
import type { ConditionsInput } from '@/contracts/conditions'
import type { IntakeDraft } from '@/contracts/intake'
import { capital } from '@/core/words/sayPlan'
import { placed, placeNames, places, type Place } from '../conditions/place'
import type { FormAction } from '../form/formAction'
import { newId } from '../newId'
import { DraftNote } from '../form/DraftNote'
import { ProblemAlert } from '../form/ProblemAlert'
import { useDraft } from '../form/useDraft'
import { useSending } from '../form/useSending'
import type { DrawnWheel } from '../wheel-drawing/drawnWheel'
import { Stance } from '../wheel-drawing/Stance'
import { WheelDrawing } from '../wheel-drawing/WheelDrawing'
import { GradePicture } from './GradePicture'
import { copyLoads, entriesOfLoads, heaviest, soilsOfZone, withGrade, type LoadsByWheel } from './loads'

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
  readonly ownEstimates: OwnEstimates
  /** What is due of these wheels soon. */
  readonly due: readonly string[]
  /** Null: never read. */
  readonly lastReadingKilometres: number | null
  readonly plan: FormAction<IntakeDraft>
}

const tappable: readonly Zone[] = [
  'face',
  'barrel',
  'tyre',
  'arch',
  'windows',
  'spokeBacks',
  'lip',
  'caliper',
  'lugSeats',
  'cap',
  'valve',
]

/** Intake: the wheels as on the vehicle; tap a zone, grade the soil, copy to the axle or to all, and plan. */
export function IntakeForm({
  wheelSetId,
  title,
  wheels,
  offer,
  conditions,
  conditionsFrom,
  ownEstimates,
  due,
  lastReadingKilometres,
  plan,
}: IntakeFormProps) {
  const positions = wheels.map(({ position }) => position)
  const [loads, setLoads] = useState<LoadsByWheel>(() =>
    Object.fromEntries(offer.loads.map(({ position, loads: expected }) => [position, expected])),
  )
  const [service, setService] = useState<ServiceId>(offer.service)
  const [kilometres, setKilometres] = useState(String(offer.since.kilometres))
  const [touched, setTouched] = useState(false)
  const [off, setOff] = useState<readonly Position[]>([])
  const [at, setAt] = useState<{ position: Position; zone: Zone }>({
    position: positions[0] ?? 'frontLeft',
    zone: 'face',
  })
  const [airCelsius, setAirCelsius] = useState(String(conditions.airCelsius ?? 18))
  const [surfaceCelsius, setSurfaceCelsius] = useState('')
  const [odometer, setOdometer] = useState('')
  const [place, setPlace] = useState<Place>('shade')
  const { problems, busy, send } = useSending()
  const [requestId] = useState(newId)
  const draft = useDraft(
    `intake.${wheelSetId}`,
    0,
    { loads, service, kilometres, touched, off, airCelsius, surfaceCelsius, place, odometer },
    (kept) => {
      setLoads(kept.loads)
      setService(kept.service)
      setKilometres(kept.kilometres)
      setTouched(kept.touched)
      setOff(kept.off)
      setAirCelsius(kept.airCelsius)
      setSurfaceCelsius(kept.surfaceCelsius)
      setPlace(kept.place ?? 'shade')
      setOdometer(kept.odometer ?? '')
    },
  )
  const panel = useRef<HTMLElement>(null)

  const chosen = loads[at.position] ?? {}
  const isOff = off.includes(at.position)
  const axleMates = positions.filter((position) => axleOf(position) === axleOf(at.position))
  const problemAt = (path: string) => problems.find((problem) => problem.path === path)?.mend

  const expectedAfter = (driven: number): LoadsByWheel =>
    Object.fromEntries(
      positions.map((position) => [
        position,
        expectedLoads(position, { ...offer.since, kilometres: driven }, ownEstimates),
      ]),
    )
  const grade = (next: LoadsByWheel) => {
    setLoads(next)
    setTouched(true)
  }

  const number = (text: string): number => (text.trim() === '' ? NaN : Number(text.replace(',', '.')))
  const submit = () =>
    send(
      () =>
        plan({
          requestId,
          corners: positions
            .filter((position) => !off.includes(position))
            .map((position) => ({ position, loads: entriesOfLoads(loads[position] ?? {}) })),
          service,
          ...(kilometres.trim() === '' ? {} : { kilometres: number(kilometres) }),
          ...(odometer.trim() === '' ? {} : { odometerKilometres: number(odometer) }),
          conditions: {
            ...conditions,
            airCelsius: number(airCelsius),
            ...placed(place),
            startAt: new Date().toISOString(),
            utcOffsetMinutes: -new Date().getTimezoneOffset(),
            ...(surfaceCelsius.trim() === '' ? {} : { surfaceCelsius: number(surfaceCelsius) }),
          },
        }),
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
          <h1>What is on the wheels?</h1>
          <p className="soft">
            {title}.{' '}
            {offer.lastVisitAt
              ? `Expected after ${offer.since.days} days${offer.since.winter ? ' of winter' : ''}; correct what you see.`
              : 'A first visit: graded as after three months. Correct what you see.'}{' '}
            {conditionsFrom}
          </p>
          {due.length > 0 && <p className="intake-due">Due of these wheels: {due.join('; ')}.</p>}
          <p className="intake-due">
            <Link href={`/wheels/${wheelSetId}/look`}>Look how the protection is holding</Link>, before
            anything is wet with chemistry.
          </p>
          <DraftNote draft={draft} />
        </div>
        <div className="intake-foot">
          <Form.Group className="field is-wide" controlId="service">
            <Form.Label>Service</Form.Label>
            <Form.Select value={service} onChange={(event) => setService(event.target.value as ServiceId)}>
              {serviceIds.map((id) => (
                <option key={id} value={id}>
                  {services[id].name}
                </option>
              ))}
            </Form.Select>
          </Form.Group>
          <Form.Group className="field" controlId="kilometres">
            <Form.Label>Kilometres</Form.Label>
            <Form.Control
              inputMode="numeric"
              value={kilometres}
              onChange={(event) => {
                setKilometres(event.target.value)
                const driven = Number(event.target.value.replace(',', '.'))
                // What was graded by hand stays as it is.
                if (!touched && event.target.value.trim() !== '' && driven >= 0 && driven <= 200_000)
                  setLoads(expectedAfter(driven))
              }}
              isInvalid={problemAt('kilometres') !== undefined}
            />
            <Form.Control.Feedback type="invalid">{problemAt('kilometres')}</Form.Control.Feedback>
          </Form.Group>
          <Form.Group className="field" controlId="odometer">
            <Form.Label>Odometer</Form.Label>
            <Form.Control
              inputMode="numeric"
              value={odometer}
              placeholder={lastReadingKilometres === null ? 'not read' : `was ${lastReadingKilometres}`}
              onChange={(event) => {
                setOdometer(event.target.value)
                const driven = number(event.target.value) - (lastReadingKilometres ?? NaN)
                if (driven >= 0 && driven <= 200_000) setKilometres(String(Math.round(driven)))
              }}
              isInvalid={problemAt('odometerKilometres') !== undefined}
            />
            <Form.Control.Feedback type="invalid">{problemAt('odometerKilometres')}</Form.Control.Feedback>
          </Form.Group>
          <Form.Group className="field" controlId="air">
            <Form.Label>Air, °C</Form.Label>
            <Form.Control
              inputMode="decimal"
              value={airCelsius}
              onChange={(event) => setAirCelsius(event.target.value)}
              isInvalid={problemAt('conditions.airCelsius') !== undefined}
            />
            <Form.Control.Feedback type="invalid">{problemAt('conditions.airCelsius')}</Form.Control.Feedback>
          </Form.Group>
          <Form.Group className="field" controlId="surface">
            <Form.Label>Wheel, °C</Form.Label>
            <Form.Control
              inputMode="decimal"
              value={surfaceCelsius}
              placeholder="not read"
              onChange={(event) => setSurfaceCelsius(event.target.value)}
              isInvalid={problemAt('conditions.surfaceCelsius') !== undefined}
            />
            <Form.Control.Feedback type="invalid">
              {problemAt('conditions.surfaceCelsius')}
            </Form.Control.Feedback>
          </Form.Group>
          <Form.Group className="field" controlId="place">
            <Form.Label>Place</Form.Label>
            <Form.Select value={place} onChange={(event) => setPlace(event.target.value as Place)}>
              {places.map((value) => (
                <option key={value} value={value}>
                  {capital(placeNames[value])}
                </option>
              ))}
            </Form.Select>
          </Form.Group>
          <Button type="submit" disabled={busy}>
            {busy ? 'Planning …' : 'Plan it'}
          </Button>
        </div>
      </header>
      <Stance wheels={wheels}>
        {(wheel) => {
          const worst = heaviest(loads[wheel.position] ?? {})
          return (
            <div
              className={`intake-wheel${off.includes(wheel.position) ? ' is-off' : ''}${at.position === wheel.position ? ' is-chosen' : ''}`}
            >
              <WheelDrawing
                {...wheel}
                id={wheel.position}
                label={positionNames[wheel.position]}
                loads={loads[wheel.position] ?? {}}
                selected={at.position === wheel.position ? at.zone : null}
                onZone={(zone) => {
                  setAt({ position: wheel.position, zone })
                  // On a phone the grades lie below the wheels.
                  panel.current?.scrollIntoView({ block: 'nearest' })
                }}
              />
              <h3>{positionNames[wheel.position]}</h3>
              <p className="soft">
                {off.includes(wheel.position)
                  ? 'left out today'
                  : worst.map(({ soil, grade }) => `${soilNames[soil]} ${grade}`).join(', ') ||
                    'nothing graded'}
              </p>
            </div>
          )
        }}
      </Stance>

      <section className="zone-panel" aria-label="Grades" ref={panel}>
        <h2>
          {positionNames[at.position]}, {zoneNames[at.zone]}
        </h2>
        <div className="chips" role="group" aria-label="Zone">
          {tappable
            .filter(
              (zone) =>
                wheels.find(({ position }) => position === at.position)?.wheel.spokeCount !== 0 ||
                !['windows', 'spokeBacks', 'caliper', 'barrel'].includes(zone),
            )
            .map((zone) => (
              <button
                key={zone}
                type="button"
                className="chip"
                aria-pressed={zone === at.zone}
                onClick={() => setAt({ ...at, zone })}
              >
                {zoneNames[zone]}
              </button>
            ))}
        </div>
        {soilsOfZone(at.zone).map((soil) => (
          <div key={soil} className="grade-row" role="group" aria-label={soilNames[soil]}>
            <div>
              <b>{soilNames[soil]}</b>
              <div className="sign">{soilSigns[soil]}</div>
            </div>
            <div className="grades">
              {grades.map((step) => (
                <button
                  key={step}
                  type="button"
                  aria-pressed={(chosen[at.zone]?.[soil] ?? 0) === step}
                  aria-label={`${soilNames[soil]} ${step}, ${gradeNames[step]}`}
                  title={gradeNames[step]}
                  disabled={isOff}
                  onClick={() => grade({ ...loads, [at.position]: withGrade(chosen, at.zone, soil, step) })}
                >
                  <GradePicture soil={soil} grade={step} />
                  <span>{step}</span>
                </button>
              ))}
            </div>
          </div>
        ))}
        <p className="soft mt-2">0 none, 1 light, 2 clear, 3 heavy, 4 neglected.</p>
        {positions.length > 1 && (
          <div className="chips mt-3">
            {axleMates.length > 1 && axleMates.length < positions.length && (
              <button
                type="button"
                className="chip"
                onClick={() => grade(copyLoads(loads, at.position, 'axle', positions))}
              >
                Copy wheel to its axle
              </button>
            )}
            <button
              type="button"
              className="chip"
              onClick={() => grade(copyLoads(loads, at.position, 'all', positions))}
            >
              Copy wheel to all
            </button>
            <button
              type="button"
              className="chip"
              aria-pressed={isOff}
              onClick={() =>
                setOff(isOff ? off.filter((position) => position !== at.position) : [...off, at.position])
              }
            >
              Leave this wheel out
            </button>
          </div>
        )}
        <div aria-live="polite">
          <ProblemAlert
            problems={problems.filter(
              ({ path }) =>
                !path.startsWith('conditions.') && path !== 'kilometres' && path !== 'odometerKilometres',
            )}
          />
        </div>
      </section>
    </form>
  )
}
