import { currentTime } from '@/clock'
import { Plus } from 'lucide-react'
import type { Metadata } from 'next'
import { Link } from '@/ui/Link'
import { finishNames } from '@/core/finishes/finish'
import { vehicleKindNames } from '@/core/wheel/position'
import { database } from '@/data/connection'
import { countWheelSets, listWheelSets } from '@/data/queries/wheelSets'
import { formatAgo } from '@/ui/format/format'
import { drawnWheels } from '@/ui/wheel-drawing/drawnWheel'
import { WheelDrawing } from '@/ui/wheel-drawing/WheelDrawing'
import { Pager } from '@/ui/Pager'
import { SearchLine } from '@/ui/SearchLine'
import { pageAsked, textOf, type SearchParams } from '../pageAsked'

export const dynamic = 'force-dynamic'
export const metadata: Metadata = { title: 'Wheel sets' }

/** Each with its drawing. */
const setsShown = 18

export default async function WheelsPage({ searchParams }: { searchParams: Promise<SearchParams> }) {
  const params = await searchParams
  const search = textOf(params.q)
  const db = await database()
  const page = await listWheelSets(db, { search, ...pageAsked(params, setsShown) })
  const sets = page.rows
  const isPart = page.hasEarlier || page.hasLater
  const count = isPart ? await countWheelSets(db, search) : sets.length
  const now = currentTime()
  return (
    <>
      <header className="place-head">
        <div>
          <h1>Wheel sets</h1>
          <p className="lead-text">
            Protection belongs to the wheels, not to the car: a vehicle can own several sets.
            {isPart && ` ${count} sets${search ? ' found' : ''}, by vehicle; ${sets.length} on this page.`}
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
      <Pager
        label="Pages of wheel sets"
        path="/wheels"
        query={{ q: search }}
        page={page}
        earlier="Before these"
        later="After these"
      />
    </>
  )
}
