import { useTranslations } from 'next-intl'
import { positions } from '@/core/wheel/position'
import type { ScopedWheels } from './useScopedWheels'

/** Wheels that the set has or has not. */
export function MoreWheels({ wheels }: { readonly wheels: ScopedWheels }) {
  const t = useTranslations()

  return (
    <details className="mt-3">
      <summary>{t('wheelSet.wheels.more')}</summary>
      <div className="chips mt-2" role="group" aria-label={t('wheelSet.wheels.label')}>
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
              {t(`terms.position.${position}`)}
            </button>
          )
        })}
      </div>
    </details>
  )
}
