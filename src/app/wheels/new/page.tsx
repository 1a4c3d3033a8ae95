import type { Metadata } from 'next'
import { database } from '@/data/connection'
import { listVehicles } from '@/data/queries/wheelSets'
import { NewWheelSet } from '@/ui/wheel-set/NewWheelSet'
import { saveNewWheelSet } from '../actions'

export const dynamic = 'force-dynamic'
export const metadata: Metadata = { title: 'New wheel set' }

export default async function NewWheelSetPage() {
  const vehicles = await listVehicles(await database())
  return (
    <>
      <header className="place-head">
        <h1>New wheel set</h1>
      </header>
      <NewWheelSet vehicles={vehicles} save={saveNewWheelSet} />
    </>
  )
}
