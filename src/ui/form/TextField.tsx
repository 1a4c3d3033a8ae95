import type { QuantityField } from '@/core/units/readQuantity'
import type { QuantityKind } from '@/core/units/unit'
import type { KeptIn } from './quantityText'
import { QuantityInput } from './QuantityInput'
import Form from 'react-bootstrap/Form'

interface TextFieldProps {
  readonly id: string
  readonly label: string
  readonly value: string
  readonly set: (text: string) => void
  /** What to do where it was refused. */
  readonly fix?: string | undefined
  /** Keys that a phone shows; absent: letters. */
  readonly mode?: 'numeric' | 'decimal'
  /** A quantity, in any unit; `value` is kept as `QuantityInput` keeps it. */
  readonly quantity?: QuantityKind
  readonly keptIn?: KeptIn
  readonly usual?: Pick<QuantityField, 'usual' | 'others'>
  readonly placeholder?: string
  readonly maxLength?: number
  /** Lines of a longer text; absent: one line. */
  readonly rows?: number
  readonly type?: 'password'
  readonly autoComplete?: string
  readonly autoCapitalize?: string
  readonly spellCheck?: boolean
  /** Suggestions to choose from; others can be typed. */
  readonly suggestions?: readonly string[]
  readonly hint?: string
  readonly className?: string
}

/** A line of text with its label, and what is wrong with it. */
export function TextField(props: TextFieldProps) {
  const {
    id,
    label,
    value,
    set,
    fix,
    mode,
    quantity,
    keptIn,
    usual,
    placeholder,
    suggestions,
    hint,
    className,
    rows,
    ...others
  } = props
  return (
    <Form.Group controlId={id} className={className}>
      <Form.Label>{label}</Form.Label>
      {quantity ? (
        <QuantityInput
          kind={quantity}
          keptIn={keptIn}
          value={value}
          placeholder={placeholder}
          usual={usual}
          isInvalid={fix !== undefined}
          set={set}
        />
      ) : (
        <Form.Control
          value={value}
          inputMode={mode}
          autoComplete="off"
          placeholder={placeholder}
          isInvalid={fix !== undefined}
          onChange={(event) => set(event.target.value)}
          {...(rows === undefined ? {} : { as: 'textarea' as const, rows })}
          {...(suggestions ? { list: `${id}-suggestions` } : {})}
          {...others}
        />
      )}
      {suggestions && (
        <datalist id={`${id}-suggestions`}>
          {suggestions.map((name) => (
            <option key={name} value={name} />
          ))}
        </datalist>
      )}
      {fix && <Form.Control.Feedback type="invalid">{fix}</Form.Control.Feedback>}
      {hint && <Form.Text>{hint}</Form.Text>}
    </Form.Group>
  )
}
