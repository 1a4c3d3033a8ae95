import Form from 'react-bootstrap/Form'
import type { DilutionContext } from '@/core/dilution/readDilution'
import type { Container } from '@/core/dilution/tokens'
import { QuantityInput } from './QuantityInput'
import type { StoredText } from './quantityText'

/** What caps, bottles and buckets hold, ml, as it was typed. */
export type HoldsText = Readonly<Partial<Record<Container, StoredText>>>

/** The same for whoever reads a strength: what is no volume yet is asked for. */
export const holdsOf = (holds: HoldsText): NonNullable<DilutionContext['holdsMillilitres']> =>
  Object.fromEntries(
    Object.entries(holds).flatMap(([container, text]) => {
      const millilitres = text.trim() === '' ? NaN : Number(text)
      return millilitres > 0 ? [[container, millilitres]] : []
    }),
  )

interface ContainerQuestionProps {
  readonly container: Container
  readonly question: string
  readonly holds: HoldsText
  readonly change: (holds: HoldsText) => void
}

/** Asks what a cap, a bottle or a bucket holds. */
export function ContainerQuestion({ container, question, holds, change }: ContainerQuestionProps) {
  return (
    <Form.Group controlId={`holds-${container}`}>
      <Form.Label>{question}</Form.Label>
      <QuantityInput
        kind="volume"
        value={holds[container] ?? ''}
        set={(text) => change({ ...holds, [container]: text })}
      />
    </Form.Group>
  )
}
