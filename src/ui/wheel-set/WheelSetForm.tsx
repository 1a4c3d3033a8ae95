'use client'

import { useTranslations } from 'next-intl'
import { usualBrakes } from '@/core/wheel/brakes'
import { usualPositions, type VehicleKind } from '@/core/wheel/position'
import { isSameName } from '@/core/wheel/vehicleName'
import { wheelSetInput, type KnownVehicle, type NewSetOwner, type WheelSetInput } from '@/contracts/wheelSet'
import type { FormAnswer } from '../form/formAction'
import { FormFrame } from '../form/FormFrame'
import { ProblemAlert } from '../form/ProblemAlert'
import { useWritingForm } from '../form/useWritingForm'
import { FinishRows } from './FinishRows'
import { MeasureFields } from './MeasureFields'
import { MoreWheels } from './MoreWheels'
import { OwnerChoice } from './OwnerChoice'
import { SetFields } from './SetFields'
import { SetPreview } from './SetPreview'
import { useKnownVehicles } from './useKnownVehicles'
import { useScopedWheels } from './useScopedWheels'
import { VehicleDetails } from './VehicleDetails'
import { freshWheel, setValuesOf, withNumbers, type SetValues } from './wheelValues'

interface WheelSetFormProps {
  readonly initial?: WheelSetInput
  /** The set that is edited, or `new` with the vehicle it is for: its draft is kept by that. */
  readonly of: string
  /** Grows with every save of what is edited; 0 for something new. */
  readonly version: number
  readonly save: (input: WheelSetInput, owner: NewSetOwner, requestId: string) => Promise<FormAnswer>
  readonly cancelHref: string
}

const newSet = (): SetValues => ({
  vehicle: { name: '', kind: 'car', archLiner: 'plastic', brakes: usualBrakes, kilometresPerWeek: 250 },
  name: '',
  note: '',
  wheels: usualPositions.car.map(freshWheel),
  owner: { kind: 'unsaid' },
})

/** Which wheel a problem is at; -1: at none. */
const indexIn = (path: string): number => Number(/^wheels\[(\d+)\]/.exec(path)?.[1] ?? -1)

/** Adds and edits a wheel set: measures and finishes go to all wheels, an axle or one, and the wheel is drawn as they are typed. */
export function WheelSetForm({ initial, of, version, save, cancelHref }: WheelSetFormProps) {
  const t = useTranslations()

  const form = useWritingForm<SetValues>({
    name: ['wheel-set', of],
    version,
    initial: initial ? { ...initial, owner: { kind: 'unsaid' } } : newSet(),
    schema: wheelSetInput,
    inputOf: ({ owner: _, ...set }) => set,
    send: (input: WheelSetInput, { owner }, requestId) => save(input, owner, requestId),
    upgradeDraft: setValuesOf,
    restored: (kept) => {
      wheels.forgetTyped()
      return withNumbers(kept)
    },
    whenRefused: (paths) => wheels.show(paths.map(indexIn).find((index) => index >= 0) ?? -1),
  })
  const { controls, values } = form
  const wheels = useScopedWheels(controls, values)
  const vehicles = useKnownVehicles(values.vehicle.name, initial === undefined)
  const changeKind = (kind: VehicleKind) => {
    controls.setValue('vehicle.kind', kind)
    if (!initial) wheels.setPositions(usualPositions[kind])
  }
  /** What the known vehicle has is shown and can be changed; what is saved is what stands here. */
  const chooseOwner = (owner: NewSetOwner, known?: KnownVehicle) => {
    form.change({ owner })
    if (!known) return
    if (known.vehicle.kind !== values.vehicle.kind) changeKind(known.vehicle.kind)
    form.change({ vehicle: known.vehicle })
  }
  const wheelsMessage = form.fixOf('wheels')
  return (
    <FormFrame form={form} className="form-place">
      <div>
        <h2>{t('wheelSet.sections.set')}</h2>
        <SetFields form={controls} kind={values.vehicle.kind} vehicles={vehicles} changeKind={changeKind} />
        <OwnerChoice
          vehicles={vehicles.filter(({ vehicle }) => isSameName(vehicle.name, values.vehicle.name))}
          owner={values.owner}
          problem={form.fixOf('vehicle')}
          choose={chooseOwner}
        />
        <details className="mb-3">
          <summary>{t('wheelSet.sections.details')}</summary>
          <VehicleDetails form={controls} />
        </details>
        <h2>{t('wheelSet.sections.wheels')}</h2>
        <MeasureFields wheels={wheels} />
        {wheelsMessage && <ProblemAlert problems={[{ path: 'wheels', found: '', fix: wheelsMessage }]} />}
        <h2>{t('wheelSet.sections.finish')}</h2>
        <FinishRows wheels={wheels} />
        <MoreWheels wheels={wheels} />
      </div>
      <SetPreview form={form} wheels={wheels} cancelHref={cancelHref} />
    </FormFrame>
  )
}
