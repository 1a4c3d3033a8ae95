import { useTranslations } from 'next-intl'
import type { Position } from '@/core/wheel/position'
import type { Zone } from '@/core/wheel/zone'
import type { DrawnWheel } from '../wheel-drawing/drawnWheel'
import { Stance } from '../wheel-drawing/Stance'
import { WheelDrawing } from '../wheel-drawing/WheelDrawing'
import type { IntakeValues } from './intakeValues'
import { heaviest } from './loads'

/** A zone of a wheel. */
export interface Spot {
  readonly position: Position
  readonly zone: Zone
}

interface IntakeWheelsProps {
  readonly wheels: readonly DrawnWheel[]
  readonly values: IntakeValues
  readonly at: Spot
  readonly choose: (spot: Spot) => void
}

/** The wheels as on the vehicle with the dirt as graded; a zone is chosen by a tap. */
export function IntakeWheels({ wheels, values: { loads, off }, at, choose }: IntakeWheelsProps) {
  const t = useTranslations()

  return (
    <Stance wheels={wheels}>
      {(wheel) => {
        const { position } = wheel
        const own = loads[position] ?? {}
        const isOff = off.includes(position)
        const isChosen = at.position === position
        const graded = heaviest(own).map(({ soil, grade }) => `${t(`terms.soil.${soil}`)} ${grade}`)
        return (
          <div className={`intake-wheel${isOff ? ' is-off' : ''}${isChosen ? ' is-chosen' : ''}`}>
            <WheelDrawing
              {...wheel}
              id={position}
              label={t(`terms.position.${position}`)}
              loads={own}
              selected={isChosen ? at.zone : null}
              onZone={(zone) => choose({ position, zone })}
            />
            <h3>{t(`terms.position.${position}`)}</h3>
            <p className="soft">
              {isOff ? t('intake.skipped') : graded.join(', ') || t('intake.nothingGraded')}
            </p>
          </div>
        )
      }}
    </Stance>
  )
}
