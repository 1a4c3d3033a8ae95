import { useLocale, useTranslations } from 'next-intl'
import Form from 'react-bootstrap/Form'
import { estimateIds, houseEstimates } from '@/core/estimates/houseEstimates'
import type { Unit } from '@/core/message/unit'
import type { QuantityKind } from '@/core/units/unit'
import { regionOfTag } from '@/i18n/regionTag'
import { QuantityInput } from '../form/QuantityInput'
import { shownText } from '../form/quantityText'
import { plain, type SettingsValues } from './settingsValues'

/** Estimates that everybody reads in their own unit. */
const kindOf: Partial<Record<Unit, QuantityKind>> = {
  ml: 'volume',
  mm: 'length',
  km: 'distance',
  celsius: 'temperature',
  mlPerSquareMetre: 'coverage',
  gramsPerSquareMetre: 'film',
  gramsPerLitre: 'load',
  perThousandKilometres: 'perDistance',
}

type Estimates = SettingsValues['estimates']

interface EstimateRowsProps {
  readonly value: Estimates
  readonly change: (value: Estimates) => void
  readonly fixOf: (path: string) => string | undefined
}

/** Every house estimate with its reason, open to be changed. */
export function EstimateRows({ value, change, fixOf }: EstimateRowsProps) {
  const t = useTranslations()
  const region = regionOfTag(useLocale())

  return (
    <section aria-labelledby="estimates">
      <div className="section-head">
        <h2 id="estimates">{t('settings.estimates.title')}</h2>
      </div>
      <p className="soft mt-2">{t('settings.estimates.explained')}</p>
      <details>
        <summary>{t('settings.estimates.all', { count: estimateIds.length })}</summary>
        <ul className="rows">
          {estimateIds.map((id) => {
            const house = houseEstimates[id]
            const kind = house.unit && kindOf[house.unit]
            const fix = fixOf(`estimates.${id}`)
            return (
              <li key={id} className="row-item estimate-row">
                <label htmlFor={`estimate-${id}`}>
                  {t(`estimates.${id}.name`)}
                  <br />
                  <span className="soft">{t(`estimates.${id}.reason`)}</span>
                </label>
                <span>
                  {kind ? (
                    <QuantityInput
                      id={`estimate-${id}`}
                      kind={kind}
                      placeholder={shownText(plain(house.value), kind, region)}
                      value={value[id] ?? ''}
                      isInvalid={fix !== undefined}
                      set={(text) => change({ ...value, [id]: text })}
                    />
                  ) : (
                    <>
                      <Form.Control
                        id={`estimate-${id}`}
                        inputMode="decimal"
                        placeholder={plain(house.value)}
                        value={value[id] ?? ''}
                        isInvalid={fix !== undefined}
                        onChange={(event) => change({ ...value, [id]: event.target.value })}
                      />
                      <span className="soft">{house.unit && t(`terms.unit.${house.unit}`)}</span>
                    </>
                  )}
                  {fix && <span className="invalid-feedback is-said">{fix}</span>}
                </span>
              </li>
            )
          })}
        </ul>
      </details>
    </section>
  )
}
