import { Plus } from 'lucide-react'
import type { Metadata } from 'next'
import { Link } from '@/ui/Link'
import { finishNames } from '@/core/finishes/finish'
import { vehicleKindNames } from '@/core/wheel/position'
import { database } from '@/data/connection'
import { listWheelSets } from '@/data/queries/wheelSets'
import { formatAgo } from '@/ui/format/format'
import { drawnWheels } from '@/ui/wheel-drawing/drawnWheel'
import { WheelDrawing } from '@/ui/wheel-drawing/WheelDrawing'
import { SearchLine } from '@/ui/SearchLine'

export const dynamic = 'force-dynamic'
export const metadata: Metadata = { title: 'Wheel sets' }

export default async function WheelsPage({
  searchParams,
}: {
  searchParams: Promise<Record<string, string | string[] | undefined>>
}) {
  const { q } = await searchParams
  const search = (typeof q === 'string' ? q : '').slice(0, 100)
  const sets = await listWheelSets(await database(), search)
  const now = new Date()
  return (
    <>
      <header className="place-head">
        <div>
          <h1>Wheel sets</h1>
          <p className="lead-text">
            Protection belongs to the wheels, not to the car: a vehicle can own several sets.
          </p>
        </div>
        <Link href="/wheels/new" className="btn btn-primary">
          <Plus aria-hidden size={20} /> Add a set
        </Link>
      </header>
      <SearchLine label="Search by vehicle or set" placeholder="Vehicle or set" search={search} />
      {sets.length === 0 && (
        <p>
          {search === ''
            ? 'No wheel set yet. The first one takes two minutes.'
            : `No wheel set with “${search}” in its name.`}{' '}
          <Link href={search === '' ? '/wheels/new' : '/wheels'}>
            {search === '' ? 'Add it' : 'Show all'}
          </Link>
        </p>
      )}
      <div className="set-list">
        {sets.map((set) => {
          const [wheel] = drawnWheels(set.wheels)
          const face = set.wheels[0]?.finishes.find(({ zone }) => zone === 'face')
          return (
            <Link key={set.id} href={`/wheels/${set.id}`} className="set-row">
              {wheel ? (
                <WheelDrawing
                  {...wheel}
                  id={`w${set.id.slice(0, 8)}`}
                  label={`Wheel with ${wheel.wheel.spokeCount} spokes, ${finishNames[face?.finish ?? 'unknown']}`}
                />
              ) : (
                <span />
              )}
              <div>
                <h3>{set.vehicleName}</h3>
                <p>{set.name}</p>
                <p className="soft">
                  {vehicleKindNames[set.vehicleKind]}, {set.wheels.length}{' '}
                  {set.wheels.length === 1 ? 'wheel' : 'wheels'}, {finishNames[face?.finish ?? 'unknown']}
                </p>
                <p className="soft">
                  {set.lastVisitAt ? `last visit ${formatAgo(set.lastVisitAt, now)}` : 'not visited yet'}
                </p>
              </div>
            </Link>
          )
        })}
      </div>
    </>
  )
}
