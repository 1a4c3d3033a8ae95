'use client'

import { useTranslations } from 'next-intl'
import { useSay } from '@/i18n/useSay'
import { saidResolver } from '../form/saidResolver'
import { useMemo, useState } from 'react'
import { useForm, useWatch } from 'react-hook-form'
import { usualBrakes } from '@/core/wheel/brakes'
import { usualPositions, type VehicleKind } from '@/core/wheel/position'
import { isSameName } from '@/core/wheel/vehicleName'
import { wheelSetInput, type KnownVehicle, type NewSetOwner, type WheelSetInput } from '@/contracts/wheelSet'
import { DraftNote } from '../form/DraftNote'
import type { FormAction } from '../form/formAction'
import { ProblemAlert } from '../form/ProblemAlert'
import { useDraft } from '../form/useDraft'
import { useSending } from '../form/useSending'
import { FinishRows } from './FinishRows'
import { MeasureFields } from './MeasureFields'
import { MoreWheels } from './MoreWheels'
import { OwnerChoice } from './OwnerChoice'
import { SetFields } from './SetFields'
import { SetPreview } from './SetPreview'
import { useKnownVehicles } from './useKnownVehicles'
import { useScopedWheels } from './useScopedWheels'
import { VehicleDetails } from './VehicleDetails'
import { freshWheel, withNumbers, type FormValues } from './wheelValues'

interface WheelSetFormProps {
  readonly initial?: WheelSetInput
  /** Names the draft that is kept of what is typed. */
  readonly draftName: string
  /** Grows with every save of what is edited; 0 for something new. */
  readonly version: number
  readonly save: (input: WheelSetInput, owner: NewSetOwner) => ReturnType<FormAction<WheelSetInput>>
  readonly cancelHref: string
}

const newSet = (): FormValues => ({
  vehicle: { name: '', kind: 'car', archLiner: 'plastic', brakes: usualBrakes, kilometresPerWeek: 250 },
  name: '',
  note: '',
  wheels: usualPositions.car.map(freshWheel),
})

/** Adds and edits a wheel set: measures and finishes go to all wheels, an axle or one, and the wheel is drawn as they are typed. */
export function WheelSetForm({ initial, draftName, version, save, cancelHref }: WheelSetFormProps) {
  const t = useTranslations()
  const say = useSay()
  const resolver = useMemo(() => saidResolver<FormValues, WheelSetInput>(wheelSetInput as never, say), [say])
  const form = useForm<FormValues, unknown, WheelSetInput>({
    resolver,
    defaultValues: initial ?? newSet(),
  })
  // The drawing follows every key, so the form is watched as a whole.
  const values = useWatch({ control: form.control }) as FormValues
  const wheels = useScopedWheels(form, values)
  const vehicles = useKnownVehicles(values.vehicle.name, initial === undefined)
  const { problems, busy, send } = useSending()
  const [owner, setOwner] = useState<NewSetOwner>({ kind: 'unsaid' })
  const draft = useDraft(draftName, version, { values, owner }, (kept) => {
    form.reset(withNumbers(kept.values))
    setOwner(kept.owner)
    wheels.forgetTyped()
  })
  const changeKind = (kind: VehicleKind) => {
    form.setValue('vehicle.kind', kind)
    if (!initial) wheels.setPositions(usualPositions[kind])
  }
  /** What the known vehicle has is shown and can be changed; what is saved is what stands here. */
  const chooseOwner = (next: NewSetOwner, known?: KnownVehicle) => {
    setOwner(next)
    if (!known) return
    if (known.vehicle.kind !== values.vehicle.kind) changeKind(known.vehicle.kind)
    form.setValue('vehicle', known.vehicle, { shouldDirty: true })
  }
  const submit = form.handleSubmit(
    (input) =>
      send(
        () => save(input, owner),
        () => draft.forget(),
      ),
    (found) => {
      if (Array.isArray(found.wheels)) wheels.show(found.wheels.findIndex(Boolean))
    },
  )
  const { errors } = form.formState
  const wheelsMessage = errors.wheels?.root?.message ?? errors.wheels?.message
  return (
    <form className="form-place" onSubmit={(event) => void submit(event)} noValidate>
      <div>
        <DraftNote draft={draft} />
        <h2>{t('wheelSet.sections.set')}</h2>
        <SetFields form={form} kind={values.vehicle.kind} vehicles={vehicles} changeKind={changeKind} />
        <OwnerChoice
          vehicles={vehicles.filter(({ vehicle }) => isSameName(vehicle.name, values.vehicle.name))}
          owner={owner}
          problem={problems.find(({ path }) => path === 'vehicle')?.fix}
          choose={chooseOwner}
        />
        <details className="mb-3">
          <summary>{t('wheelSet.sections.details')}</summary>
          <VehicleDetails form={form} />
        </details>
        <h2>{t('wheelSet.sections.wheels')}</h2>
        <MeasureFields wheels={wheels} />
        {wheelsMessage && <ProblemAlert problems={[{ path: 'wheels', found: '', fix: wheelsMessage }]} />}
        <h2>{t('wheelSet.sections.finish')}</h2>
        <FinishRows wheels={wheels} />
        <MoreWheels wheels={wheels} />
      </div>
      <SetPreview
        wheels={wheels}
        problems={problems.filter(({ path }) => path !== 'vehicle')}
        busy={busy}
        cancelHref={cancelHref}
      />
    </form>
  )
}
