'use client'

import { spoken, type Spoken } from '@/i18n/spoken'
import { saidProblems } from '@/i18n/saidProblems'
import { useSay } from '@/i18n/useSay'
import { bold } from '@/i18n/rich'
import { useTranslations } from 'next-intl'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import {
  calibrateLance,
  dilutionStyles,
  lanceBottleFraction,
  lanceSurfaceFraction,
  mixingRecipe,
  readDilution,
  writeDilution,
  type DilutionChoice,
  type Mix,
} from '@/core/dilution'
import type { OunceSystem } from '@/core/quantity/volume'
import { formatNumber, formatMillilitres } from '@/i18n/format'
import type { FormAction } from '../form/formAction'
import { useSending } from '../form/useSending'
import { newId } from '../newId'
import { BottleDrawing } from '../plan/BottleDrawing'
import { ProblemAlert } from '../form/ProblemAlert'

interface MixingBenchProps {
  readonly products: readonly { readonly id: string; readonly name: string; readonly strength: Mix }[]
  readonly chosenId: string | null
  readonly ounces: OunceSystem | null
  readonly smallestMeasureMillilitres: number
  readonly lance: { readonly washerLitresPerMinute: number; readonly drawLitresPerMinute: number }
  readonly keep: FormAction<unknown>
}

const numberOf = (text: string): number => (text.trim() === '' ? NaN : Number(text.replace(',', '.')))

/** Any way of saying a strength in; what to pour, what the lance makes of it, and a bottle with a label out. */
export function MixingBench(props: MixingBenchProps) {
  const t = useTranslations()
  const say = useSay()

  const { products, ounces, smallestMeasureMillilitres, lance } = props
  const [productId, setProductId] = useState(props.chosenId ?? products[0]?.id ?? '')
  const product = products.find(({ id }) => id === productId)
  const [said, setSaid] = useState(product ? writeDilution(product.strength) : '1:10')
  const [answer, setAnswer] = useState<Spoken<DilutionChoice> | null>(null)
  const [total, setTotal] = useState('500')
  const [bottle, setBottle] = useState('1000')
  const [mixedBy, setMixedBy] = useState('')
  const [surface, setSurface] = useState('2')
  const [calibration, setCalibration] = useState({ millilitres: '', seconds: '' })
  const [draw, setDraw] = useState(lance.drawLitresPerMinute)
  const { problems, busy, send } = useSending()
  const [requestId] = useState(newId)

  const reading = spoken(
    readDilution(said, {
      ...(ounces ? { ounces } : {}),
      ...(Number.isFinite(numberOf(bottle)) ? { bottleMillilitres: numberOf(bottle) } : {}),
    }),
    say,
  )
  const mix = answer?.mix ?? (reading.kind === 'mix' ? reading.mix : null)
  // Of a range the middle is mixed; the ends are said.
  const fraction = mix && Math.sqrt(mix.from * mix.to)
  const wanted = numberOf(total)
  const recipe = fraction && wanted > 0 ? mixingRecipe(fraction, wanted, smallestMeasureMillilitres) : null
  const flow = { washerLitresPerMinute: lance.washerLitresPerMinute, drawLitresPerMinute: draw }
  const needed = lanceBottleFraction(numberOf(surface) / 100, flow)
  const calibrated =
    calibration.millilitres !== '' && calibration.seconds !== ''
      ? calibrateLance(numberOf(calibration.millilitres), numberOf(calibration.seconds))
      : null
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
          if (recipe?.ok) {
            const { realFraction, totalMillilitres } = recipe.value
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
            <Form.Control
              inputMode="decimal"
              value={total}
              onChange={(event) => setTotal(event.target.value)}
            />
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
          <Form.Group controlId="bottle">
            <Form.Label>{t('mixing.dilution.millilitres', { question: reading.question })}</Form.Label>
            <Form.Control
              inputMode="decimal"
              value={bottle}
              onChange={(event) => setBottle(event.target.value)}
            />
          </Form.Group>
        )}
        {recipe?.ok && mix && (
          <div className="bench-recipe" aria-live="polite">
            <BottleDrawing recipe={recipe.value} delivery="trigger" id="bench-bottle" />
            <div>
              <p className="bench-figure">
                {formatMillilitres(recipe.value.concentrateMillilitres)}
                {recipe.value.waterMillilitres > 0 &&
                  t('mixing.addWater', { water: formatMillilitres(recipe.value.waterMillilitres) })}
              </p>
              <p className="soft">
                {[
                  ...new Set(
                    dilutionStyles.map((style) =>
                      writeDilution(
                        { from: recipe.value.realFraction, to: recipe.value.realFraction },
                        style,
                      ),
                    ),
                  ),
                ].join('  ·  ')}
              </p>
              {mix.from !== mix.to && (
                <p className="soft">{t('mixing.labelRange', { range: writeDilution(mix) })}</p>
              )}
              {reading.kind === 'mix' && reading.inLanceBottle && (
                <p className="soft">
                  {t('mixing.lanceShare', {
                    percent: formatNumber(lanceSurfaceFraction(recipe.value.realFraction, flow) * 100, 2),
                  })}
                </p>
              )}
              <p className="soft">
                {t('mixing.pouring', { water: String(recipe.value.waterMillilitres > 0) })}
              </p>
            </div>
          </div>
        )}
        {recipe && !recipe.ok && <ProblemAlert problems={saidProblems(recipe.problems, say)} />}
        <div className="bench-keep">
          <Form.Group controlId="mixedBy">
            <Form.Label>{t('mixing.mixedBy')}</Form.Label>
            <Form.Control
              value={mixedBy}
              maxLength={80}
              onChange={(event) => setMixedBy(event.target.value)}
            />
          </Form.Group>
          <Button type="submit" disabled={busy || !recipe?.ok || productId === ''}>
            {busy ? t('common.saving') : t('mixing.save')}
          </Button>
        </div>
        <ProblemAlert problems={problems} />
      </form>

      <section aria-labelledby="lance" className="bench-lance">
        <div className="section-head">
          <h2 id="lance">{t('mixing.lance.title')}</h2>
        </div>
        <div className="field-grid">
          <Form.Group controlId="surface">
            <Form.Label>{t('mixing.lance.wanted')}</Form.Label>
            <Form.Control
              inputMode="decimal"
              value={surface}
              onChange={(event) => setSurface(event.target.value)}
            />
          </Form.Group>
          <div className="bench-answer" aria-live="polite">
            {Number.isFinite(numberOf(surface)) && numberOf(surface) > 0
              ? needed.ok
                ? t.rich('mixing.lance.inBottle', {
                    strength: writeDilution({ from: needed.value, to: needed.value }, 'percent'),
                    b: bold,
                  })
                : saidProblems(needed.problems, say)[0]?.fix
              : t('mixing.lance.missing')}
          </div>
          <Form.Group controlId="calibrate-ml">
            <Form.Label>{t('mixing.lance.bottleMillilitres')}</Form.Label>
            <Form.Control
              inputMode="decimal"
              value={calibration.millilitres}
              onChange={(event) => setCalibration({ ...calibration, millilitres: event.target.value })}
            />
          </Form.Group>
          <Form.Group controlId="calibrate-s">
            <Form.Label>{t('mixing.lance.emptySeconds')}</Form.Label>
            <Form.Control
              inputMode="decimal"
              value={calibration.seconds}
              onChange={(event) => setCalibration({ ...calibration, seconds: event.target.value })}
            />
          </Form.Group>
        </div>
        <p className="soft" aria-live="polite">
          {t('mixing.lance.flow', {
            washer: String(lance.washerLitresPerMinute),
            draw: formatNumber(draw, 2),
          })}{' '}
          {calibrated &&
            (calibrated.ok ? (
              <button type="button" className="link-button" onClick={() => setDraw(calibrated.value)}>
                {t('mixing.lance.useMeasured', { litres: formatNumber(calibrated.value, 2) })}
              </button>
            ) : (
              saidProblems(calibrated.problems, say)
                .map(({ fix }) => fix)
                .join(' ')
            ))}{' '}
          {t('mixing.lance.inSettings')}
        </p>
      </section>
    </div>
  )
}
