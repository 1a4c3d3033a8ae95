import type { Grade, Soil } from '@/core/soils/soil'
import { soilClass } from '../wheel-drawing/soilClass'
import { specksOf, specksPath } from '../wheel-drawing/specks'

/** A patch of surface with a soil at a grade on it, drawn like the wheel it is graded on. */
export function GradePicture({ soil, grade }: { readonly soil: Soil; readonly grade: Grade }) {
  const veil = soil === 'film' || soil === 'tyreBrowning'
  return (
    <svg className="grade-picture" viewBox="-24 -15 48 30" aria-hidden>
      <rect
        x="-24"
        y="-15"
        width="48"
        height="30"
        rx="3"
        className={soil === 'tyreBrowning' ? 'patch-rubber' : 'patch-metal'}
      />
      {veil ? (
        <rect
          x="-24"
          y="-15"
          width="48"
          height="30"
          rx="3"
          className={soil === 'film' ? 'patch-film' : 'patch-brown'}
          opacity={grade * 0.21}
        />
      ) : (
        grade > 0 && (
          <path
            className={soilClass[soil]}
            transform="scale(1.25)"
            d={specksPath(
              specksOf(soil, grade, 0, 19).filter(({ y, x }) => Math.abs(y) < 11 && Math.abs(x) < 18),
            )}
          />
        )
      )}
    </svg>
  )
}
