'use client'

import { QuantityInput } from '@/ui/form/QuantityInput'
import { spoken, type Spoken } from '@/i18n/spoken'
import { useFormats } from '@/i18n/useFormats'
import { useSay } from '@/i18n/useSay'
import { regionOfTag } from '@/i18n/regionTag'
import { millilitresPerUnit, type OunceSystem } from '@/core/quantity/volume'
import { useLocale, useTranslations } from 'next-intl'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { lanceSurfaceFraction } from '@/core/dilution/foamLance'
import type { Mix } from '@/core/dilution/mix'
import { readDilution, type DilutionChoice } from '@/core/dilution/readDilution'
import { writeDilution } from '@/core/dilution/writeDilution'
import type { FormAction } from '../form/formAction'
import { ContainerQuestion, holdsOf, type HoldsText } from '../form/ContainerQuestion'
import { useSending } from '../form/useSending'
import { keptText } from '../form/quantityText'
import { newId } from '../newId'
import { ProblemAlert } from '../form/ProblemAlert'
import { FoamLance } from './FoamLance'
import { numberOf } from './numberOf'
import { PouredRecipe } from './PouredRecipe'

interface MixingBenchProps {
  readonly products: readonly { readonly id: string; readonly name: string; readonly strength: Mix }[]
  readonly chosenId: string | null
  readonly ounces: OunceSystem | null
  readonly lance: { readonly washerLitresPerMinute: number; readonly drawLitresPerMinute: number }
  readonly keep: FormAction<unknown>
}

/** A bottle: half a litre, 16 or 20 ounces. */
const usualTotal = {
  metric: 500,
  us: 16 * millilitresPerUnit.us.ounce,
  imperial: 20 * millilitresPerUnit.imperial.ounce,
}

/** Any way of saying a strength in; what to pour, what the lance makes of it, and a bottle with a label out. */
export function MixingBench(props: MixingBenchProps) {
  const t = useTranslations()
  const say = useSay()
  const formats = useFormats()
  const locale = useLocale()

  const { products, ounces, lance } = props
  const [productId, setProductId] = useState(props.chosenId ?? products[0]?.id ?? '')
  const product = products.find(({ id }) => id === productId)
  const [said, setSaid] = useState(product ? writeDilution(product.strength) : '1:10')
  const [answer, setAnswer] = useState<Spoken<DilutionChoice> | null>(null)
  const [total, setTotal] = useState(() => keptText(usualTotal[regionOfTag(locale).units.volume]))
  const [holds, setHolds] = useState<HoldsText>({})
  const [mixedBy, setMixedBy] = useState('')
  const [draw, setDraw] = useState(lance.drawLitresPerMinute)
  const { problems, busy, send } = useSending()
  const [requestId] = useState(newId)

  const reading = spoken(
    readDilution(said, {
      ...(ounces ? { ounces } : {}),
      holdsMillilitres: holdsOf(holds),
    }),
    say,
  )
  const mix = answer?.mix ?? (reading.kind === 'mix' ? reading.mix : null)
  // Of a range the middle is mixed; the ends are said.
  const fraction = mix && Math.sqrt(mix.from * mix.to)
  const wanted = numberOf(total)
  const recipe = fraction && wanted > 0 ? formats.onMarks(fraction, wanted) : null
  const flow = { washerLitresPerMinute: lance.washerLitresPerMinute, drawLitresPerMinute: draw }
  const type = (text: string) => {
    setSaid(text)
    setAnswer(null)
  }
  return (
    <div className="bench">
      <form
        className="bench-mix"
        noValidate
        onSubmit={(event) => {
          event.preventDefault()
          if (recipe) {
            const { realFraction, totalMillilitres } = recipe
            send(() =>
              props.keep({ requestId, productId, fraction: realFraction, totalMillilitres, mixedBy }),
            )
          }
        }}
      >
        <div className="field-grid">
          <Form.Group controlId="product">
            <Form.Label>{t('mixing.product')}</Form.Label>
            <Form.Select
              value={productId}
              onChange={(event) => {
                setProductId(event.target.value)
                const next = products.find(({ id }) => id === event.target.value)
                if (next) type(writeDilution(next.strength))
              }}
            >
              {products.map(({ id, name }) => (
                <option key={id} value={id}>
                  {name}
                </option>
              ))}
            </Form.Select>
          </Form.Group>
          <Form.Group controlId="total">
            <Form.Label>{t('mixing.totalMillilitres')}</Form.Label>
            <QuantityInput kind="volume" value={total} set={setTotal} />
          </Form.Group>
          <Form.Group controlId="strength" className="is-wide">
            <Form.Label>{t('mixing.dilution.label')}</Form.Label>
            <Form.Control
              value={said}
              maxLength={200}
              autoComplete="off"
              isInvalid={reading.kind === 'unreadable'}
              onChange={(event) => type(event.target.value)}
            />
            <Form.Control.Feedback type="invalid">
              {reading.kind === 'unreadable' && reading.fix}
            </Form.Control.Feedback>
            <Form.Text>{t('mixing.dilution.examples')}</Form.Text>
          </Form.Group>
        </div>
        {reading.kind === 'open' && (
          <div role="group" aria-label={reading.question}>
            <p>
              <b>{reading.question}</b>
            </p>
            <div className="chips mt-2">
              {reading.choices.map((choice) => (
                <button
                  key={choice.label}
                  type="button"
                  className="chip"
                  aria-pressed={answer?.label === choice.label}
                  onClick={() => setAnswer(choice)}
                >
                  {choice.label}
                </button>
              ))}
            </div>
          </div>
        )}
        {reading.kind === 'needs' && (
          <ContainerQuestion
            container={reading.need}
            question={reading.question}
            holds={holds}
            change={setHolds}
          />
        )}
        {recipe && mix && (
          <PouredRecipe
            recipe={recipe}
            wantedMillilitres={wanted}
            labelRange={mix}
            atWheel={
              reading.kind === 'mix' && reading.inLanceBottle
                ? lanceSurfaceFraction(recipe.realFraction, flow)
                : null
            }
          />
        )}
        <div className="bench-keep">
          <Form.Group controlId="mixedBy">
            <Form.Label>{t('mixing.mixedBy')}</Form.Label>
            <Form.Control
              value={mixedBy}
              maxLength={80}
              onChange={(event) => setMixedBy(event.target.value)}
            />
          </Form.Group>
          <Button type="submit" disabled={busy || !recipe || productId === ''}>
            {busy ? t('common.saving') : t('mixing.save')}
          </Button>
        </div>
        <ProblemAlert problems={problems} />
      </form>

      <FoamLance washerLitresPerMinute={lance.washerLitresPerMinute} draw={draw} setDraw={setDraw} />
    </div>
  )
}
