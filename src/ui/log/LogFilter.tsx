import { useTranslations } from 'next-intl'
interface LogFilterProps {
  readonly search: string
  /** Day up to which is shown, as yyyy-mm-dd; empty: today. */
  readonly until: string
  /** The set whose log it is; empty: all. */
  readonly set: string
}

/** Which visits are shown; a plain form, so that its address can be kept. */
export function LogFilter({ search, until, set }: LogFilterProps) {
  const t = useTranslations()

  return (
    <form className="log-filter" role="search">
      {set ? (
        <input type="hidden" name="set" value={set} />
      ) : (
        <div>
          <label htmlFor="q" className="form-label">
            {t('log.filter.vehicle')}
          </label>
          <input
            id="q"
            name="q"
            type="search"
            className="form-control"
            defaultValue={search}
            maxLength={100}
          />
        </div>
      )}
      <div>
        <label htmlFor="until" className="form-label">
          {t('log.filter.until')}
        </label>
        <input id="until" name="until" type="date" className="form-control" defaultValue={until} />
      </div>
      <button className="btn btn-outline-secondary">{t('log.filter.show')}</button>
    </form>
  )
}
