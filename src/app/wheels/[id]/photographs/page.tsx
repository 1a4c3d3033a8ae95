import { currentTime } from '@/clock'
import type { Metadata } from 'next'
import { database } from '@/data/connection'
import { listPhotographs } from '@/data/queries/photographs'
import { Live } from '@/app/_parts/Live'
import { Pager } from '@/ui/Pager'
import { PhotographStrip } from '@/ui/photographs/PhotographStrip'
import { TakePhotograph } from '@/ui/photographs/TakePhotograph'
import { pageAsked, type SearchParams } from '../../../pageAsked'
import { SetHead } from '@/ui/wheel-set/SetHead'
import { wheelSetOr404 } from '../findOr404'

export const dynamic = 'force-dynamic'
export const metadata: Metadata = { title: 'Photographs' }

const shownAtOnce = 24

interface Props {
  readonly params: Promise<{ id: string }>
  readonly searchParams: Promise<SearchParams>
}

export default async function PhotographsPage({ params, searchParams }: Props) {
  const { id } = await params
  const set = await wheelSetOr404(id)
  const page = await listPhotographs(await database(), id, pageAsked(await searchParams, shownAtOnce))
  return (
    <>
      <Live topics={['sets']} />
      <SetHead title="Photographs" set={set}>
        <TakePhotograph wheelSetId={id} positions={[]} label="Add photographs" />
      </SetHead>
      {page.rows.length === 0 && (
        <p className="py-3">
          None yet. What was there before the work is worth more than words: kerb marks, lifted lacquer,
          stains.
        </p>
      )}
      <PhotographStrip wheelSetId={id} photographs={page.rows} now={currentTime()} />
      <Pager
        label="Pages of photographs"
        path={`/wheels/${id}/photographs`}
        query={{}}
        page={page}
        earlier="Newer"
        later="Older"
      />
    </>
  )
}
