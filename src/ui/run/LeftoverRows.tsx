import { useTranslations } from 'next-intl'
import { Plus, X } from 'lucide-react'
import { useState } from 'react'
import type { Stayed } from '@/core/run/answer'
import type { Leftover } from '@/core/run/leftover'
import type { Position } from '@/core/wheel/position'
import type { DrawnWheel } from '../wheel-drawing/drawnWheel'
import { StayedPanel } from './StayedPanel'

interface LeftoverRowsProps {
  readonly wheels: readonly DrawnWheel[]
  readonly leftovers: readonly Leftover[]
  readonly change: (leftovers: readonly Leftover[]) => void
}

/** Wheel by wheel what is still there: a tap takes it off the list, another opens the wheel to add to it. */
export function LeftoverRows({ wheels, leftovers, change }: LeftoverRowsProps) {
  const t = useTranslations()

  const [open, setOpen] = useState<Position | null>(null)
  const wheel = wheels.find(({ position }) => position === open)
  const at = (position: Position) => leftovers.filter((one) => one.position === position)
  const put = (position: Position, stayed: readonly Stayed[]) =>
    change([
      ...leftovers.filter((one) => one.position !== position),
      ...stayed.map(({ zone, soil }) => ({ position, zone, soil })),
    ])
  if (wheel)
    return (
      <StayedPanel
        wheel={wheel}
        stayed={at(wheel.position)}
        change={(stayed) => put(wheel.position, stayed)}
        doneWord={t('bay.leftovers.save')}
        done={() => setOpen(null)}
        back={() => setOpen(null)}
      />
    )
  return (
    <ul className="leftovers" aria-label={t('bay.leftovers.title')}>
      {wheels.map(({ position }) => (
        <li key={position}>
          <b>{t(`terms.position.${position}`)}</b>
          <span className="chips">
            {at(position).length === 0 && <span className="soft">{t('bay.leftovers.clean')}</span>}
            {at(position).map((one) => (
              <button
                key={`${one.zone} ${one.soil}`}
                type="button"
                className="chip"
                aria-label={t('bay.leftovers.remove', {
                  soil: t(`terms.soil.${one.soil}`),
                  zone: t(`terms.zone.${one.zone}`),
                  wheel: t(`terms.wheel.${position}`),
                })}
                onClick={() => change(leftovers.filter((other) => other !== one))}
              >
                {t(`terms.zone.${one.zone}`)}: {t(`terms.soil.${one.soil}`)} <X aria-hidden size={15} />
              </button>
            ))}
          </span>
          <button
            type="button"
            className="leftover-add"
            aria-label={t('bay.leftovers.addAt', { wheel: t(`terms.wheel.${position}`) })}
            onClick={() => setOpen(position)}
          >
            <Plus aria-hidden size={24} />
          </button>
        </li>
      ))}
    </ul>
  )
}
