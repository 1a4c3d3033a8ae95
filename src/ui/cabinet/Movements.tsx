import type { Formats } from '@/i18n/formats'
import { useFormats } from '@/i18n/useFormats'
import { useTranslations } from 'next-intl'
import type { MovementKind } from '@/core/chemistry/stockMovement'

interface ShownMovement {
  readonly id: string
  readonly at: Date
  readonly kind: MovementKind
  readonly millilitres: number
  readonly leftMillilitres: number
  readonly note: string
}

const signed = (millilitres: number, formats: Formats): string =>
  `${millilitres < 0 ? '−' : '+'}${formats.volume(Math.abs(millilitres))}`

/** The last movements of a product's stock, the newest first. */
export function Movements({
  movements,
  now,
}: {
  readonly movements: readonly ShownMovement[]
  readonly now: Date
}) {
  const formats = useFormats()
  const t = useTranslations()

  return (
    <ul className="rows">
      {movements.map(({ id, at, kind, millilitres, leftMillilitres, note }) => (
        <li key={id} className="row-item stock-row">
          <span>
            <span className="number">{formats.day(at, now)}</span> {t(`terms.movement.${kind}`)}
            {note && <span className="soft">, {note}</span>}
          </span>
          <span className="number">
            {t('cabinet.stock.movement', {
              change: signed(millilitres, formats),
              left: formats.volume(leftMillilitres),
            })}
          </span>
        </li>
      ))}
    </ul>
  )
}
