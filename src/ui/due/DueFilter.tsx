import { useTranslations } from 'next-intl'
import { type DueKind, dueKinds, type Sureness, surenesses } from '@/core/due'

/** How the due list is asked for; stands in the address, so that it can be kept. */
export interface DueQuery {
  readonly q: string
  /** Empty: every kind. */
  readonly kind: DueKind | ''
  /** Empty: however sure. */
  readonly sure: Sureness | ''
  readonly by: 'time' | 'vehicle'
}

/** Narrows the list by vehicle, kind and how sure it is; works without scripts. */
export function DueFilter({ query }: { readonly query: DueQuery }) {
  const t = useTranslations()

  const isAsked = query.q !== '' || query.kind !== '' || query.sure !== '' || query.by !== 'time'
  return (
    <details className="due-filter-box" open={isAsked}>
      <summary>{t('due.filter.title')}</summary>
      <form className="due-filter" action="/due">
        <label>
          <span>{t('due.filter.vehicle')}</span>
          <input className="form-control" type="search" name="q" defaultValue={query.q} maxLength={80} />
        </label>
        <label>
          <span>{t('due.filter.what')}</span>
          <select className="form-select" name="kind" defaultValue={query.kind}>
            <option value="">{t('due.filter.everything')}</option>
            {dueKinds.map((kind) => (
              <option key={kind} value={kind}>
                {t(`due.kinds.${kind}`)}
              </option>
            ))}
          </select>
        </label>
        <label>
          <span>{t('due.filter.sureness')}</span>
          <select className="form-select" name="sure" defaultValue={query.sure}>
            <option value="">{t('due.filter.all')}</option>
            {surenesses.map((sure) => (
              <option key={sure} value={sure}>
                {t(`due.filter.surenesses.${sure}`)}
              </option>
            ))}
          </select>
        </label>
        <label>
          <span>{t('due.filter.order')}</span>
          <select className="form-select" name="by" defaultValue={query.by}>
            <option value="time">{t('due.filter.byTime')}</option>
            <option value="vehicle">{t('due.filter.byVehicle')}</option>
          </select>
        </label>
        <button type="submit" className="btn btn-outline-secondary">
          {t('due.filter.show')}
        </button>
      </form>
    </details>
  )
}
