import { useTranslations } from 'next-intl'
import Form from 'react-bootstrap/Form'
import { useState } from 'react'
import { Controller } from 'react-hook-form'
import { discKinds, padKinds } from '@/core/wheel/brakes'
import { archLiners } from '@/core/wheel/position'
import { QuantityInput } from '../form/QuantityInput'
import { textOf } from './wheelValues'
import type { SetForm } from './useScopedWheels'

/** A choice that is not made is null, not an empty text. */
const emptyIsNull = (value: string | null) => value || null

/** What decides how dirty the wheels get: brakes, distance, and what the arches are lined with. */
export function VehicleDetails({ form }: { readonly form: SetForm }) {
  const t = useTranslations()

  /** What was typed and is no number yet. */
  const [typed, setTyped] = useState<{ text: string; value: number } | null>(null)
  const error = form.formState.errors.vehicle?.kilometresPerWeek?.message
  return (
    <div className="field-grid">
      {(['front', 'rear'] as const).map((axle) => [
        <Form.Group key={`${axle} pads`} controlId={`${axle}-pads`}>
          <Form.Label>{axle === 'front' ? t('wheelSet.pads.front') : t('wheelSet.pads.rear')}</Form.Label>
          <Form.Select {...form.register(`vehicle.brakes.${axle}.pads`)}>
            {padKinds.map((kind) => (
              <option key={kind} value={kind}>
                {t(`terms.pads.${kind}`)}
              </option>
            ))}
          </Form.Select>
        </Form.Group>,
        <Form.Group key={`${axle} discs`} controlId={`${axle}-discs`}>
          <Form.Label>{axle === 'front' ? t('wheelSet.brakes.front') : t('wheelSet.brakes.rear')}</Form.Label>
          <Form.Select {...form.register(`vehicle.brakes.${axle}.discs`)}>
            {discKinds.map((kind) => (
              <option key={kind} value={kind}>
                {t(`terms.discs.${kind}`)}
              </option>
            ))}
          </Form.Select>
        </Form.Group>,
      ])}
      <Form.Group controlId="kilometres-week">
        <Form.Label>{t('wheelSet.kilometresPerWeek')}</Form.Label>
        <Controller
          control={form.control}
          name="vehicle.kilometresPerWeek"
          render={({ field }) => (
            <QuantityInput
              kind="distance"
              value={typed && Object.is(typed.value, field.value) ? typed.text : textOf(field.value)}
              isInvalid={error !== undefined}
              leave={field.onBlur}
              set={(text) => {
                const value = text.trim() === '' ? NaN : Number(text.replace(',', '.'))
                setTyped({ text, value })
                field.onChange(value)
              }}
            />
          )}
        />
        <Form.Control.Feedback type="invalid">{error}</Form.Control.Feedback>
      </Form.Group>
      <Form.Group controlId="parked">
        <Form.Label>{t('wheelSet.parked.label')}</Form.Label>
        <Form.Select {...form.register('vehicle.parked', { setValueAs: emptyIsNull })}>
          <option value="">{t('wheelSet.parked.unknown')}</option>
          <option value="garage">{t('wheelSet.parked.garage')}</option>
          <option value="street">{t('wheelSet.parked.street')}</option>
        </Form.Select>
      </Form.Group>
      <Form.Group controlId="season">
        <Form.Label>{t('wheelSet.season.label')}</Form.Label>
        <Form.Select {...form.register('season', { setValueAs: emptyIsNull })}>
          <option value="">{t('wheelSet.season.year')}</option>
          <option value="summer">{t('wheelSet.season.summer')}</option>
          <option value="winter">{t('wheelSet.season.winter')}</option>
        </Form.Select>
      </Form.Group>
      <Form.Group controlId="liner">
        <Form.Label>{t('wheelSet.liners.label')}</Form.Label>
        <Form.Select {...form.register('vehicle.archLiner')}>
          {archLiners.map((liner) => (
            <option key={liner} value={liner}>
              {t(`wheelSet.liners.${liner}`)}
            </option>
          ))}
        </Form.Select>
      </Form.Group>
    </div>
  )
}
