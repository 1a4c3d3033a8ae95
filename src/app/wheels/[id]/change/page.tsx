import { currentTime } from '@/clock'
import type { Metadata } from 'next'
import { Link } from '@/ui/Link'
import { database } from '@/data/connection'
import { lastTyreReading, listWheelChanges } from '@/data/queries/wheelChanges'
import { setsOfVehicle } from '@/data/queries/wheelSets'
import { ActionButton } from '@/ui/form/ActionButton'
import { formatDay } from '@/ui/format/format'
import { WheelChangeForm } from '@/ui/protection/WheelChangeForm'
import { keepWheelChange, takeWheelChangeBack } from '../../protectionActions'
import { wheelSetOr404 } from '../findOr404'

export const dynamic = 'force-dynamic'
export const metadata: Metadata = { title: 'Change of wheels' }

interface Props {
  readonly params: Promise<{ id: string }>
}

export default async function ChangePage({ params }: Props) {
  const set = await wheelSetOr404((await params).id)
  const db = await database()
  const now = currentTime()
  const [sets, changes, tyres] = await Promise.all([
    setsOfVehicle(db, set.vehicleId),
    listWheelChanges(db, set.vehicleId),
    lastTyreReading(db, set.id),
  ])
  const last = changes.at(-1)
  const nameOf = (id: string | null): string => sets.find((one) => one.id === id)?.name ?? 'none'
  return (
    <>
      <header className="place-head">
        <div>
          <h1>Change of wheels</h1>
          <p className="lead-text">
            <Link href={`/wheels/${set.id}`}>{set.vehicleName}</Link>. A set in storage hardly ages; the nuts
            want a second look after 50 to 100 km.
          </p>
        </div>
      </header>
      <WheelChangeForm
        key={last?.id ?? 'first'}
        sets={sets}
        mountedSetId={last?.mountedSetId ?? null}
        lastStoredWhere={last?.storedWhere ?? ''}
        keep={keepWheelChange.bind(null, set.vehicleId)}
      />
      {tyres && (
        <p className="soft">
          Tyres of this set, {formatDay(tyres.at, now)}: {tyres.dateCode && `date code ${tyres.dateCode}`}
          {tyres.dateCode && tyres.treadMillimetres !== null && ', '}
          {tyres.treadMillimetres !== null && `${tyres.treadMillimetres} mm of tread`}.
        </p>
      )}
      <section aria-labelledby="changes" className="month-head">
        <div className="section-head">
          <h2 id="changes">Until now</h2>
        </div>
        {changes.length === 0 && <p className="py-2">No change is on record yet.</p>}
        <ul className="rows">
          {[...changes].reverse().map((change) => (
            <li key={change.id} className="row-item stock-row">
              <span>
                {formatDay(change.at, now)}: {nameOf(change.mountedSetId)} on
                {change.storedWhere && `, the other in ${change.storedWhere}`}
                {change.torqueNewtonMetres !== null && `, ${change.torqueNewtonMetres} N·m`}
              </span>
              {change.id === last?.id && (
                <ActionButton
                  action={takeWheelChangeBack.bind(null, set.vehicleId, change.id)}
                  className="btn btn-quiet"
                >
                  Take back
                </ActionButton>
              )}
            </li>
          ))}
        </ul>
      </section>
    </>
  )
}
