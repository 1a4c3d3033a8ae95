import { useTranslations } from 'next-intl'
import { Droplets } from 'lucide-react'
import { readClock, type DwellClock } from '@/core/run/dwellClock'
import { formatClock } from '@/i18n/format'

interface KeepWetProps {
  readonly clock: DwellClock
  readonly nowMilliseconds: number
  readonly misted: () => void
}

/** A film that ends while the hands are elsewhere: a mist is all it takes, and one tap says it was done. */
export function KeepWet({ clock, nowMilliseconds, misted }: KeepWetProps) {
  const t = useTranslations()

  const { phase, remainingSeconds } = readClock(clock, nowMilliseconds)
  const where = t(`terms.wheel.${clock.corner}`)
  return (
    <button type="button" className="keep-wet" onClick={misted}>
      <Droplets aria-hidden size={30} />
      <span>
        <b>{t('bay.keepWet.mist', { wheel: where })}</b>
        <small>
          {phase === 'dry'
            ? t('bay.keepWet.dry', { product: clock.productName })
            : t('bay.keepWet.nearlyDry', { product: clock.productName, time: formatClock(remainingSeconds) })}
          {clock.limit === 'contact' && t('bay.keepWet.rinseOnTime')}
        </small>
      </span>
    </button>
  )
}
