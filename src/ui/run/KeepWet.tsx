import { Droplets } from 'lucide-react'
import { readClock, type DwellClock } from '@/core/run/dwellClock'
import { positionNames } from '@/core/wheel/position'
import { formatClock } from '../format/format'

interface KeepWetProps {
  readonly clock: DwellClock
  readonly nowMilliseconds: number
  readonly misted: () => void
}

/** A film that ends while the hands are elsewhere: a mist is all it takes, and one tap says it was done. */
export function KeepWet({ clock, nowMilliseconds, misted }: KeepWetProps) {
  const { phase, remainingSeconds } = readClock(clock, nowMilliseconds)
  const where = positionNames[clock.corner].toLowerCase()
  return (
    <button type="button" className="keep-wet" onClick={misted}>
      <Droplets aria-hidden size={30} />
      <span>
        <b>Mist {where}</b>
        <small>
          {phase === 'dry'
            ? `${clock.productName} may be dry: wet all of it again.`
            : `${clock.productName} is nearly dry, ${formatClock(remainingSeconds)} left.`}
          {clock.limit === 'contact' && ' Still rinse on time.'}
        </small>
      </span>
    </button>
  )
}
