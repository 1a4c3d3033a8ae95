import type { Metadata } from 'next'
import { getTranslations } from 'next-intl/server'
import { isOwner } from '@/app/access'
import { currentTime } from '@/clock'
import { ClipboardPlus, Droplets, Pencil, Repeat2 } from 'lucide-react'
import { Live } from '@/app/_parts/Live'
import { Link } from '@/ui/Link'
import { database } from '@/services/records'
import { listPhotographs } from '@/services/photographs'
import { listTestSpots } from '@/services/wheel-sets'
import { countVisitsUpTo, listVisits } from '@/services/log'
import { listDue, liveProtection } from '@/services/due'
import { DueRows } from '@/ui/due/DueRows'
import { VisitRows } from '@/ui/log/VisitRows'
import { SetPhotographs } from '@/ui/photographs/SetPhotographs'
import { TestSpotRows } from '@/ui/wheel-set/TestSpotRows'
import { WheelsShown } from '@/ui/wheel-set/WheelsShown'
import { putOff, tickOff } from '../../due/actions'
import { wheelSetOr404 } from './findOr404'

export const dynamic = 'force-dynamic'

/** The last ones; the others have a page of their own. */
const photographsShown = 6

interface Props {
  readonly params: Promise<{ id: string }>
}

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  const set = await wheelSetOr404((await params).id)
  return { title: `${set.vehicleName}, ${set.name}` }
}

export default async function WheelSetPage({ params }: Props) {
  const t = await getTranslations()

  const { id } = await params
  const set = await wheelSetOr404(id)
  const db = await database()
  const now = currentTime()
  const [due, layers, log, visitCount, spots, photographs] = await Promise.all([
    listDue(db, now, id),
    liveProtection(db, id, now),
    listVisits(db, { wheelSetId: id, size: 8 }),
    countVisitsUpTo(db, 10_000, { wheelSetId: id }),
    listTestSpots(db, id),
    listPhotographs(db, id, { size: photographsShown }),
  ])
  return (
    <>
      <Live topics={['due', 'sets']} />
      <header className="place-head">
        <div>
          <h1>
            {set.vehicleName}, {set.name}
          </h1>
          {set.note && <p className="lead-text">{set.note}</p>}
        </div>
        <div className="chips">
          <Link href={`/wheels/${id}/edit`} className="btn btn-outline-secondary">
            <Pencil aria-hidden size={18} /> {t('wheels.actions.edit')}
          </Link>
          <Link href={`/wheels/${id}/change`} className="btn btn-outline-secondary">
            <Repeat2 aria-hidden size={18} /> {t('wheels.actions.change')}
          </Link>
          <Link href={`/wheels/${id}/look`} className="btn btn-outline-secondary">
            <Droplets aria-hidden size={18} /> {t('wheels.actions.check')}
          </Link>
          <Link href={`/wheels/${id}/intake`} className="btn btn-primary">
            <ClipboardPlus aria-hidden size={20} /> {t('today.planJob')}
          </Link>
        </div>
      </header>
      <div className="set-place">
        <WheelsShown wheels={set.wheels} layers={layers} />
        <div>
          <section aria-labelledby="due">
            <div className="section-head">
              <h2 id="due">{t('due.title')}</h2>
              <Link href={`/wheels/${id}/protection`}>{t('wheels.layers')}</Link>
            </div>
            {due.length === 0 ? (
              <p className="py-3">{t('wheels.nothingDue')}</p>
            ) : (
              <DueRows items={due} now={now} named={false} actions={{ putOff, tickOff }} />
            )}
          </section>
          {spots.length > 0 && (
            <section aria-labelledby="tried" className="mt-4">
              <div className="section-head">
                <h2 id="tried">{t('wheels.tested.title')}</h2>
              </div>
              <TestSpotRows spots={spots} now={now} />
            </section>
          )}
          <SetPhotographs wheelSetId={id} page={photographs} now={now} />
          <section aria-labelledby="visits" className="mt-4">
            <div className="section-head">
              <h2 id="visits">{t('wheels.visits.title')}</h2>
              <span className="number">{visitCount}</span>
            </div>
            {visitCount === 0 ? (
              <p className="py-3">{t('wheels.visits.none')}</p>
            ) : (
              <VisitRows visits={log.rows} now={now} showsCosts={await isOwner()} named={false} />
            )}
            {log.hasLater && (
              <p className="py-2">
                <Link href={`/log?set=${id}`}>{t('wheels.visits.all')}</Link>
              </p>
            )}
          </section>
        </div>
      </div>
    </>
  )
}
