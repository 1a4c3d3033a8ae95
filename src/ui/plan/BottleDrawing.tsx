import { formatMillilitres } from '../format/format'
import type { MixingRecipe } from '@/core/dilution/recipe'

const glass = 'M 12 2 h 16 v 9 q 8 4 8 13 v 34 q 0 4 -4 4 h -24 q -4 0 -4 -4 v -34 q 0 -9 8 -13 z'
const [top, bottom] = [14, 61]

/** A bottle with the concentrate drawn to its share under the water. Shares too small to see get a line. */
export function BottleDrawing({ recipe, id }: { readonly recipe: MixingRecipe; readonly id: string }) {
  const share = recipe.concentrateMillilitres / recipe.totalMillilitres
  const height = Math.max(1.6, share * (bottom - top))
  return (
    <svg
      className="bottle"
      viewBox="0 0 40 64"
      role="img"
      aria-label={`${formatMillilitres(recipe.concentrateMillilitres)} product, ${formatMillilitres(recipe.waterMillilitres)} water`}
    >
      <defs>
        <clipPath id={id}>
          <path d={glass} />
        </clipPath>
      </defs>
      <path className="bottle-glass" d={glass} />
      <g clipPath={`url(#${id})`}>
        <rect className="bottle-water" x="0" y={top} width="40" height={bottom - top + 3} />
        <rect className="bottle-product" x="0" y={bottom + 2 - height} width="40" height={height + 2} />
      </g>
      <path d={glass} fill="none" stroke="currentColor" strokeWidth="1.8" />
    </svg>
  )
}
