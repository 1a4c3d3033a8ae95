import { getFormats } from '@/i18n/getFormats'
import { getTranslations } from 'next-intl/server'
import { titled } from '@/i18n/titled'
import { currentTime } from '@/clock'
import { notFound } from 'next/navigation'
import { isUuid } from '@/contracts/fields'
import { database } from '@/services/records'
import { findPhotograph, photographsBeside } from '@/services/photographs'
import { isOwner } from '@/app/access'
import { ActionButton } from '@/ui/form/ActionButton'
import { Link } from '@/ui/Link'
import { wheelsOf } from '@/ui/photographs/PhotographStrip'
import { throwPhotographAway } from '../../../photographActions'
import { wheelSetOr404 } from '../../findOr404'

export const dynamic = 'force-dynamic'
export const generateMetadata = titled('photos.photo')

interface Props {
  readonly params: Promise<{ id: string; photograph: string }>
}

export default async function PhotographPage({ params }: Props) {
  const formats = await getFormats()
  const t = await getTranslations()

  const { id, photograph: photographId } = await params
  const set = await wheelSetOr404(id)
  const db = await database()
  const photograph = isUuid(photographId) ? await findPhotograph(db, id, photographId) : null
  if (!photograph) notFound()
  const { olderId, newerId } = await photographsBeside(db, id, photograph.id)
  const { takenAt, widthPixels, heightPixels } = photograph
  const of = `/wheels/${id}/photographs`
  return (
    <>
      <header className="place-head">
        <div>
          <h1>{wheelsOf(photograph, t)}</h1>
          <p className="lead-text">
            {formats.day(takenAt, currentTime())}, {formats.timeOfDay(takenAt)} ·{' '}
            <Link href={`/wheels/${id}`}>
              {set.vehicleName}, {set.name}
            </Link>{' '}
            · <Link href={of}>{t('photos.all')}</Link>
          </p>
        </div>
        {(await isOwner()) && (
          <ActionButton
            action={throwPhotographAway.bind(null, id, photograph.id)}
            className="btn btn-outline-secondary"
          >
            {t('photos.delete')}
          </ActionButton>
        )}
      </header>
      <img
        className="photograph"
        src={`/api/photographs/${photograph.id}`}
        width={widthPixels}
        height={heightPixels}
        alt={t('photos.alt', { wheels: wheelsOf(photograph, t), vehicle: set.vehicleName })}
      />
      <nav className="pager" aria-label={t('photos.others')}>
        {newerId && (
          <Link href={`${of}/${newerId}`} className="btn btn-outline-secondary">
            {t('photos.newer')}
          </Link>
        )}
        {olderId && (
          <Link href={`${of}/${olderId}`} className="btn btn-outline-secondary">
            {t('photos.older')}
          </Link>
        )}
      </nav>
    </>
  )
}
