import { useFormats } from '@/i18n/useFormats'
import { useTranslations } from 'next-intl'
import Form from 'react-bootstrap/Form'
import type { SaidProblem } from '@/i18n/saidProblems'
import type { ProductUse } from '@/core/observations/jobOutcome'
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
                <Form.Control
                  id={`used-${id}`}
                  inputMode="decimal"
                  placeholder={String(Math.round(concentrateMillilitres))}
                  value={own.millilitres}
                  onChange={(event) => put(id, { millilitres: event.target.value })}
                />{' '}
                {t('common.millilitres')}
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
