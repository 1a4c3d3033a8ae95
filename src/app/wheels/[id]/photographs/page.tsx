import { getTranslations } from 'next-intl/server'
import { titled } from '@/i18n/titled'
import { currentTime } from '@/clock'
import { database } from '@/services/records'
import { listPhotographs } from '@/services/photographs'
import { Live } from '@/app/_parts/Live'
import { Pager } from '@/ui/Pager'
import { PhotographStrip } from '@/ui/photographs/PhotographStrip'
import { TakePhotograph } from '@/ui/photographs/TakePhotograph'
import { pageAsked, type SearchParams } from '../../../pageAsked'
import { SetHead } from '@/ui/wheel-set/SetHead'
import { wheelSetOr404 } from '../findOr404'

export const dynamic = 'force-dynamic'
export const generateMetadata = titled('photos.title')

const shownAtOnce = 24

interface Props {
  readonly params: Promise<{ id: string }>
  readonly searchParams: Promise<SearchParams>
}

export default async function PhotographsPage({ params, searchParams }: Props) {
  const t = await getTranslations()

  const { id } = await params
  const set = await wheelSetOr404(id)
  const page = await listPhotographs(await database(), id, pageAsked(await searchParams, shownAtOnce))
  return (
    <>
      <Live topics={['sets']} />
      <SetHead title={t('photos.title')} set={set}>
        <TakePhotograph wheelSetId={id} positions={[]} label={t('photos.addLabel')} />
      </SetHead>
      {page.rows.length === 0 && <p className="py-3">{t('photos.noneOfSet')}</p>}
      <PhotographStrip wheelSetId={id} photographs={page.rows} now={currentTime()} />
      <Pager
        label={t('photos.pages')}
        path={`/wheels/${id}/photographs`}
        query={{}}
        page={page}
        earlier={t('photos.newer')}
        later={t('photos.older')}
      />
    </>
  )
}
