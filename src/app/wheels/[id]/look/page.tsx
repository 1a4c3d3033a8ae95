import { getTranslations } from 'next-intl/server'
import { titled } from '@/i18n/titled'
import { KeepForOffline } from '@/ui/offline/KeepForOffline'
import { LookForm } from '@/ui/inspection/LookForm'
import { SetHead } from '@/ui/wheel-set/SetHead'
import { wheelSetOr404 } from '../findOr404'

export const dynamic = 'force-dynamic'
export const generateMetadata = titled('protection.check.title')

interface Props {
  readonly params: Promise<{ id: string }>
  readonly searchParams: Promise<Record<string, string | string[] | undefined>>
}

export default async function LookPage({ params, searchParams }: Props) {
  const t = await getTranslations()

  const { id } = await params
  const set = await wheelSetOr404(id)
  return (
    <>
      <SetHead title={t('protection.check.title')} set={set} />
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
