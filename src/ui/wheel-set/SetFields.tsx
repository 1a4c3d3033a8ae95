import { useTranslations } from 'next-intl'
import Form from 'react-bootstrap/Form'
import { vehicleKinds, type VehicleKind } from '@/core/wheel/position'
import type { KnownVehicle } from '@/contracts/wheelSet'
import type { SetForm } from './useScopedWheels'

interface SetFieldsProps {
  readonly form: SetForm
  readonly kind: VehicleKind
  readonly vehicles: readonly KnownVehicle[]
  readonly changeKind: (kind: VehicleKind) => void
}

/** Whose set it is, what it is called, and a note. */
export function SetFields({ form, kind, vehicles, changeKind }: SetFieldsProps) {
  const t = useTranslations()

  const { errors } = form.formState
  return (
    <div className="field-grid">
      <Form.Group controlId="vehicle">
        <Form.Label>{t('wheelSet.vehicle')}</Form.Label>
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
        <Form.Label>{t('wheelSet.kind')}</Form.Label>
        <Form.Select value={kind} onChange={(event) => changeKind(event.target.value as VehicleKind)}>
          {vehicleKinds.map((one) => (
            <option key={one} value={one}>
              {t(`terms.vehicleKind.${one}`)}
            </option>
          ))}
        </Form.Select>
      </Form.Group>
      <Form.Group controlId="set-name">
        <Form.Label>{t('wheelSet.name.label')}</Form.Label>
        <Form.Control
          {...form.register('name')}
          placeholder={t('wheelSet.name.placeholder')}
          isInvalid={!!errors.name}
        />
        <Form.Control.Feedback type="invalid">{errors.name?.message}</Form.Control.Feedback>
      </Form.Group>
      <Form.Group controlId="note">
        <Form.Label>{t('wheelSet.note')}</Form.Label>
        <Form.Control {...form.register('note')} isInvalid={!!errors.note} />
        <Form.Control.Feedback type="invalid">{errors.note?.message}</Form.Control.Feedback>
      </Form.Group>
    </div>
  )
}
