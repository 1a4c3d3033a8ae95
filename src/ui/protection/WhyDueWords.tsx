import type { Formats } from '@/i18n/formats'
import { useFormats } from '@/i18n/useFormats'
import type { Translator } from '@/i18n/translator'
import { useTranslations } from 'next-intl'
import { exhaustive } from '@/core/exhaustive'
import type { Weight, WhyDue } from '@/core/protection/whyDue'

const percent = (share: number): string => `${Math.round(share * 100)} %`

/** A share as a percentage; how many times as fast, in tenths. */
const amountOf = ({ kind, amount }: Weight, formats: Formats): string => {
  switch (kind) {
    case 'days':
    case 'winter':
    case 'heat':
    case 'road':
    case 'washes':
      return percent(amount)
    case 'hardSet':
    case 'easySet':
    case 'shortProduct':
    case 'longProduct':
      return formats.number(amount, 1)
    default:
      return exhaustive(kind)
  }
}

const daysText = (days: number, t: Translator): string =>
  t('protection.why.days', { days: Math.abs(days), direction: days < 0 ? 'sooner' : 'later' })

/** The three things that weigh most on a date, and what a wash more or less driving would do. */
export function WhyDueWords({ why }: { readonly why: WhyDue }) {
  const formats = useFormats()
  const t = useTranslations()

  return (
    <ul className="layer-why">
      {why.weights.map((weight) => (
        <li key={weight.kind}>
          {t('protection.why.weight', {
            what: t(`protection.why.kinds.${weight.kind}`, { amount: amountOf(weight, formats) }),
            days: daysText(weight.days, t),
          })}
        </li>
      ))}
      <li>
        {t('protection.why.effects', {
          distance: formats.quantity(1000, 'distance'),
          wash: why.washDays === 0 ? t('protection.why.notSooner') : daysText(why.washDays, t),
          kilometres: why.kilometreDays === 0 ? t('protection.why.notLater') : daysText(why.kilometreDays, t),
        })}
      </li>
    </ul>
  )
}
