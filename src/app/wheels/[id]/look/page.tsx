import type { Metadata } from 'next'
import { Link } from '@/ui/Link'
import { KeepForOffline } from '@/ui/offline/KeepForOffline'
import { LookForm } from '@/ui/look/LookForm'
import { wheelSetOr404 } from '../findOr404'

export const dynamic = 'force-dynamic'
export const metadata: Metadata = { title: 'A look' }

interface Props {
  readonly params: Promise<{ id: string }>
  readonly searchParams: Promise<Record<string, string | string[] | undefined>>
}

export default async function LookPage({ params, searchParams }: Props) {
  const { id } = await params
  const set = await wheelSetOr404(id)
  return (
    <>
      <header className="place-head">
        <div>
          <h1>How is it holding?</h1>
          <p className="lead-text">
            <Link href={`/wheels/${id}`}>
              {set.vehicleName}, {set.name}
            </Link>
          </p>
        </div>
      </header>
      <KeepForOffline />
      <LookForm
        wheelSetId={id}
        positions={set.wheels.map(({ position }) => position)}
        afterReviving={(await searchParams).after === 'reviving'}
        doneHref={`/wheels/${id}`}
      />
    </>
  )
}
