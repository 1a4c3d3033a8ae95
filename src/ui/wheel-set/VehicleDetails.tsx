import Form from 'react-bootstrap/Form'
import type { UseFormReturn } from 'react-hook-form'
import type { InferInput } from 'valibot'
import { discKinds, discNames, padKinds, padNames } from '@/core/wheel/brakes'
import { archLiners } from '@/core/wheel/position'
import type { wheelSetInput, WheelSetInput } from '@/contracts/wheelSet'

type FormValues = InferInput<typeof wheelSetInput>

/** A choice that is not made is null, not an empty text. */
const emptyIsNull = (value: string | null) => value || null

const linerNames = { plastic: 'hard plastic', fabric: 'fabric, like carpet' }

/** What decides how dirty the wheels get: brakes, distance, and what the arches are lined with. */
export function VehicleDetails({
  form,
}: {
  readonly form: UseFormReturn<FormValues, unknown, WheelSetInput>
}) {
  const error = form.formState.errors.vehicle?.kilometresPerWeek?.message
  return (
    <div className="field-grid">
      {(['front', 'rear'] as const).map((axle) => [
        <Form.Group key={`${axle} pads`} controlId={`${axle}-pads`}>
          <Form.Label>{axle === 'front' ? 'Front pads' : 'Rear pads'}</Form.Label>
          <Form.Select {...form.register(`vehicle.brakes.${axle}.pads`)}>
            {padKinds.map((kind) => (
              <option key={kind} value={kind}>
                {padNames[kind]}
              </option>
            ))}
          </Form.Select>
        </Form.Group>,
        <Form.Group key={`${axle} discs`} controlId={`${axle}-discs`}>
          <Form.Label>{axle === 'front' ? 'Front brakes' : 'Rear brakes'}</Form.Label>
          <Form.Select {...form.register(`vehicle.brakes.${axle}.discs`)}>
            {discKinds.map((kind) => (
              <option key={kind} value={kind}>
                {discNames[kind]}
              </option>
            ))}
          </Form.Select>
        </Form.Group>,
      ])}
      <Form.Group controlId="kilometres-week">
        <Form.Label>Kilometres a week</Form.Label>
        <Form.Control
          inputMode="numeric"
          {...form.register('vehicle.kilometresPerWeek', { valueAsNumber: true })}
          isInvalid={error !== undefined}
        />
        <Form.Control.Feedback type="invalid">{error}</Form.Control.Feedback>
      </Form.Group>
      <Form.Group controlId="parked">
        <Form.Label>Parked</Form.Label>
        <Form.Select {...form.register('vehicle.parked', { setValueAs: emptyIsNull })}>
          <option value="">not said</option>
          <option value="garage">in a garage</option>
          <option value="street">on the street</option>
        </Form.Select>
      </Form.Group>
      <Form.Group controlId="season">
        <Form.Label>This set is on</Form.Label>
        <Form.Select {...form.register('season', { setValueAs: emptyIsNull })}>
          <option value="">all year</option>
          <option value="summer">in summer</option>
          <option value="winter">in winter</option>
        </Form.Select>
      </Form.Group>
      <Form.Group controlId="liner">
        <Form.Label>Arch liners</Form.Label>
        <Form.Select {...form.register('vehicle.archLiner')}>
          {archLiners.map((liner) => (
            <option key={liner} value={liner}>
              {linerNames[liner]}
            </option>
          ))}
        </Form.Select>
      </Form.Group>
    </div>
  )
}
