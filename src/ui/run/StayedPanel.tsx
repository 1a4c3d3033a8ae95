import { useTranslations } from 'next-intl'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import type { Stayed } from '@/core/run/answer'
import type { Zone } from '@/core/wheel/zone'
import { soilsOfZone } from '../intake/loads'
import type { DrawnWheel } from '../wheel-drawing/drawnWheel'
import { WheelDrawing } from '../wheel-drawing/WheelDrawing'

/** Zones that cannot be tapped on the drawing, because they lie behind. */
const behind: readonly Zone[] = ['spokeBacks', 'barrel']

const keyOf = ({ zone, soil }: Stayed): string => `${zone} ${soil}`

interface StayedPanelProps {
  readonly wheel: DrawnWheel
  readonly stayed: readonly Stayed[]
  readonly change: (stayed: readonly Stayed[]) => void
  /** What the button that ends it says, and does. */
  readonly doneWord: string
  readonly done: () => void
  readonly back: () => void
}

/** What stayed on a wheel: tap the zone on the drawing, then the soil. */
export function StayedPanel({ wheel, stayed, change, doneWord, done, back }: StayedPanelProps) {
  const t = useTranslations()

  const [zone, setZone] = useState<Zone>('face')
  const toggle = (one: Stayed) =>
    change(
      stayed.some((known) => keyOf(known) === keyOf(one))
        ? stayed.filter((known) => keyOf(known) !== keyOf(one))
        : [...stayed, one],
    )
  return (
    <section
      className="stayed"
      aria-label={t('bay.remains.panel', { wheel: t(`terms.wheel.${wheel.position}`) })}
    >
      <div className="stayed-wheel">
        <WheelDrawing
          {...wheel}
          id="stayed"
          label={t('bay.remains.drawing', { wheel: t(`terms.position.${wheel.position}`) })}
          selected={zone}
          highlighted={stayed.length > 0 ? [...new Set([zone, ...stayed.map((one) => one.zone)])] : undefined}
          onZone={setZone}
        />
      </div>
      <div className="chips" role="group" aria-label={t('bay.remains.behind')}>
        {behind.map((one) => (
          <button
            key={one}
            type="button"
            className="chip"
            aria-pressed={zone === one}
            onClick={() => setZone(one)}
          >
            {t(`terms.zone.${one}`)}
          </button>
        ))}
      </div>
      <h2>{t('bay.remains.what', { zone: t(`terms.zone.${zone}`) })}</h2>
      <div className="chips" role="group" aria-label={t('bay.remains.soil')}>
        {soilsOfZone(zone)
          .filter((soil) => soil !== 'grit')
          .map((soil) => (
            <button
              key={soil}
              type="button"
              className="chip"
              title={t(`terms.soilSign.${soil}`)}
              aria-pressed={stayed.some((known) => keyOf(known) === keyOf({ zone, soil }))}
              onClick={() => toggle({ zone, soil })}
            >
              {t(`terms.soil.${soil}`)}
            </button>
          ))}
      </div>
      {stayed.length > 0 && (
        <p aria-live="polite">
          {stayed
            .map((one) =>
              t('bay.remains.soilAt', {
                soil: t(`terms.soil.${one.soil}`),
                zone: t(`terms.zone.${one.zone}`),
              }),
            )
            .join(', ')}
        </p>
      )}
      <div className="stayed-acts">
        <Button className="btn-done" disabled={stayed.length === 0} onClick={done}>
          {doneWord}
        </Button>
        <Button variant="outline-secondary" onClick={back}>
          {t('common.back')}
        </Button>
      </div>
    </section>
  )
}
