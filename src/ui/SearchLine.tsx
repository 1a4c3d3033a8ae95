import { useTranslations } from 'next-intl'
interface SearchLineProps {
  readonly label: string
  readonly placeholder: string
  readonly search: string
}

/** A search that is a plain form: it works before any script has loaded, and its address can be kept. */
export function SearchLine({ label, placeholder, search }: SearchLineProps) {
  const t = useTranslations()

  return (
    <form className="search-line" role="search">
      <label htmlFor="q" className="visually-hidden">
        {label}
      </label>
      <input
        id="q"
        name="q"
        type="search"
        className="form-control"
        defaultValue={search}
        placeholder={placeholder}
        maxLength={100}
      />
      <button className="btn btn-outline-secondary">{t('common.search')}</button>
    </form>
  )
}
