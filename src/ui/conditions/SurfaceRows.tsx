import { Thermometer } from 'lucide-react'
import { useTranslations } from 'next-intl'
import Button from 'react-bootstrap/Button'
import type { Plan } from '@/core/plan/plan'
import type { Position } from '@/core/wheel/position'
import { useFormats } from '@/i18n/useFormats'
import type { AskedDevices } from './useDevices'

interface SurfaceRowsProps {
  readonly positions: readonly Position[]
  readonly timings: Plan['timings']
  readonly asked: AskedDevices
}

/** How warm each wheel is, worked out or measured. */
export function SurfaceRows({ positions, timings, asked }: SurfaceRowsProps) {
  'use memo'
  const t = useTranslations()
  const formats = useFormats()

  const surfaceAt = (position: Position) =>
    timings.find(
      (timing) => timing.corner === position && timing.stageId.match(/^(wash|iron|mineral|tar)/),
    ) ?? timings.find((timing) => timing.corner === position)
  return (
    <ul className="rows surfaces" aria-label={t('conditions.surfaces')}>
      {positions.map((position) => {
        const timing = surfaceAt(position)
        return (
          <li key={position} className="row-item">
            <b>{t(`terms.positionShort.${position}`)}</b>
            <span>
              {timing ? formats.quantity(timing.surfaceCelsius, 'temperature') : '–'}{' '}
              <span className="soft">
                {t(timing?.isMeasured ? 'conditions.isMeasured' : 'conditions.isEstimated')}
              </span>
            </span>
            <Button
              variant="outline-secondary"
              size="sm"
              disabled={asked.asking}
              aria-label={t('conditions.measureWheel', { wheel: t(`terms.wheel.${position}`) })}
              onClick={() => void asked.measure(position)}
            >
              <Thermometer aria-hidden size={16} /> {t('conditions.measure')}
            </Button>
          </li>
        )
      })}
    </ul>
  )
}
