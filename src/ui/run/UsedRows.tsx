import { useFormats } from '@/i18n/useFormats'
import { regionOfTag } from '@/i18n/regionTag'
import { useLocale, useTranslations } from 'next-intl'
import Form from 'react-bootstrap/Form'
import type { SaidProblem } from '@/i18n/saidProblems'
import type { ProductUse } from '@/core/observations/jobOutcome'
import { QuantityInput } from '../form/QuantityInput'
import { shownText } from '../form/quantityText'
import { asPlanned, type Correction } from './usedInput'

interface UsedRowsProps {
  readonly used: readonly ProductUse[]
  readonly corrections: Readonly<Record<string, Correction>>
  readonly change: (corrections: Readonly<Record<string, Correction>>) => void
  readonly problems: readonly SaidProblem[]
}

/** What was used: as it was planned, unless somebody knows better. */
export function UsedRows({ used, corrections, change, problems }: UsedRowsProps) {
  const formats = useFormats()
  const t = useTranslations()
  const region = regionOfTag(useLocale())

  const put = (id: string, changes: Partial<Correction>) =>
    change({ ...corrections, [id]: { ...asPlanned, ...corrections[id], ...changes } })
  return (
    <details className="used" open={problems.some(({ path }) => path.startsWith('used')) || undefined}>
      <summary>
        {t('bay.used.list', {
          products: used
            .map(({ name, concentrateMillilitres }) => `${name} ${formats.volume(concentrateMillilitres)}`)
            .join(', '),
        })}
      </summary>
      <ul>
        {used.map(({ id, name, concentrateMillilitres }) => {
          const own = corrections[id] ?? asPlanned
          return (
            <li key={id}>
              <Form.Label htmlFor={`used-${id}`}>{name}</Form.Label>
              <span className="used-amount">
                <QuantityInput
                  id={`used-${id}`}
                  kind="volume"
                  placeholder={shownText(String(Math.round(concentrateMillilitres)), 'volume', region)}
                  value={own.millilitres}
                  set={(millilitres) => put(id, { millilitres })}
                />
              </span>
              <button
                type="button"
                className="chip"
                aria-pressed={own.isEmptied}
                aria-label={t('bay.used.emptyLabel', { product: name })}
                onClick={() => put(id, { isEmptied: !own.isEmptied })}
              >
                {t('bay.used.empty')}
              </button>
            </li>
          )
        })}
      </ul>
    </details>
  )
}
