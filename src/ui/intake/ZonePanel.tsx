import { useTranslations } from 'next-intl'
import { grades, type Soil } from '@/core/soils/soil'
import { axleOf, type Position } from '@/core/wheel/position'
import type { Zone } from '@/core/wheel/zone'
import { GradePicture } from './GradePicture'
import type { IntakeValues } from './intakeValues'
import type { Spot } from './IntakeWheels'
import { copyLoads, soilsOfZone, withGrade, type LoadsByWheel } from './loads'

const zones: readonly Zone[] = [
  'face', 'barrel', 'tyre', 'arch', 'windows', 'spokeBacks', 'lip', 'caliper', 'lugSeats', 'cap', 'valve',
] // prettier-ignore
/** Nobody reaches these through a closed face. */
const behindSpokes: readonly Zone[] = ['windows', 'spokeBacks', 'caliper', 'barrel']

interface ZonePanelProps {
  readonly values: IntakeValues
  readonly positions: readonly Position[]
  readonly at: Spot
  readonly hasClosedFace: boolean
  readonly choose: (zone: Zone) => void
  readonly grade: (loads: LoadsByWheel) => void
  readonly leaveOut: (off: readonly Position[]) => void
}

/** How much of each soil is on the zone that was tapped, in pictures. */
export function ZonePanel(props: ZonePanelProps) {
  const t = useTranslations()

  const { values, positions, at, hasClosedFace, choose, grade } = props
  const { loads, off } = values
  const own = loads[at.position] ?? {}
  return (
    <>
      <h2>
        {t(`terms.position.${at.position}`)}, {t(`terms.zone.${at.zone}`)}
      </h2>
      <div className="chips" role="group" aria-label={t('intake.zone')}>
        {zones
          .filter((zone) => !hasClosedFace || !behindSpokes.includes(zone))
          .map((zone) => (
            <button
              key={zone}
              type="button"
              className="chip"
              aria-pressed={zone === at.zone}
              onClick={() => choose(zone)}
            >
              {t(`terms.zone.${zone}`)}
            </button>
          ))}
      </div>
      {soilsOfZone(at.zone).map((soil) => (
        <GradeRow
          key={soil}
          soil={soil}
          value={own[at.zone]?.[soil] ?? 0}
          disabled={off.includes(at.position)}
          set={(step) => grade({ ...loads, [at.position]: withGrade(own, at.zone, soil, step) })}
        />
      ))}
      <p className="soft mt-2">{t('intake.gradeScale')}</p>
      {positions.length > 1 && <WheelChips {...props} />}
    </>
  )
}

interface GradeRowProps {
  readonly soil: Soil
  readonly value: number
  readonly disabled: boolean
  readonly set: (grade: (typeof grades)[number]) => void
}

function GradeRow({ soil, value, disabled, set }: GradeRowProps) {
  const t = useTranslations()
  return (
    <div className="grade-row" role="group" aria-label={t(`terms.soil.${soil}`)}>
      <div>
        <b>{t(`terms.soil.${soil}`)}</b>
        <div className="sign">{t(`terms.soilSign.${soil}`)}</div>
      </div>
      <div className="grades">
        {grades.map((step) => (
          <button
            key={step}
            type="button"
            aria-pressed={value === step}
            aria-label={`${t(`terms.soil.${soil}`)} ${step}, ${t(`terms.grade.${step}`)}`}
            title={t(`terms.grade.${step}`)}
            disabled={disabled}
            onClick={() => set(step)}
          >
            <GradePicture soil={soil} grade={step} />
            <span>{step}</span>
          </button>
        ))}
      </div>
    </div>
  )
}

/** What goes for the whole wheel: copied to others, or left out. */
function WheelChips({ values: { loads, off }, positions, at, grade, leaveOut }: ZonePanelProps) {
  const t = useTranslations()

  const mates = positions.filter((position) => axleOf(position) === axleOf(at.position)).length
  const isOff = off.includes(at.position)
  return (
    <div className="chips mt-3">
      {mates > 1 && mates < positions.length && (
        <button
          type="button"
          className="chip"
          onClick={() => grade(copyLoads(loads, at.position, 'axle', positions))}
        >
          {t('intake.copyToAxle')}
        </button>
      )}
      <button
        type="button"
        className="chip"
        onClick={() => grade(copyLoads(loads, at.position, 'all', positions))}
      >
        {t('intake.copyToAll')}
      </button>
      <button
        type="button"
        className="chip"
        aria-pressed={isOff}
        onClick={() =>
          leaveOut(isOff ? off.filter((position) => position !== at.position) : [...off, at.position])
        }
      >
        {t('intake.skipWheel')}
      </button>
    </div>
  )
}
