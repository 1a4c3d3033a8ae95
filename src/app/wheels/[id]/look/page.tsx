import type { Metadata } from 'next'
import { KeepForOffline } from '@/ui/offline/KeepForOffline'
import { LookForm } from '@/ui/look/LookForm'
import { SetHead } from '@/ui/wheel-set/SetHead'
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
      <SetHead title="How is it holding?" set={set} />
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
