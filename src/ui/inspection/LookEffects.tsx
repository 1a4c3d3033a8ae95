import type { Formats } from '@/i18n/formats'
import { useFormats } from '@/i18n/useFormats'
import type { Translator } from '@/i18n/translator'
import { useTranslations } from 'next-intl'
import { currentTime } from '@/clock'
import type { LookEffect } from '@/core/due'

/** Where the date has moved to, and how much more certain it is. */
const movedText = (
  { movedDays, narrowerDays, topUpAt, clog }: LookEffect,
  t: Translator,
  formats: Formats,
): string =>
  [
    t('protection.check.moved', {
      day: formats.day(topUpAt, currentTime()),
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
  const formats = useFormats()
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
              effect: effect.isGone ? t('protection.check.clog.gone') : movedText(effect, t, formats),
            })}
          </li>
        ))}
      </ul>
    </div>
  )
}
