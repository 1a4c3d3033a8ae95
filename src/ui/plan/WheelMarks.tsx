import { placeOf } from '../wheel-drawing/Stance'
import type { Position } from '@/core/wheel/position'

interface WheelMarksProps {
  readonly corners: readonly Position[]
  readonly positions: readonly Position[]
}

const step = 11

/** Draws the vehicle's wheels as small circles, filled where the pass is done. The caller says the same in words. */
export function WheelMarks({ corners, positions }: WheelMarksProps) {
  const rows = Math.max(...positions.map((position) => placeOf[position].row))
  return (
    <svg className="wheel-marks" viewBox={`0 0 ${2 * step} ${rows * step}`} height={rows * step} aria-hidden>
      {positions.map((position) => {
        const { column, row } = placeOf[position]
        return (
          <circle
            key={position}
            className={corners.includes(position) ? 'is-done' : undefined}
            cx={(Number(column) - 0.5) * step}
            cy={(row - 0.5) * step}
            r={3.6}
          />
        )
      })}
    </svg>
  )
}
