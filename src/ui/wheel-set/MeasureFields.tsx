import { useTranslations } from 'next-intl'
import Form from 'react-bootstrap/Form'
import { QuantityInput } from '../form/QuantityInput'
import type { ScopedWheels } from './useScopedWheels'
import { measureFields } from './wheelValues'

/** Which wheels are edited, and their measures. */
export function MeasureFields({ wheels }: { readonly wheels: ScopedWheels }) {
  const t = useTranslations()

  return (
    <>
      <div className="chips mt-2" role="group" aria-label={t('wheelSet.whichWheels')}>
        {wheels.scopes.map(({ scope, name }) => (
          <button
            key={scope}
            type="button"
            className="chip"
            aria-pressed={scope === wheels.scope}
            onClick={() => wheels.changeScope(scope)}
          >
            {name}
          </button>
        ))}
      </div>
      <div className="field-grid">
        {measureFields.map(({ name, numeric, quantity }) => {
          const text = wheels.measureText(name)
          const error = wheels.measureError(name)
          return (
            <Form.Group key={name} controlId={name}>
              <Form.Label>{t(`wheelSet.measures.${name}.label`)}</Form.Label>
              {quantity ? (
                <QuantityInput
                  kind={quantity}
                  value={text ?? ''}
                  placeholder={text === null ? t('wheelSet.differs') : undefined}
                  isInvalid={error !== undefined}
                  set={(stored) => wheels.setMeasure(name, stored, numeric)}
                />
              ) : (
                <Form.Control
                  value={text ?? ''}
                  placeholder={text === null ? t('wheelSet.differs') : undefined}
                  inputMode={numeric ? 'decimal' : undefined}
                  autoComplete="off"
                  aria-describedby={`${name}-hint`}
                  isInvalid={error !== undefined}
                  onChange={(event) => wheels.setMeasure(name, event.target.value, numeric)}
                />
              )}
              <Form.Control.Feedback type="invalid">{error}</Form.Control.Feedback>
              <Form.Text id={`${name}-hint`}>{t(`wheelSet.measures.${name}.hint`)}</Form.Text>
            </Form.Group>
          )
        })}
      </div>
    </>
  )
}
