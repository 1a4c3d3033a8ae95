import { useFormats } from '@/i18n/useFormats'
import { useTranslations } from 'next-intl'
import type { Delivery } from '@/core/chemistry/family'

/** Outlines in a field of 40 by 64. */
const bottleOutline = 'M 12 2 h 16 v 9 q 8 4 8 13 v 34 q 0 4 -4 4 h -24 q -4 0 -4 -4 v -34 q 0 -9 8 -13 z'
const bucketOutline = 'M 3 18 h 34 l -4 40 q -0.5 4 -4 4 h -18 q -3.5 0 -4 -4 z'
const [top, bottom] = [14, 61]

interface BottleDrawingProps {
  readonly recipe: {
    readonly concentrateMillilitres: number
    readonly waterMillilitres: number
    readonly totalMillilitres: number
  }
  readonly delivery: Delivery
  readonly id: string
}

/** A bottle or a bucket with the concentrate drawn to its share under the water. Shares too small to see get a line. */
export function BottleDrawing({ recipe, delivery, id }: BottleDrawingProps) {
  const formats = useFormats()
  const t = useTranslations()

  const glass = delivery === 'bucket' ? bucketOutline : bottleOutline
  const share = recipe.concentrateMillilitres / recipe.totalMillilitres
  const height = Math.max(1.6, share * (bottom - top))
  return (
    <svg
      className="bottle"
      viewBox="0 0 40 64"
      role="img"
      aria-label={t('plan.bottle', {
        product: formats.poured(recipe.concentrateMillilitres),
        water: formats.poured(recipe.waterMillilitres),
      })}
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
      {delivery === 'bucket' && (
        <path d="M 4 18 q 16 -22 32 0" fill="none" stroke="currentColor" strokeWidth="1.4" />
      )}
      <path d={glass} fill="none" stroke="currentColor" strokeWidth="1.8" />
    </svg>
  )
}
