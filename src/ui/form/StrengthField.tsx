import { useLocale, useTranslations } from 'next-intl'
import { useState } from 'react'
import Form from 'react-bootstrap/Form'
import type { Mix } from '@/core/dilution/mix'
import { readDilution, type DilutionReading } from '@/core/dilution/readDilution'
import { containers } from '@/core/dilution/tokens'
import { writeDilution } from '@/core/dilution/writeDilution'
import { ounceSystem } from '@/core/units/region'
import { regionOfTag } from '@/i18n/regionTag'
import { spoken } from '@/i18n/spoken'
import { useSay } from '@/i18n/useSay'
import { ContainerQuestion, holdsOf, type HoldsText } from './ContainerQuestion'

interface StrengthFieldProps {
  readonly id: string
  readonly label: string
  /** A strength that needs no more knowledge to be read, or what was typed and is none yet. */
  readonly value: string
  readonly set: (strength: string) => void
  readonly fix: string | undefined
  readonly hint: string
}

const written = (mix: Mix): string => writeDilution(mix, mix.from === mix.to ? 'ratio' : 'percent')

/** What is kept of what was typed: as it stands where it says everything itself, else what it means here. */
const keptOf = (text: string, reading: DilutionReading): string =>
  reading.kind !== 'mix' || readDilution(text).kind === 'mix' ? text : written(reading.mix)

/** A strength as the label prints it: ratio, percent, ounces per gallon, capfuls per bucket. Asks for what the label leaves open. */
export function StrengthField({ id, label, value, set, fix, hint }: StrengthFieldProps) {
  const t = useTranslations()
  const say = useSay()
  const ounces = ounceSystem(regionOfTag(useLocale()))
  const [typed, setTyped] = useState<{ readonly text: string; readonly kept: string } | null>(null)
  const [holds, setHolds] = useState<HoldsText>({})
  const text = typed?.kept === value ? typed.text : value
  const read = (said: string, known: HoldsText): DilutionReading =>
    readDilution(said, { ...(ounces ? { ounces } : {}), holdsMillilitres: holdsOf(known) })
  const reading = spoken(read(text, holds), say)
  const keep = (said: string, known: HoldsText) => {
    const kept = keptOf(said, read(said, known))
    setTyped({ text: said, kept })
    set(kept)
  }
  const holding = (known: HoldsText) => {
    setHolds(known)
    keep(text, known)
  }
  const asked = containers.filter(
    (container) => holds[container] !== undefined || (reading.kind === 'needs' && reading.need === container),
  )
  return (
    <div>
      <Form.Group controlId={id}>
        <Form.Label>{label}</Form.Label>
        <Form.Control
          value={text}
          maxLength={200}
          autoComplete="off"
          isInvalid={fix !== undefined}
          onChange={(event) => keep(event.target.value, holds)}
        />
        {reading.kind !== 'open' && <Form.Control.Feedback type="invalid">{fix}</Form.Control.Feedback>}
        <Form.Text>{value === text ? hint : t('common.quantity.reads', { quantity: value })}</Form.Text>
      </Form.Group>
      {reading.kind === 'open' && (
        <div className="quantity-choices" role="group" aria-label={reading.question}>
          <Form.Text>{reading.question}</Form.Text>
          {reading.choices.map((choice) => (
            <button
              key={choice.label}
              type="button"
              className="chip"
              onClick={() => {
                setTyped({ text, kept: written(choice.mix) })
                set(written(choice.mix))
              }}
            >
              {choice.label}
            </button>
          ))}
        </div>
      )}
      {asked.map((container) => (
        <ContainerQuestion
          key={container}
          container={container}
          question={t(`measures.dilution.holds.${container}`)}
          holds={holds}
          change={holding}
        />
      ))}
    </div>
  )
}
