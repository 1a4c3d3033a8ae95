import { QuantityInput } from '@/ui/form/QuantityInput'
import { useFormats } from '@/i18n/useFormats'
import { saidProblems } from '@/i18n/saidProblems'
import { useSay } from '@/i18n/useSay'
import { bold } from '@/i18n/rich'
import { useTranslations } from 'next-intl'
import { useState } from 'react'
import Form from 'react-bootstrap/Form'
import { calibrateLance, lanceBottleFraction } from '@/core/dilution/foamLance'
import { writeDilution } from '@/core/dilution/writeDilution'
import { numberOf } from './numberOf'

interface FoamLanceProps {
  readonly washerLitresPerMinute: number
  /** What the lance draws, litres a minute: of the settings until it is measured here. */
  readonly draw: number
  readonly setDraw: (litresPerMinute: number) => void
}

/** What has to be in a lance's bottle for a strength at the wheel, and how much the lance draws. */
export function FoamLance({ washerLitresPerMinute, draw, setDraw }: FoamLanceProps) {
  const formats = useFormats()
  const t = useTranslations()
  const say = useSay()
  const [surface, setSurface] = useState('2')
  const [calibration, setCalibration] = useState({ millilitres: '', seconds: '' })
  const needed = lanceBottleFraction(numberOf(surface) / 100, {
    washerLitresPerMinute,
    drawLitresPerMinute: draw,
  })
  const calibrated =
    calibration.millilitres !== '' && calibration.seconds !== ''
      ? calibrateLance(numberOf(calibration.millilitres), numberOf(calibration.seconds))
      : null
  return (
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
          <QuantityInput
            kind="volume"
            value={calibration.millilitres}
            set={(millilitres) => setCalibration({ ...calibration, millilitres })}
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
          washer: formats.quantity(washerLitresPerMinute, 'flow'),
          draw: formats.quantity(draw, 'flow'),
        })}{' '}
        {calibrated &&
          (calibrated.ok ? (
            <button type="button" className="link-button" onClick={() => setDraw(calibrated.value)}>
              {t('mixing.lance.useMeasured', { flow: formats.quantity(calibrated.value, 'flow') })}
            </button>
          ) : (
            saidProblems(calibrated.problems, say)
              .map(({ fix }) => fix)
              .join(' ')
          ))}{' '}
        {t('mixing.lance.inSettings')}
      </p>
    </section>
  )
}
