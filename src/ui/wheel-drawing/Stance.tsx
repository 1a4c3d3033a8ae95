import type { ReactNode } from 'react'
import type { Position } from '@/core/wheel/position'

/** Place of each position in the two columns, front above rear, left at the left. */
export const placeOf: Record<Position, { readonly column: string; readonly row: number }> = {
  front: { column: '1', row: 1 },
  rear: { column: '2', row: 1 },
  frontLeft: { column: '1', row: 1 },
  frontRight: { column: '2', row: 1 },
  rearLeft: { column: '1', row: 2 },
  rearRight: { column: '2', row: 2 },
  rearLeftInner: { column: '1', row: 3 },
  rearRightInner: { column: '2', row: 3 },
  thirdLeft: { column: '1', row: 4 },
  thirdRight: { column: '2', row: 4 },
}

/** Wheels as they stand on the vehicle. The DOM order is the walking order; the grid puts each in its place. */
export function Stance<T extends { readonly position: Position }>({
  wheels,
  children,
}: {
  readonly wheels: readonly T[]
  readonly children: (wheel: T) => ReactNode
}) {
  return (
    <div className={`stance${wheels.length === 1 ? ' is-single' : wheels.length === 4 ? ' is-pair' : ''}`}>
      {wheels.map((wheel) => (
        <div
          key={wheel.position}
          className="stance-wheel"
          data-wheel={wheel.position}
          style={
            wheels.length === 1
              ? undefined
              : { gridColumn: placeOf[wheel.position].column, gridRow: placeOf[wheel.position].row }
          }
        >
          {children(wheel)}
        </div>
      ))}
    </div>
  )
}
