import { useFormats } from '@/i18n/useFormats'
import { useTranslations } from 'next-intl'
import type { Translator } from '@/i18n/translator'
import { Link } from '@/ui/Link'
import type { Position } from '@/core/wheel/position'

export interface ShownPhotograph {
  readonly id: string
  readonly positions: readonly Position[]
  readonly takenAt: Date
}

interface PhotographStripProps {
  readonly wheelSetId: string
  readonly photographs: readonly ShownPhotograph[]
  readonly now: Date
}

/** Of which wheels it is. */
export const wheelsOf = ({ positions }: Pick<ShownPhotograph, 'positions'>, t: Translator): string =>
  positions.length === 0 ? t('photos.wholeSet') : positions.map((at) => t(`terms.position.${at}`)).join(', ')

/** Photographs side by side, each to be opened. */
export function PhotographStrip({ wheelSetId, photographs, now }: PhotographStripProps) {
  const formats = useFormats()
  const t = useTranslations()
  if (photographs.length === 0) return null
  return (
    <ul className="photographs">
      {photographs.map((photograph) => (
        <li key={photograph.id}>
          <Link href={`/wheels/${wheelSetId}/photographs/${photograph.id}`}>
            <img
              src={`/api/photographs/${photograph.id}?size=small`}
              alt={`${wheelsOf(photograph, t)}, ${formats.day(photograph.takenAt, now)}`}
              loading="lazy"
            />
            <span>{wheelsOf(photograph, t)}</span>
            <span className="soft">{formats.day(photograph.takenAt, now)}</span>
          </Link>
        </li>
      ))}
    </ul>
  )
}
