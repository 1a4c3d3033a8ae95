import { positionNames, positions } from '@/core/wheel/position'
import type { ScopedWheels } from './useScopedWheels'

/** Wheels that the set has or has not. */
export function MoreWheels({ wheels }: { readonly wheels: ScopedWheels }) {
  return (
    <details className="mt-3">
      <summary>More or fewer wheels</summary>
      <div className="chips mt-2" role="group" aria-label="Wheels of this set">
        {positions.map((position) => {
          const isThere = wheels.positions.includes(position)
          return (
            <button
              key={position}
              type="button"
              className="chip"
              aria-pressed={isThere}
              disabled={wheels.positions.length === 1 && isThere}
              onClick={() => wheels.changePosition(position, !isThere)}
            >
              {positionNames[position]}
            </button>
          )
        })}
      </div>
    </details>
  )
}
