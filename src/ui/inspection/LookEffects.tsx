import type { Translator } from '@/i18n/translator'
import { useTranslations } from 'next-intl'
import { currentTime } from '@/clock'
import type { LookEffect } from '@/core/due/lookEffect'
import { formatDay } from '@/i18n/format'

/** Where the date has moved to, and how much more certain it is. */
const movedText = ({ movedDays, narrowerDays, topUpAt, clog }: LookEffect, t: Translator): string =>
  [
    t('protection.check.moved', {
      day: formatDay(topUpAt, currentTime()),
      direction: movedDays === 0 ? 'same' : movedDays < 0 ? 'sooner' : 'later',
      days: Math.abs(movedDays),
    }),
    narrowerDays > 0 ? t('protection.check.narrower', { days: narrowerDays }) : '',
    clog === 'clear' ? '' : t(`protection.check.clog.${clog}`),
  ]
    .filter(Boolean)
    .join(' ')

/** What a look has moved, layer by layer. */
export function LookEffects({ effects }: { readonly effects: readonly LookEffect[] }) {
  const t = useTranslations()

  return (
    <div className="look-effects" role="status">
      <b>{t('common.saved')}</b>
      <ul>
        {effects.map((effect) => (
          <li key={`${effect.productName} ${effect.axle}`}>
            {t('protection.check.effect', {
              product: effect.productName,
              axle: t(`terms.axle.${effect.axle}`),
              effect: effect.isGone ? t('protection.check.clog.gone') : movedText(effect, t),
            })}
          </li>
        ))}
      </ul>
    </div>
  )
}
