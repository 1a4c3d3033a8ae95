'use client'

import { useTranslations } from 'next-intl'
import type { Position } from '@/core/wheel/position'

interface WheelChipsProps {
  readonly positions: readonly Position[]
  readonly chosen: readonly Position[]
  readonly onChange: (chosen: readonly Position[]) => void
}

/** Which wheels something is about. */
export function WheelChips({ positions, chosen, onChange }: WheelChipsProps) {
  const t = useTranslations()

  return (
    <div className="chips" role="group" aria-label={t('protection.wheels')}>
      {positions.map((position) => (
        <button
          key={position}
          type="button"
          className="chip"
          aria-pressed={chosen.includes(position)}
          onClick={() =>
            onChange(
              positions.filter((one) => (one === position ? !chosen.includes(one) : chosen.includes(one))),
            )
          }
        >
          {t(`terms.positionShort.${position}`)}
        </button>
      ))}
    </div>
  )
}
