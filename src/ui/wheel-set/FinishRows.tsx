import { useTranslations } from 'next-intl'
import Form from 'react-bootstrap/Form'
import { conditions, finishes, type Condition, type Finish } from '@/core/finishes/finish'
import { finishZones, type FinishZone } from '@/core/wheel/zone'
import { ProblemAlert } from '../form/ProblemAlert'
import { FinishFinder } from './FinishFinder'
import type { ScopedWheels } from './useScopedWheels'

interface FinishRowProps {
  readonly zone: FinishZone
  readonly wheels: ScopedWheels
}

/** Three cells of the grid: the zone, its finish, its condition. */
function FinishRow({ zone, wheels }: FinishRowProps) {
  const t = useTranslations()

  const entry = wheels.finishAt(zone)
  const differs = wheels.finishDiffers(zone)
  const hasError = wheels.finishError(zone) !== undefined
  return (
    <>
      <label htmlFor={`finish-${zone}`}>{t(`terms.zone.${zone}`)}</label>
      <Form.Select
        id={`finish-${zone}`}
        value={differs ? '' : (entry?.finish ?? 'unknown')}
        onChange={(event) =>
          wheels.setFinish(zone, event.target.value as Finish, entry?.condition ?? 'sound')
        }
      >
        {differs && <option value="">{t('wheelSet.differs')}</option>}
        {finishes.map((finish) => (
          <option key={finish} value={finish}>
            {t(`terms.finish.${finish}`)}
          </option>
        ))}
      </Form.Select>
      <Form.Select
        aria-label={t('wheelSet.condition', { zone: t(`terms.zone.${zone}`) })}
        value={differs ? '' : (entry?.condition ?? 'unknown')}
        disabled={!entry || entry.finish === 'unknown'}
        isInvalid={hasError}
        aria-describedby={hasError ? 'finish-problems' : undefined}
        onChange={(event) => entry && wheels.setFinish(zone, entry.finish, event.target.value as Condition)}
      >
        {differs && <option value="">{t('wheelSet.differs')}</option>}
        {conditions.map((condition) => (
          <option key={condition} value={condition}>
            {t(`terms.condition.${condition}`)}
          </option>
        ))}
      </Form.Select>
    </>
  )
}

/** Finish and condition, zone by zone, and help to find out. */
export function FinishRows({ wheels }: { readonly wheels: ScopedWheels }) {
  const t = useTranslations()

  const problems = finishZones.flatMap((zone) => {
    const fix = wheels.finishError(zone)
    return fix ? [{ path: zone, found: '', fix: `${t(`terms.zone.${zone}`)}: ${fix}` }] : []
  })
  return (
    <>
      <div className="finish-rows">
        {finishZones.map((zone) => (
          <FinishRow key={zone} zone={zone} wheels={wheels} />
        ))}
      </div>
      <div id="finish-problems" aria-live="polite">
        <ProblemAlert problems={problems} />
      </div>
      <p className="soft">{t('wheelSet.finish.unknownNote')}</p>
      <FinishFinder use={wheels.takeFinish} />
    </>
  )
}
