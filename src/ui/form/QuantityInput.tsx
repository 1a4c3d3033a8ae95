'use client'

import { useLocale, useTranslations } from 'next-intl'
import { useState } from 'react'
import Form from 'react-bootstrap/Form'
import InputGroup from 'react-bootstrap/InputGroup'
import type { QuantityChoice, QuantityField } from '@/core/units/readQuantity'
import type { QuantityKind, UnitName } from '@/core/units/unit'
import { regionOfTag } from '@/i18n/regionTag'
import { useFormats } from '@/i18n/useFormats'
import { fieldOf, keptText, shownText, storedText, type KeptIn, type StoredText } from './quantityText'

interface QuantityInputProps {
  /** Where no form group gives one. */
  readonly id?: string
  readonly kind: QuantityKind
  /** As the form keeps it: a number in the stored unit, or what was typed and is none. */
  readonly value: StoredText
  readonly set: (stored: StoredText) => void
  /** Of a large volume: it is kept in litres, and a bare number is in litres or gallons. */
  readonly keptIn?: KeptIn
  readonly isInvalid?: boolean | undefined
  /** Usual values, stored: a bare number that is usual only in one of the other units is asked about. */
  readonly usual?: Pick<QuantityField, 'usual' | 'others'> | undefined
  readonly placeholder?: string | undefined
  readonly label?: string
  readonly required?: boolean
  readonly leave?: () => void
}

const countryOf = (unit: UnitName): 'us' | 'imperial' | 'other' =>
  unit.startsWith('us') ? 'us' : unit.startsWith('imperial') ? 'imperial' : 'other'

/**
 * A quantity, typed in any unit and with either decimal mark; a bare number is in the person's unit, which stands behind it. Says how
 * another unit was read, and asks where it can be meant in several ways.
 */
export function QuantityInput({
  id,
  kind,
  value,
  set,
  keptIn,
  isInvalid,
  usual,
  placeholder,
  label,
  required,
  leave,
}: QuantityInputProps) {
  const t = useTranslations()
  const formats = useFormats()
  const region = regionOfTag(useLocale())
  /** What was typed, as long as the form keeps what came of it. */
  const [typed, setTyped] = useState<{ text: string; stored: StoredText } | null>(null)
  const text = typed?.stored === value ? typed.text : shownText(value, kind, region, keptIn)
  const field = fieldOf(kind, region, usual, keptIn)
  const { reading } = storedText(text, field, keptIn)
  const own = field.unit
  const type = (next: string) => {
    const { stored } = storedText(next, field, keptIn)
    setTyped({ text: next, stored })
    set(stored)
  }
  const choose = ({ stored }: QuantityChoice) => {
    setTyped(null)
    set(keptText(stored, keptIn))
  }
  const sayChoice = (choice: QuantityChoice): string =>
    t('common.quantity.choice', {
      typed: `${formats.number(choice.value, 3)} ${formats.symbol(choice.unit)}`,
      country: countryOf(choice.unit),
      quantity: formats.quantity(choice.stored, kind),
    })
  return (
    <>
      <InputGroup hasValidation={isInvalid === true}>
        <Form.Control
          id={id}
          autoComplete="off"
          inputMode="decimal"
          aria-label={label}
          value={text}
          placeholder={placeholder}
          required={required}
          isInvalid={isInvalid}
          onChange={(event) => type(event.target.value)}
          onBlur={leave}
        />
        <InputGroup.Text aria-hidden>{formats.symbol(own)}</InputGroup.Text>
      </InputGroup>
      {reading.kind === 'quantity' && reading.unit !== own && (
        <Form.Text role="status">
          {t('common.quantity.reads', { quantity: formats.quantity(reading.stored, kind) })}
        </Form.Text>
      )}
      {reading.kind === 'question' && (
        <div className="quantity-choices" role="group" aria-label={t('common.quantity.which')}>
          <Form.Text>{t('common.quantity.which')}</Form.Text>
          {reading.choices.map((choice) => (
            <button
              key={`${choice.unit} ${choice.value}`}
              type="button"
              className="chip"
              onClick={() => choose(choice)}
            >
              {sayChoice(choice)}
            </button>
          ))}
        </div>
      )}
    </>
  )
}
