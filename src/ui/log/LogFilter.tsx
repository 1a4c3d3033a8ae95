'use client'

import { useTranslations } from 'next-intl'
import { useState } from 'react'
import { DateField } from '../form/DateField'

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
  const [day, setDay] = useState(until)

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
      <DateField id="until" name="until" label={t('log.filter.until')} value={day} set={setDay} />
      <button className="btn btn-outline-secondary">{t('log.filter.show')}</button>
    </form>
  )
}
