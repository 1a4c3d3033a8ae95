import { useFormats } from '@/i18n/useFormats'
import { useTranslations } from 'next-intl'
import type { KnownLayer } from '@/core/forecast'

interface OtherLayersProps {
  readonly layers: readonly KnownLayer[]
  readonly now: Date
}

/** What is on tyres and trim, and when it is gone. */
export function OtherLayers({ layers, now }: OtherLayersProps) {
  const formats = useFormats()
  const t = useTranslations()

  if (layers.length === 0) return null
  return (
    <section aria-labelledby="other-layers">
      <div className="section-head">
        <h2 id="other-layers">{t('protection.other.title')}</h2>
      </div>
      <ul className="rows">
        {layers.map(({ facts, forecast }) => (
          <li key={forecast.id} className="row-item stock-row">
            <span>
              {facts.productName}, {t(`terms.axle.${facts.axle}`)}
            </span>
            <span className="number">{formats.day(forecast.renew.p50, now)}</span>
          </li>
        ))}
      </ul>
    </section>
  )
}
