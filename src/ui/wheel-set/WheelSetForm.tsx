'use client'

import { valibotResolver } from '@hookform/resolvers/valibot'
import { Link } from '@/ui/Link'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { useForm, useWatch, type FieldPath } from 'react-hook-form'
import type { InferInput } from 'valibot'
import {
  conditionNames,
  conditions,
  finishes,
  finishNames,
  type Condition,
  type Finish,
} from '@/core/finishes/finish'
import { usualBrakes } from '@/core/wheel/brakes'
import {
  positionNames,
  positions as allPositions,
  usualPositions,
  vehicleKindNames,
  vehicleKinds,
  type Position,
  type VehicleKind,
} from '@/core/wheel/position'
import { isSameName } from '@/core/wheel/vehicleName'
import { finishZones, zoneNames, type FinishZone } from '@/core/wheel/zone'
import { wheelSetInput, type KnownVehicle, type NewSetOwner, type WheelSetInput } from '@/contracts/wheelSet'
import { DraftNote } from '../form/DraftNote'
import type { FormAction } from '../form/formAction'
import { ProblemAlert } from '../form/ProblemAlert'
import { useDraft } from '../form/useDraft'
import { useSending } from '../form/useSending'
import { drawnWheel } from '../wheel-drawing/drawnWheel'
import { WheelDrawing } from '../wheel-drawing/WheelDrawing'
import { FinishFinder } from './FinishFinder'
import { OwnerChoice } from './OwnerChoice'
import { useKnownVehicles } from './useKnownVehicles'
import { positionsIn, scopesFor, type Scope } from './scope'
import { VehicleDetails } from './VehicleDetails'

type FormValues = InferInput<typeof wheelSetInput>
type WheelValues = FormValues['wheels'][number]

const measureFields = [
  { name: 'tyreCode', label: 'Tyre code', hint: 'as on the sidewall, e.g. 255/35 R19', numeric: false },
  { name: 'rimWidthInches', label: 'Rim width, inches', hint: 'the J number, e.g. 8.5', numeric: true },
  { name: 'spokeCount', label: 'Spokes', hint: '0 for a closed disc or cover', numeric: true },
  { name: 'spokeWidthMillimetres', label: 'Spoke width, mm', hint: 'at half its length', numeric: true },
  { name: 'spokeDepthMillimetres', label: 'Spoke depth, mm', hint: 'front to back', numeric: true },
  { name: 'hardwarePieces', label: 'Lugs, bolts, badges', hint: 'pieces to brush around', numeric: true },
] as const
type MeasureField = (typeof measureFields)[number]['name']

const freshWheel = (position: Position): WheelValues => ({
  position,
  tyreCode: '',
  rimWidthInches: NaN,
  spokeCount: NaN,
  spokeWidthMillimetres: 30,
  spokeDepthMillimetres: 45,
  hardwarePieces: 5,
  finishes: [],
})

interface WheelSetFormProps {
  readonly initial?: WheelSetInput
  /** Names the draft that is kept of what is typed. */
  readonly draftName: string
  /** Grows with every save of what is edited; 0 for something new. */
  readonly version: number
  readonly save: (input: WheelSetInput, owner: NewSetOwner) => ReturnType<FormAction<WheelSetInput>>
  readonly cancelHref: string
}

/** A draft is kept as JSON, which knows no NaN. */
const withNumbers = (values: FormValues): FormValues => ({
  ...values,
  wheels: values.wheels.map((wheel) => ({
    ...wheel,
    ...Object.fromEntries(
      measureFields.flatMap(({ name, numeric }) => (numeric && wheel[name] === null ? [[name, NaN]] : [])),
    ),
  })),
})

/** Text of a number field; what cannot be a number stays out of the field until it is retyped. */
const textOf = (value: unknown): string =>
  typeof value === 'number' && Number.isNaN(value) ? '' : String(value ?? '')

/** Adds and edits a wheel set: measures and finishes go to all wheels, an axle or one, and the wheel is drawn as they are typed. */
export function WheelSetForm({ initial, draftName, version, save, cancelHref }: WheelSetFormProps) {
  const form = useForm<FormValues, unknown, WheelSetInput>({
    resolver: valibotResolver(wheelSetInput),
    defaultValues: initial ?? {
      vehicle: { name: '', kind: 'car', archLiner: 'plastic', brakes: usualBrakes, kilometresPerWeek: 250 },
      name: '',
      note: '',
      wheels: usualPositions.car.map(freshWheel),
    },
  })
  const { errors } = form.formState
  // The drawing follows every key, so the form is watched as a whole.
  const values = useWatch({ control: form.control }) as FormValues
  const vehicles = useKnownVehicles(values.vehicle.name, initial === undefined)
  const positions = values.wheels.map(({ position }) => position)
  const scopes = scopesFor(positions)
  const [scope, setScope] = useState<Scope>(scopes[0]?.scope ?? 'all')
  const [drafts, setDrafts] = useState<Partial<Record<MeasureField, string>>>({})
  const { problems, busy, send } = useSending()
  const [owner, setOwner] = useState<NewSetOwner>({ kind: 'unsaid' })
  const draft = useDraft(draftName, version, { values, owner }, (kept) => {
    form.reset(withNumbers(kept.values))
    setOwner(kept.owner)
    setDrafts({})
  })

  const inScope = positionsIn(scope, positions)
  const indexes = inScope.map((position) => positions.indexOf(position))
  const first = values.wheels[indexes[0] ?? 0]

  const changeScope = (next: Scope) => {
    setScope(next)
    setDrafts({})
  }
  const setMeasure = (field: MeasureField, text: string, numeric: boolean) => {
    setDrafts((known) => ({ ...known, [field]: text }))
    const value = numeric ? (text.trim() === '' ? NaN : Number(text.replace(',', '.'))) : text
    for (const index of indexes) {
      form.setValue(`wheels.${index}.${field}` as FieldPath<FormValues>, value as never, {
        shouldDirty: true,
      })
      form.clearErrors(`wheels.${index}.${field}` as FieldPath<FormValues>)
    }
  }
  const finishAt = (zone: FinishZone, wheel = first) => wheel?.finishes?.find((entry) => entry.zone === zone)
  const setFinish = (zone: FinishZone, finish: Finish, condition: Condition) => {
    for (const index of indexes) {
      const others = (values.wheels[index]?.finishes ?? []).filter((entry) => entry.zone !== zone)
      form.setValue(
        `wheels.${index}.finishes`,
        finish === 'unknown' ? others : [...others, { zone, finish, condition }],
        {
          shouldDirty: true,
        },
      )
    }
  }
  const takeFinish = (zones: readonly FinishZone[], finish: Finish) => {
    for (const index of indexes) {
      const others = (values.wheels[index]?.finishes ?? []).filter((entry) => !zones.includes(entry.zone))
      const condition = finishAt('face')?.condition ?? 'sound'
      form.setValue(
        `wheels.${index}.finishes`,
        finish === 'unknown' ? others : [...others, ...zones.map((zone) => ({ zone, finish, condition }))],
        { shouldDirty: true },
      )
    }
  }
  const mixed = (read: (wheel: WheelValues) => unknown): boolean =>
    new Set(indexes.map((index) => JSON.stringify(read(values.wheels[index] as WheelValues)))).size > 1
  const measureError = (field: MeasureField): string | undefined =>
    indexes.map((index) => errors.wheels?.[index]?.[field]?.message).find(Boolean)

  /** What is wrong with the condition of a zone, on any of the wheels being edited. */
  const finishError = (zone: FinishZone): string | undefined =>
    indexes
      .map((index) => {
        const at = (values.wheels[index]?.finishes ?? []).findIndex((entry) => entry.zone === zone)
        return errors.wheels?.[index]?.finishes?.[at]?.condition?.message
      })
      .find(Boolean)

  const changeKind = (kind: VehicleKind) => {
    form.setValue('vehicle.kind', kind)
    if (initial) return
    const wheels = usualPositions[kind].map((position) => ({ ...(first ?? freshWheel(position)), position }))
    form.setValue('wheels', wheels)
    changeScope(scopesFor(usualPositions[kind])[0]?.scope ?? 'all')
  }
  /** What the known vehicle has is shown and can be changed; what is saved is what stands here. */
  const chooseOwner = (next: NewSetOwner, known?: KnownVehicle) => {
    setOwner(next)
    if (!known) return
    if (known.vehicle.kind !== values.vehicle.kind) changeKind(known.vehicle.kind)
    form.setValue('vehicle', known.vehicle, { shouldDirty: true })
  }
  const changePositions = (position: Position, present: boolean) => {
    const wheels = present
      ? [...values.wheels, { ...(first ?? freshWheel(position)), position }]
      : values.wheels.filter((wheel) => wheel.position !== position)
    form.setValue('wheels', wheels, { shouldDirty: true })
    changeScope(scopesFor(wheels.map((wheel) => wheel.position))[0]?.scope ?? 'all')
  }

  const submit = form.handleSubmit(
    (input) =>
      send(
        () => save(input, owner),
        () => draft.forget(),
      ),
    (found) => {
      // The first wheel with a fault comes into view, so that its message can be seen.
      const faulty = Array.isArray(found.wheels) ? found.wheels.findIndex(Boolean) : -1
      const position = positions[faulty]
      if (position && !inScope.includes(position)) changeScope(position)
    },
  )

  const drawn =
    first &&
    drawnWheel({
      ...(first as WheelSetInput['wheels'][number]),
      finishes: first.finishes as WheelSetInput['wheels'][number]['finishes'],
    })
  const scopeName = scopes.find((choice) => choice.scope === scope)?.name ?? ''
  const wheelsMessage = errors.wheels?.root?.message ?? errors.wheels?.message

  return (
    <form className="form-place" onSubmit={(event) => void submit(event)} noValidate>
      <div>
        <DraftNote draft={draft} />
        <h2>The set</h2>
        <div className="field-grid">
          <Form.Group controlId="vehicle">
            <Form.Label>Vehicle</Form.Label>
            <Form.Control
              {...form.register('vehicle.name')}
              list="vehicles"
              autoComplete="off"
              isInvalid={!!errors.vehicle?.name}
            />
            <datalist id="vehicles">
              {[...new Set(vehicles.map(({ vehicle }) => vehicle.name))].map((name) => (
                <option key={name} value={name} />
              ))}
            </datalist>
            <Form.Control.Feedback type="invalid">{errors.vehicle?.name?.message}</Form.Control.Feedback>
          </Form.Group>
          <Form.Group controlId="kind">
            <Form.Label>Kind</Form.Label>
            <Form.Select
              value={values.vehicle.kind}
              onChange={(event) => changeKind(event.target.value as VehicleKind)}
            >
              {vehicleKinds.map((kind) => (
                <option key={kind} value={kind}>
                  {vehicleKindNames[kind]}
                </option>
              ))}
            </Form.Select>
          </Form.Group>
          <Form.Group controlId="set-name">
            <Form.Label>Name of the set</Form.Label>
            <Form.Control {...form.register('name')} placeholder="Summer set" isInvalid={!!errors.name} />
            <Form.Control.Feedback type="invalid">{errors.name?.message}</Form.Control.Feedback>
          </Form.Group>
          <Form.Group controlId="note">
            <Form.Label>Note</Form.Label>
            <Form.Control {...form.register('note')} isInvalid={!!errors.note} />
            <Form.Control.Feedback type="invalid">{errors.note?.message}</Form.Control.Feedback>
          </Form.Group>
        </div>

        <OwnerChoice
          vehicles={vehicles.filter(({ vehicle }) => isSameName(vehicle.name, values.vehicle.name))}
          owner={owner}
          problem={problems.find(({ path }) => path === 'vehicle')?.mend}
          choose={chooseOwner}
        />

        <details className="mb-3">
          <summary>Brakes, kilometres and arch liners</summary>
          <VehicleDetails form={form} />
        </details>

        <h2>The wheels</h2>
        <div className="chips mt-2" role="group" aria-label="Which wheels">
          {scopes.map((choice) => (
            <button
              key={choice.scope}
              type="button"
              className="chip"
              aria-pressed={choice.scope === scope}
              onClick={() => changeScope(choice.scope)}
            >
              {choice.name}
            </button>
          ))}
        </div>
        <div className="field-grid">
          {measureFields.map(({ name, label, hint, numeric }) => {
            const differs = mixed((wheel) => wheel[name])
            const error = measureError(name)
            return (
              <Form.Group key={name} controlId={name}>
                <Form.Label>{label}</Form.Label>
                <Form.Control
                  value={drafts[name] ?? (differs ? '' : textOf(first?.[name]))}
                  placeholder={differs ? 'differs by wheel' : undefined}
                  inputMode={numeric ? 'decimal' : undefined}
                  autoComplete="off"
                  aria-describedby={`${name}-hint`}
                  isInvalid={error !== undefined}
                  onChange={(event) => setMeasure(name, event.target.value, numeric)}
                />
                <Form.Control.Feedback type="invalid">{error}</Form.Control.Feedback>
                <Form.Text id={`${name}-hint`}>{hint}</Form.Text>
              </Form.Group>
            )
          })}
        </div>
        {wheelsMessage && <ProblemAlert problems={[{ path: 'wheels', found: '', mend: wheelsMessage }]} />}

        <h2>Finish and condition</h2>
        <div className="finish-rows">
          {finishZones.map((zone) => {
            const entry = finishAt(zone)
            const differs = mixed((wheel) => finishAt(zone, wheel))
            return [
              <label key={`${zone} label`} htmlFor={`finish-${zone}`}>
                {zoneNames[zone]}
              </label>,
              <Form.Select
                key={`${zone} finish`}
                id={`finish-${zone}`}
                value={differs ? '' : (entry?.finish ?? 'unknown')}
                onChange={(event) =>
                  setFinish(zone, event.target.value as Finish, entry?.condition ?? 'sound')
                }
              >
                {differs && <option value="">differs by wheel</option>}
                {finishes.map((finish) => (
                  <option key={finish} value={finish}>
                    {finishNames[finish]}
                  </option>
                ))}
              </Form.Select>,
              <Form.Select
                key={`${zone} condition`}
                aria-label={`Condition of the ${zoneNames[zone]}`}
                value={differs ? '' : (entry?.condition ?? 'unknown')}
                disabled={!entry || entry.finish === 'unknown'}
                isInvalid={finishError(zone) !== undefined}
                aria-describedby={finishError(zone) ? 'finish-problems' : undefined}
                onChange={(event) => entry && setFinish(zone, entry.finish, event.target.value as Condition)}
              >
                {differs && <option value="">differs by wheel</option>}
                {conditions.map((condition) => (
                  <option key={condition} value={condition}>
                    {conditionNames[condition]}
                  </option>
                ))}
              </Form.Select>,
            ]
          })}
        </div>
        <div id="finish-problems" aria-live="polite">
          <ProblemAlert
            problems={finishZones.flatMap((zone) => {
              const mend = finishError(zone)
              return mend ? [{ path: zone, found: '', mend: `${zoneNames[zone]}: ${mend}` }] : []
            })}
          />
        </div>
        <p className="soft">What stays not known is planned as bare metal.</p>
        <FinishFinder use={takeFinish} />

        <details className="mt-3">
          <summary>More or fewer wheels</summary>
          <div className="chips mt-2" role="group" aria-label="Wheels of this set">
            {allPositions.map((position) => (
              <button
                key={position}
                type="button"
                className="chip"
                aria-pressed={positions.includes(position)}
                disabled={positions.length === 1 && positions.includes(position)}
                onClick={() => changePositions(position, !positions.includes(position))}
              >
                {positionNames[position]}
              </button>
            ))}
          </div>
        </details>
      </div>

      <aside className="form-preview" aria-label="Preview">
        <h2>{scopeName}</h2>
        {drawn ? (
          <>
            <WheelDrawing {...drawn} id="preview" label={`Preview: ${scopeName}`} />
            <p className="soft">
              Drawn from these measures. Open share of the face about {Math.round(drawn.wheel.openness * 100)}{' '}
              % (estimate).
            </p>
          </>
        ) : (
          <p className="soft">The wheel is drawn here as soon as tyre code, rim width and spokes are in.</p>
        )}
        <div aria-live="polite">
          <ProblemAlert problems={problems.filter(({ path }) => path !== 'vehicle')} />
          {problems.some(({ path }) => path === 'version') && (
            <p className="mt-2">
              <a href={cancelHref} target="_blank">
                Open the saved state
              </a>
            </p>
          )}
        </div>
        <div className="chips mt-3">
          <Button type="submit" disabled={busy}>
            {busy ? 'Saving …' : 'Save the set'}
          </Button>
          <Link href={cancelHref} className="btn btn-outline-secondary">
            Leave
          </Link>
        </div>
      </aside>
    </form>
  )
}
