import { useTranslations } from 'next-intl'
import { Link } from '../Link'
import { PhotographStrip, type ShownPhotograph } from './PhotographStrip'
import { TakePhotograph } from './TakePhotograph'

interface SetPhotographsProps {
  readonly wheelSetId: string
  /** The last ones; the others have a page of their own. */
  readonly page: { readonly rows: readonly ShownPhotograph[]; readonly hasLater: boolean }
  readonly now: Date
}

/** The last photographs of a set, and where more are added. */
export function SetPhotographs({ wheelSetId, page, now }: SetPhotographsProps) {
  const t = useTranslations()

  return (
    <section aria-labelledby="photographs" className="mt-4">
      <div className="section-head">
        <h2 id="photographs">{t('photos.title')}</h2>
        <TakePhotograph wheelSetId={wheelSetId} positions={[]} label={t('photos.add')} />
      </div>
      {page.rows.length === 0 && <p className="py-3">{t('photos.none')}</p>}
      <PhotographStrip wheelSetId={wheelSetId} photographs={page.rows} now={now} />
      {page.hasLater && (
        <p className="py-2">
          <Link href={`/wheels/${wheelSetId}/photographs`}>{t('photos.allOfSet')}</Link>
        </p>
      )}
    </section>
  )
}
