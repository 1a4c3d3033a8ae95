import { currentTime } from '@/clock'
import type { LookEffect } from '@/core/due/lookEffect'
import { formatDay } from '../format/format'

const axleNames = { front: 'fronts', rear: 'rears' }

function movedWords({ movedDays, topUpAt }: LookEffect): string {
  const when = `top-up ${formatDay(topUpAt, currentTime())}`
  if (movedDays === 0) return `stays: ${when}`
  return `${Math.abs(movedDays)} days ${movedDays < 0 ? 'sooner' : 'later'}: ${when}`
}

const keptWords = (effect: LookEffect): string => {
  const surer = effect.narrowerDays > 0 ? `; ${effect.narrowerDays} days surer` : ''
  return `${movedWords(effect)}${surer}. ${effect.clog}`.trim()
}

/** What a look has moved, layer by layer. */
export function LookEffects({ effects }: { readonly effects: readonly LookEffect[] }) {
  return (
    <div className="look-effects" role="status">
      <b>Kept.</b>
      <ul>
        {effects.map((effect) => (
          <li key={`${effect.productName} ${effect.axle}`}>
            {effect.productName}, {axleNames[effect.axle]}: {effect.isGone ? effect.clog : keptWords(effect)}
          </li>
        ))}
      </ul>
    </div>
  )
}
