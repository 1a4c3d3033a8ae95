'use client'

import { useTranslations } from 'next-intl'
import type { Position } from '@/core/wheel/position'

interface WheelChipsProps {
  readonly positions: readonly Position[]
  readonly value: readonly Position[]
  readonly set: (chosen: readonly Position[]) => void
  /** What to do where it was refused. */
  readonly fix?: string | undefined
}

/** Which wheels something is about. */
export function WheelChips({ positions, value, set, fix }: WheelChipsProps) {
  const t = useTranslations()

  return (
    <>
      <div className="chips" role="group" aria-label={t('protection.wheels')}>
        {positions.map((position) => (
          <button
            key={position}
            type="button"
            className="chip"
            aria-pressed={value.includes(position)}
            onClick={() =>
              set(positions.filter((one) => (one === position ? !value.includes(one) : value.includes(one))))
            }
          >
            {t(`terms.positionShort.${position}`)}
          </button>
        ))}
      </div>
      {fix && <span className="invalid-feedback is-said">{fix}</span>}
    </>
  )
}
