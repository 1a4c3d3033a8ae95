import type { ReactNode } from 'react'
import Form from 'react-bootstrap/Form'

interface ChoiceFieldProps<Value extends string> {
  readonly id: string
  readonly label: string
  readonly value: Value
  /** Values with what stands for each. */
  readonly choices: readonly (readonly [Value, string])[]
  readonly set: (value: Value) => void
  /** What to do where it was refused. */
  readonly fix?: string | undefined
  readonly hint?: ReactNode
  readonly className?: string
}

/** One of several, with its label. */
export function ChoiceField<Value extends string>(props: ChoiceFieldProps<Value>) {
  const { id, label, value, choices, set, fix, hint, className } = props
  return (
    <Form.Group controlId={id} className={className}>
      <Form.Label>{label}</Form.Label>
      <Form.Select
        value={value}
        isInvalid={fix !== undefined}
        onChange={(event) => set(event.target.value as Value)}
      >
        {choices.map(([choice, text]) => (
          <option key={choice} value={choice}>
            {text}
          </option>
        ))}
      </Form.Select>
      {fix && <Form.Control.Feedback type="invalid">{fix}</Form.Control.Feedback>}
      {hint && <Form.Text>{hint}</Form.Text>}
    </Form.Group>
  )
}
